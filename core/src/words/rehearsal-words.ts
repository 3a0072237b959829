import { say } from '@bright-sprout/words/plan-statements';
import type { Rehearsal } from '../rehearsal/index.ts';

const HIGH = 0.8;
const HALF = 0.5;

/** What a rehearsal says of a plan, without claiming more than its model. */
export function rehearsalWords(rehearsal: Rehearsal, isNothing: boolean): string {
  if (!rehearsal.seen.defined) return say('noClassWasRehearsed');
  const { share, low, high } = rehearsal.seen.value;
  const inHundred = say('of100ClassesToAsOnlyWere', {
    share: Math.round(share * 100),
    low: Math.round(low * 100),
    high: Math.round(high * 100),
    classes: rehearsal.classes,
  });
  if (rehearsal.counts.cannot_tell === rehearsal.classes) {
    return say('noClassCouldTestAnythingTooFew');
  }
  if (isNothing) {
    return say('withNothingToFindWouldStillSee', { inHundred });
  }
  const verdict =
    share >= HIGH
      ? say('thisPlanIsLikelyToShowIt')
      : share >= HALF
        ? say('itMayShowItOrMissIt')
        : say('thisPlanWouldMostlyMissItFinding');
  return say('anEffectOfThisSizeWouldBe', { inHundred, verdict });
}
