import type { LineUpOrder } from './line-up.ts';

/**
 * Namespace of the ids of drafted boards (UUID version 5 of the experiment's id, a space, and the kind): two devices that
 * draft the same experiment make the same boards.
 */
export const DRAFTED_BOARDS = '6d2c1f0e-5b0f-4b7e-9a53-8c1f3d7e2a10';

/** What a board of a lesson shows. */
export const BOARD_KINDS = [
  'question',
  'line_up',
  'two_to_watch',
  'firsts',
  'guess',
  'answer',
  'luck',
  'not_known',
  'talk',
  'pictures',
  'own_words',
] as const;
export type BoardKind = (typeof BOARD_KINDS)[number];

/** Two marked pots fill a table that a class can read from the back of the room. */
export const MOST_WATCHED = 2;
export const MOST_BOARDS = 40;
export const MOST_BOARD_PICTURES = 12;
export const MOST_BOARD_MINUTES = 60;

/** One board of a lesson, with what the teacher chose for it. What a kind does not use stays as it is. */
export interface Board {
  readonly id: string;
  readonly kind: BoardKind;
  readonly minutes: number;
  readonly isHidden: boolean;
  /** For the teacher alone: never on the projector. */
  readonly note: string;
  /** Heading and text of a board of own words. */
  readonly title: string;
  readonly text: string;
  readonly order: LineUpOrder;
  /** Pots to watch. */
  readonly unitIds: readonly string[];
  /** Chosen entries of the journal. */
  readonly entryIds: readonly string[];
  /** Chosen talking points; empty for the first few that the data raise. */
  readonly talkCodes: readonly string[];
}

/** A lesson: its boards in the order they are given. */
export interface Lesson {
  readonly boards: readonly Board[];
}

/** A board of a kind as it is before anybody chose anything for it. */
export function plainBoard(id: string, kind: BoardKind, minutes: number): Board {
  return {
    id,
    kind,
    minutes,
    isHidden: false,
    note: '',
    title: '',
    text: '',
    order: 'height',
    unitIds: [],
    entryIds: [],
    talkCodes: [],
  };
}

/** Minutes of the boards that are shown. */
export function lessonMinutes({ boards }: Lesson): number {
  return boards.reduce((sum, board) => sum + (board.isHidden ? 0 : board.minutes), 0);
}
