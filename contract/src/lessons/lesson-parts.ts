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
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, Length, Max, MaxLength, Min } from 'class-validator';
import { IsCalendarDay, IsId, NestedList, Trimmed, type Instant } from '../shared/index.ts';

/** One board of a lesson. */
export class BoardPart {
  @IsId()
  id: string;

  @IsIn(BOARD_KINDS)
  kind: BoardKind;

  @Min(1, { message: 'A board takes a minute at least.' })
  @Max(MOST_BOARD_MINUTES, { message: 'A board takes an hour at most.' })
  @IsInt({ message: 'Give whole minutes.' })
  minutes: number;

  @IsBoolean()
  isHidden: boolean;

  /** For the teacher alone. */
  @Trimmed()
  @MaxLength(2000, { message: 'Keep the note under 2000 characters.' })
  note: string;

  @Trimmed()
  @MaxLength(120, { message: 'Keep the heading under 120 characters.' })
  title: string;

  @Trimmed()
  @MaxLength(2000, { message: 'Keep the text under 2000 characters.' })
  text: string;

  @IsIn(LINE_UP_ORDERS)
  order: LineUpOrder;

  @IsArray()
  @ArrayMaxSize(MOST_WATCHED, { message: 'Watch two pots at most.' })
  @IsId({ each: true })
  unitIds: string[];

  @IsArray()
  @ArrayMaxSize(MOST_BOARD_PICTURES, { message: 'Choose 12 pictures at most.' })
  @IsId({ each: true })
  entryIds: string[];

  @IsArray()
  @ArrayMaxSize(40)
  @Length(1, 40, { each: true })
  talkCodes: string[];
}

/** The boards of a lesson in order, and the age that they are worded for. */
export class LessonDocument {
  @IsIn(READING_LEVELS, { message: 'Choose an age.' })
  level: ReadingLevel;

  @ArrayMaxSize(MOST_BOARDS, { message: 'At most 40 boards.' })
  @NestedList(() => BoardPart)
  boards: BoardPart[];
}

/** A lesson to keep, with the version that the change was made on; 0 before the first. */
export class LessonRequest extends LessonDocument {
  @Min(0)
  @IsInt()
  version: number;
}

/** What the projector shows now. The device that changed it last decides. */
export class ShowingRequest {
  @IsId()
  boardId: string;

  /** Nothing is to be seen. */
  @IsBoolean()
  isBlank: boolean;

  /** The answer after a guess is shown. */
  @IsBoolean()
  isRevealed: boolean;

  /** Treatments are hidden, so that the class can guess which is which. */
  @IsBoolean()
  hidesTreatments: boolean;

  @IsIn(LINE_UP_ORDERS)
  order: LineUpOrder;

  @IsIn(READING_LEVELS, { message: 'Choose an age.' })
  level: ReadingLevel;

  @IsCalendarDay({ message: 'Give the day that is shown.' })
  day: string;
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
