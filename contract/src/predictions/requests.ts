import { MOST_CLAIM_CHARACTERS } from '@bright-sprout/core/shared';
import { Length } from 'class-validator';
import { type Id, type Instant, IsId, NestedOrNull, Note, ShortText, Trimmed } from '../shared/index.ts';
import { MadeOnDevicePart } from '../student/index.ts';

/** A guess, as one of the plan's choices. */
export class PredictionRequest {
  @Trimmed() @Length(1, 80, { message: 'Choose one of the answers.' }) choice: string;
}

/** A student's guess. */
export class StudentPredictionRequest extends PredictionRequest {
  @IsId() experimentId: string;
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
}

/** A guess as it is kept. */
export interface PredictionView {
  id: Id;
  choice: string;
  observer: string;
  madeAt: Instant;
  /** Made before the first pot was up. */
  isEarly: boolean;
}

/** What somebody concludes. */
export class ConclusionRequest {
  @ShortText(MOST_CLAIM_CHARACTERS, 'Write your claim') claim: string;
  @Note(4000) evidence: string;
  @Note(MOST_CLAIM_CHARACTERS) reasoning: string;
}

/** What a student concludes. */
export class StudentConclusionRequest extends ConclusionRequest {
  @IsId() experimentId: string;
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
}

/** A conclusion as it is kept. */
export interface ConclusionView extends ConclusionRequest {
  id: Id;
  observer: string;
  isStudent: boolean;
  writtenAt: Instant;
}

/** An experiment of the class, for guessing before and concluding after. */
export interface StudentIdeasView {
  experimentId: Id;
  question: string;
  prompt: string;
  choices: readonly string[];
  /** The student's own guess so far. */
  ownChoice: string | null;
  /** Guesses are taken until the experiment is finished. */
  canGuess: boolean;
  /** The evidence in words of the class's age; empty while nothing can be compared. */
  evidence: readonly string[];
  /** Pots with a value on the last day read. */
  measured: number;
  own: ConclusionView | null;
}
