import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/lessons';
import type { ComparedGroup } from '../../comparison/index.ts';
import type { TalkCode, TalkOf } from '../../lessons/index.ts';
import type { ReadingLevel } from '../reading-level.ts';
import type { ValueStyle } from '../value-style.ts';

/** What a talking point is worded with. */
export interface TalkSpeech {
  readonly level: ReadingLevel;
  readonly style: ValueStyle;
  readonly groups: readonly ComparedGroup[];
  /** A day as people say it. */
  readonly dayText: (day: string) => string;
}

/** A talking point in words: what to ask, and for the teacher what a good answer notices. */
export interface TalkWords {
  readonly question: string;
  readonly hint: string;
}

/** The texts of a talking point, with what they are worded with at hand. */
export interface TalkTools {
  /** The level as the texts name it. */
  readonly level: string;
  /** A value as it was read. */
  readonly read: (value: number) => string;
  /** A computed figure, without claiming more than can be read. */
  readonly about: (value: number) => string;
  readonly group: (groupId: string) => string;
  readonly day: (day: string) => string;
}

/** How each of some talking points is said. */
export type TalkTable<Code extends TalkCode> = {
  readonly [One in Code]: (point: TalkOf<One>, tools: TalkTools) => TalkWords;
};

/** `Pot 3`, `Pots 3, 5 and 8`, as a sentence begins with them. */
export function potsText(numbers: readonly number[]): string {
  return say('potsNamed', { n: numbers.length, numbers: allOf(numbers) });
}

/** A share as so many of 100. */
export function percent(share: number): number {
  return Math.round(100 * share);
}
