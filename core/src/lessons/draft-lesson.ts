import { type BoardKind, type Lesson, plainBoard } from './board.ts';

/** What there is to make a lesson of. */
export interface DraftFacts {
  /** Treatments with a value. */
  readonly comparedGroups: number;
  /** Whether a chance can be given for the main difference. */
  readonly canJudgeLuck: boolean;
  readonly hasReadings: boolean;
  readonly hasGuessChoices: boolean;
  readonly talkPoints: number;
  readonly pictures: number;
  /** Numbers of minutes are longer for the youngest, who read the board together. */
  readonly isYoungest: boolean;
}

const MINUTES: Readonly<Record<BoardKind, number>> = {
  question: 1,
  line_up: 2,
  two_to_watch: 2,
  firsts: 1,
  guess: 2,
  answer: 3,
  luck: 2,
  not_known: 1,
  talk: 3,
  pictures: 1,
  own_words: 1,
};

const ORDER: readonly BoardKind[] = [
  'question',
  'guess',
  'line_up',
  'two_to_watch',
  'firsts',
  'answer',
  'luck',
  'not_known',
  'talk',
  'pictures',
];

/** Minutes that a board usually takes. */
export function usualMinutes(kind: BoardKind, isYoungest: boolean): number {
  return MINUTES[kind] + (isYoungest && MINUTES[kind] > 1 ? 1 : 0);
}

function isWorthShowing(kind: BoardKind, facts: DraftFacts): boolean {
  switch (kind) {
    case 'guess':
      return facts.hasGuessChoices;
    case 'line_up':
    case 'firsts':
      return facts.hasReadings;
    case 'two_to_watch':
      return false;
    case 'answer':
    case 'not_known':
      return facts.comparedGroups > 0;
    case 'luck':
      return facts.canJudgeLuck && !facts.isYoungest;
    case 'talk':
      return facts.talkPoints > 0;
    case 'pictures':
      return facts.pictures > 0;
    case 'question':
    case 'own_words':
      return true;
  }
}

/**
 * A lesson made of what there is: every board in the order in which a class finds something out, those that would have
 * nothing to show hidden, so that they can be brought back.
 * @param idOf gives a board its id, by its kind: each kind is drafted once
 */
export function draftLesson(facts: DraftFacts, idOf: (kind: BoardKind) => string): Lesson {
  return {
    boards: ORDER.map((kind) => ({
      ...plainBoard(idOf(kind), kind, usualMinutes(kind, facts.isYoungest)),
      isHidden: !isWorthShowing(kind, facts),
    })),
  };
}
