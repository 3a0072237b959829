import { say } from '@bright-sprout/words/statements';
import type { Outcome } from '../shared/index.ts';
import { ALPHA } from '../statistics/index.ts';
import type { ReadingLevel } from './reading-level.ts';

/** Luck does it in fewer than one try of five. */
const SOMETIMES = 0.2;

/** A p value as `p = 0.032` or `p < 0.001`. */
export function pText(p: number): string {
  return p < 0.001 ? 'p < 0.001' : `p = ${p.toFixed(p < 0.1 ? 3 : 2)}`;
}

/** The p value of a test that could be made. */
export function chanceOf(test: Outcome<{ readonly p: number }>): number | null {
  return test.defined ? test.value.p : null;
}

/** How often out of 100 chance alone gives a gap this big or bigger: "about 4 of 100". */
export function outOfHundred(p: number): string {
  if (p < 0.01) return say('fewerThan1Of100');
  if (p > 0.99) return say('nearlyAllOf100');
  return say('aboutOf100', { p: Math.round(p * 100) });
}

/** With fewer shuffles than this, a rare gap has hardly had the chance to come up. */
const FEWEST_SHUFFLES = 200;

/**
 * Says how often shuffled labels gave a gap at least as big as the real one. The real arrangement is counted in, as
 * one of those that chance could give: (asLarge + 1) ÷ (count + 1), Phipson and Smyth (2010).
 */
export function shuffleWords(asLarge: number, count: number): string {
  if (count === 0) return say('nothingShuffledYet');
  const seen = say('ofShufflesGaveAGapAtLeast', { asLarge, count });
  if (count < FEWEST_SHUFFLES) return say('tooFewShufflesYetToSayHow', { seen });
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
      if (p < ALPHA) return say('wouldHardlyEverComeFromLuckAlone', { capital: capital(what) });
      return p < SOMETIMES
        ? say('sometimesComesFromLuckAlone', { capital: capital(what) })
        : say('oftenComesFromLuckAlone', { capital: capital(what) });
    case '8-10':
      return say('ifTheTreatmentDidNothingLuckAlone', { what, times });
    case '11-13':
      return say('ifTheTreatmentDidNothingPlantTo', { what, times });
    case '14+':
      return say('ifTheTreatmentDidNothingOrBigger', { pText: pText(p), method, what, times });
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
