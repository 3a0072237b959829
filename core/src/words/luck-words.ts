import type { Outcome } from '../shared/index.ts';
import type { PairDifference } from '../statistics/index.ts';
import type { ReadingLevel } from './reading-level.ts';
import { undefinedWords } from './undefined-words.ts';

/** A p value as `p = 0.032` or `p < 0.001`. */
export function pText(p: number): string {
  return p < 0.001 ? 'p < 0.001' : `p = ${p.toFixed(p < 0.1 ? 3 : 2)}`;
}

/** How often out of 100 chance alone gives a gap this big or bigger: "about 4 of 100". */
export function outOfHundred(p: number): string {
  if (p < 0.01) return 'fewer than 1 of 100';
  if (p > 0.99) return 'nearly all of 100';
  return `about ${Math.round(p * 100)} of 100`;
}

/** With fewer shuffles than this, a rare gap has hardly had the chance to come up. */
const FEWEST_SHUFFLES = 200;

/**
 * Says how often shuffled labels gave a gap at least as big as the real one. The real arrangement is counted in, as
 * one of those that chance could give: (asLarge + 1) ÷ (count + 1), Phipson and Smyth (2010).
 */
export function shuffleWords(asLarge: number, count: number): string {
  if (count === 0) return 'Nothing shuffled yet.';
  const seen = `${asLarge} of ${count} shuffles gave a gap at least as big`;
  if (count < FEWEST_SHUFFLES) return `${seen}: too few shuffles yet to say how often that is.`;
  return `${seen}: ${outOfHundred((asLarge + 1) / (count + 1))}.`;
}

/**
 * Says what a p value means: how often luck alone would give such a gap if the treatment did nothing.
 * @param comparisons number of pairs that were tested, which the p value allows for
 */
export function luckWords(test: Outcome<PairDifference>, level: ReadingLevel, comparisons: number): string {
  if (!test.defined) return `Luck cannot be judged yet: ${undefinedWords(test.reason)}.`;
  const { p } = test.value;
  const times = outOfHundred(p);
  switch (level) {
    case '5-7':
      if (p < 0.05) return 'A gap this big would hardly ever come from luck alone.';
      return p < 0.2
        ? 'A gap this big sometimes comes from luck alone.'
        : 'A gap this big often comes from luck alone.';
    case '8-10':
      return `If the treatment did nothing, luck alone would make a gap this big in ${times} tries.`;
    case '11-13':
      return `If the treatment did nothing, plant-to-plant luck would give a gap this big or bigger in ${times} such experiments.`;
    case '14+': {
      const method = comparisons > 1 ? `Games–Howell, allowing for ${comparisons} pairs` : 'Welch t test';
      return `${pText(p)} (${method}): if the treatment did nothing, a gap this big or bigger would turn up in ${times} such experiments.`;
    }
  }
}
