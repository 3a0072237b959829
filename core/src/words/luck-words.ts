import { ALPHA } from '../statistics/index.ts';
import type { ReadingLevel } from './reading-level.ts';

/** Luck does it in fewer than one try of five. */
const SOMETIMES = 0.2;

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
 * Says what a p value means: how often luck alone would give such a difference if the treatment did nothing.
 * @param what that luck alone would make: `a gap this big`
 * @param method how it was judged, for those who can read it
 */
export function luckWords(p: number, level: ReadingLevel, what: string, method: string): string {
  const times = outOfHundred(p);
  switch (level) {
    case '5-7':
      if (p < ALPHA) return `${capital(what)} would hardly ever come from luck alone.`;
      return p < SOMETIMES
        ? `${capital(what)} sometimes comes from luck alone.`
        : `${capital(what)} often comes from luck alone.`;
    case '8-10':
      return `If the treatment did nothing, luck alone would make ${what} in ${times} tries.`;
    case '11-13':
      return `If the treatment did nothing, plant-to-plant luck would give ${what} or bigger in ${times} such experiments.`;
    case '14+':
      return `${pText(p)} (${method}): if the treatment did nothing, ${what} or bigger would turn up in ${times} such experiments.`;
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
