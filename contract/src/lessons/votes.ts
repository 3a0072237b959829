import 'reflect-metadata';
import { MOST_TREATMENTS } from '@bright-sprout/core/design';
import { IsBoolean } from 'class-validator';
import {
  type Id,
  type Instant,
  IsId,
  NestedOrNull,
  ShortText,
  Texts,
  Whole,
  Wholes,
} from '../shared/index.ts';
import { MadeOnDevicePart } from '../student/index.ts';

/** Every treatment, and that they do not differ. */
const MOST_CHOICES = MOST_TREATMENTS + 1;

/** A question asked of the whole class at once. Kept again it is changed: closed, or hands counted. */
export class PollRequest {
  @ShortText(200, 'Write the question') prompt: string;

  @Texts(2, MOST_CHOICES, 'answers', 120) choices: string[];

  @IsBoolean() isOpen: boolean;

  /** Hands counted in the room for each choice, beside the votes of tablets. */
  @Wholes(0, MOST_CHOICES, 'hands', 0, 400) hands: number[];
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
  @IsId() pollId: string;
  @Whole(0, MOST_CHOICES - 1) choice: number;
  @NestedOrNull(() => MadeOnDevicePart) made?: MadeOnDevicePart;
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
