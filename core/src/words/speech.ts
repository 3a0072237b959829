import { say } from '@bright-sprout/words/shared';
import type { ComparedGroup, Comparison } from '../comparison/index.ts';
import type { ReadingLevel } from './reading-level.ts';
import type { ValueStyle } from './value-style.ts';

/** What the words of a comparison need beside the result. */
export interface ComparisonSpeech {
  readonly comparison: Comparison;
  readonly treatments: readonly ComparedGroup[];
  readonly style: ValueStyle;
  readonly level: ReadingLevel;
}

/** A group's name, as it was written. */
export function nameOf(groups: readonly Pick<ComparedGroup, 'id' | 'name'>[], groupId: string): string {
  return groups.find((group) => group.id === groupId)?.name ?? '';
}

/** When a comparison holds: `on day 18`, or `by day 18` for a figure of all days until then. */
export function whenText({ comparison }: Pick<ComparisonSpeech, 'comparison'>): string {
  return comparison.summary === 'day'
    ? say('on', { comparison: dayText(comparison) })
    : say('by', { comparison: dayText(comparison) });
}

/** The day of a comparison: `day 18`, or `this day` where pots differ in age. */
export function dayText({ age }: Pick<Comparison, 'age'>): string {
  return age === null ? say('thisDay') : say('day', { age });
}
