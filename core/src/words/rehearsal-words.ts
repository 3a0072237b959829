import type { Rehearsal } from '../rehearsal/index.ts';

const HIGH = 0.8;
const HALF = 0.5;

/** What a rehearsal says of a plan, without claiming more than its model. */
export function rehearsalWords(rehearsal: Rehearsal, isNothing: boolean): string {
  if (!rehearsal.seen.defined) return 'No class was rehearsed.';
  const { share, low, high } = rehearsal.seen.value;
  const inHundred = `${Math.round(share * 100)} of 100 classes (${Math.round(low * 100)} to ${Math.round(high * 100)}, as only ${rehearsal.classes} were grown)`;
  if (rehearsal.counts['cannot-tell'] === rehearsal.classes) {
    return 'No class could test anything: too few pots had a plant to read on the lesson day.';
  }
  if (isNothing) {
    return `With nothing to find, ${inHundred} would still see a difference that is not there. About 5 of 100 is what the test allows.`;
  }
  const verdict =
    share >= HIGH
      ? 'This plan is likely to show it.'
      : share >= HALF
        ? 'It may show it, or miss it.'
        : 'This plan would mostly miss it: finding nothing would not mean that there is nothing.';
  return `An effect of this size would be seen by ${inHundred}. ${verdict}`;
}
