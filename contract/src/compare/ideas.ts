import {
  IsArray,
  IsBoolean,
  IsISO8601,
  IsInt,
  IsOptional,
  IsString,
  Length,
  MaxLength,
} from 'class-validator';
import { IsId, NestedOrNull, Trimmed } from '../shared/index.ts';
import { MadeOnDevicePart } from '../student/index.ts';

/** The most characters of a claim, and of the reasoning. */
export const MOST_CLAIM_CHARACTERS = 600;

/** A guess, as one of the plan's choices. */
export class PredictionRequest {
  @Trimmed()
  @Length(1, 80, { message: 'Choose one of the answers.' })
  choice: string;
}

/** A student's guess. */
export class StudentPredictionRequest extends PredictionRequest {
  @IsId()
  experimentId: string;

  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** A guess as it is kept. */
export class PredictionView {
  @IsId()
  id: string;

  @IsString()
  choice: string;

  @IsString()
  observer: string;

  @IsISO8601()
  madeAt: string;

  /** Made before the first pot was up. */
  @IsBoolean()
  isEarly: boolean;
}

/** What somebody concludes. */
export class ConclusionRequest {
  @Trimmed()
  @Length(1, MOST_CLAIM_CHARACTERS, { message: 'Write your claim in up to 600 characters.' })
  claim: string;

  @Trimmed()
  @MaxLength(4000)
  evidence: string;

  @Trimmed()
  @MaxLength(MOST_CLAIM_CHARACTERS, { message: 'Write why in up to 600 characters.' })
  reasoning: string;
}

/** What a student concludes. */
export class StudentConclusionRequest extends ConclusionRequest {
  @IsId()
  experimentId: string;

  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** A conclusion as it is kept. */
export class ConclusionView extends ConclusionRequest {
  @IsId()
  id: string;

  @IsString()
  observer: string;

  @IsBoolean()
  isStudent: boolean;

  @IsISO8601()
  writtenAt: string;
}

/** An experiment of the class, for guessing before and concluding after. */
export class StudentIdeasView {
  @IsId()
  experimentId: string;

  @IsString()
  question: string;

  @IsString()
  prompt: string;

  @IsArray()
  @IsString({ each: true })
  choices: readonly string[];

  /** The student's own guess so far. */
  @IsOptional()
  @IsString()
  ownChoice: string | null;

  /** Guesses are taken until the experiment is finished. */
  @IsBoolean()
  canGuess: boolean;

  /** The evidence in words of the class's age; empty while nothing can be compared. */
  @IsArray()
  @IsString({ each: true })
  evidence: readonly string[];

  /** Pots with a value on the last day read. */
  @IsInt()
  measured: number;

  @NestedOrNull(() => ConclusionView)
  own: ConclusionView | null;
}
