import 'reflect-metadata';
import { MOST_TREATMENTS } from '@bright-sprout/core/design';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsInt, Length, Max, Min } from 'class-validator';
import { IsId, NestedOrNull, Trimmed, type Id, type Instant } from '../shared/index.ts';
import { MadeOnDevicePart } from '../student/index.ts';

/** Every treatment, and that they do not differ. */
const MOST_CHOICES = MOST_TREATMENTS + 1;

/** A question asked of the whole class at once. Kept again it is changed: closed, or hands counted. */
export class PollRequest {
  @Trimmed()
  @Length(1, 200, { message: 'Write the question in up to 200 characters.' })
  prompt: string;

  @IsArray()
  @ArrayMinSize(2, { message: 'Give two answers at least.' })
  @ArrayMaxSize(MOST_CHOICES, { message: 'That is more answers than a plan has treatments.' })
  @Trimmed()
  @Length(1, 120, { each: true, message: 'Write each answer in up to 120 characters.' })
  choices: string[];

  @IsBoolean()
  isOpen: boolean;

  /** Hands counted in the room for each choice, beside the votes of tablets. */
  @IsArray()
  @ArrayMaxSize(MOST_CHOICES)
  @Min(0, { each: true, message: 'Count hands from 0.' })
  @Max(400, { each: true, message: 'That is more hands than a year group has.' })
  @IsInt({ each: true, message: 'Count whole hands.' })
  hands: number[];
}

/** A poll with how many chose what. Nobody is named. */
export interface PollView {
  id: Id;
  prompt: string;
  choices: readonly string[];
  isOpen: boolean;
  hands: readonly number[];
  /** Votes of tablets, by choice. */
  tablets: readonly number[];
  openedAt: Instant;
}

/** A vote: the place of the choice in the list, from 0. */
export class VoteRequest {
  @IsId()
  pollId: string;

  @Min(0)
  @Max(MOST_CHOICES - 1)
  @IsInt()
  choice: number;

  @NestedOrNull(() => MadeOnDevicePart)
  made?: MadeOnDevicePart;
}

/** The poll that the class is asked now, as a student sees it. */
export interface StudentPollView {
  id: Id;
  experimentId: Id;
  prompt: string;
  choices: readonly string[];
  /** The own vote so far. */
  ownChoice: number | null;
}
