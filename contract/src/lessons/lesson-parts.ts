import 'reflect-metadata';
import {
  BOARD_KINDS,
  type BoardKind,
  LINE_UP_ORDERS,
  type LineUpOrder,
  MOST_BOARD_MINUTES,
  MOST_BOARD_PICTURES,
  MOST_BOARDS,
  MOST_WATCHED,
} from '@bright-sprout/core/lessons';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { ArrayMaxSize, IsArray, IsBoolean, IsInt, Length, Min } from 'class-validator';
import { Ids, type Instant, IsCalendarDay, IsId, Note, OneOf, Parts, Whole } from '../shared/index.ts';

/** One board of a lesson. */
export class BoardPart {
  @IsId() id: string;
  @OneOf(BOARD_KINDS) kind: BoardKind;
  @Whole(1, MOST_BOARD_MINUTES, 'minutes') minutes: number;
  @IsBoolean() isHidden: boolean;

  /** For the teacher alone. */
  @Note(2000) note: string;

  @Note(120) title: string;
  @Note(2000) text: string;
  @OneOf(LINE_UP_ORDERS) order: LineUpOrder;

  @Ids(0, MOST_WATCHED, 'pots') unitIds: string[];

  @Ids(0, MOST_BOARD_PICTURES, 'pictures') entryIds: string[];

  @IsArray() @ArrayMaxSize(40) @Length(1, 40, { each: true }) talkCodes: string[];
}

/** The boards of a lesson in order, and the age that they are worded for. */
export class LessonDocument {
  @OneOf(READING_LEVELS, 'an age') level: ReadingLevel;
  @Parts(() => BoardPart, 0, MOST_BOARDS, 'boards') boards: BoardPart[];
}

/** A lesson to keep, with the version that the change was made on; 0 before the first. */
export class LessonRequest extends LessonDocument {
  @Min(0) @IsInt() version: number;
}

/** What the projector shows now. The device that changed it last decides. */
export class ShowingRequest {
  @IsId() boardId: string;

  /** Nothing is to be seen. */
  @IsBoolean() isBlank: boolean;

  /** The answer after a guess is shown. */
  @IsBoolean() isRevealed: boolean;

  /** Treatments are hidden, so that the class can guess which is which. */
  @IsBoolean() hidesTreatments: boolean;

  @OneOf(LINE_UP_ORDERS) order: LineUpOrder;
  @OneOf(READING_LEVELS, 'an age') level: ReadingLevel;
  @IsCalendarDay('the day that is shown') day: string;
}

/** What the projector shows, and since when the lesson goes on. */
export interface ShowingView extends ShowingRequest {
  begunAt: Instant;
  shownAt: Instant;
}

/** A lesson as it is kept; `document` is `null` until somebody changed the draft. */
export interface LessonView {
  version: number;
  document: LessonDocument | null;
  /** When it was begun last; `null` before it was ever given. Votes are of one giving. */
  begunAt: Instant | null;
  /** `null` while no lesson is given. */
  showing: ShowingView | null;
}
