import type { VariableView } from '@bright-sprout/contract/plan';
import type { ReadingState } from '@bright-sprout/core/shared';
import { readText } from '@bright-sprout/core/words';
import { styleOf } from '../shared/experiment/index.ts';

const STATES: Record<ReadingState, string> = {
  not_up: 'not up yet',
  up: 'up',
  dead: 'dead',
  removed: 'taken out',
  not_read: 'not read',
};

/** A finding in a few words. */
export function findingWords(
  { state, value }: { state: ReadingState; value: number | null },
  variable: VariableView,
): string {
  return value === null ? STATES[state] : readText(value, styleOf(variable));
}
