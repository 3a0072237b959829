import { say } from '@bright-sprout/words/statements';
import type { UndefinedReason } from '../shared/index.ts';

const WORDS: Record<UndefinedReason, string> = {
  'no-values': say('noPotHasAValue'),
  'one-value': say('oneValueHasNoSpread'),
  'too-few-groups': say('onlyOneTreatmentHasValues'),
  'group-too-small': say('atLeastTwoPotsWithAValue'),
  'no-spread': say('thePotsOfATreatmentAllRead'),
  'first-reading': say('firstReadingSoThereIsNoChange'),
  'reference-is-zero': say('theReferenceIs0SoThereIs'),
  'one-category': say('everythingIsInOnePlaceSoThere'),
  'nothing-germinates': say('noSeedOfThisPacketIsExpected'),
  'too-many-needed': say('noSensibleNumberOfSeedsIsEnough'),
  'needs-lengths': say('itNeedsTheLengthOnOneDay'),
  'kinds-differ': say('potsOfSeveralKindsNeedSparesOf'),
  'no-crop-figures': say('thisCropHasNoFiguresForIt'),
  'temperature-outside': say('thisCropDoesNotComeUpAt'),
  'ages-are-the-change': say('thePlantsDifferInAgeOnPurpose'),
  'not-a-height': say('thisPlanReadsSomethingOtherThanA'),
  'missing-cells': say('someCombinationsWereNotGrownOrHave'),
  'no-residual': say('thereAreAsManyCombinationsAsPots'),
  'table-too-large': say('thereAreTooManyPossibleTablesTo'),
  'too-few-points': say('thereAreTooFewPoints'),
  'not-bent-yet': say('theCurveHasNotBegunToBend'),
  'no-growth': say('theValuesDoNotGrow'),
  'no-fit': say('noSuchCurveComesNearTheValues'),
  'not-above-zero': say('valuesAbove0AreNeeded'),
  'none-up': say('nothingHasComeUp'),
  'no-seed-count': say('nobodyWroteDownHowManySeedsWere'),
  'uneven-checks': say('itNeedsACheckOnEveryDay'),
  'no-packet-rate': say('thePacketStatesNoRate'),
  'half-never-reached': say('fewerThanHalfHaveComeUp'),
  'one-crop': say('allPotsHoldOneCrop'),
  'one-team': say('noTreatmentWasReadByTwoTeams'),
  'not-crossed': say('onlyOneThingWasChanged'),
  'no-blocks': say('thePotsDoNotStandInBlocks'),
  'too-many-pairs': say('thereAreTooManyPairsToShuffle'),
  'nobody-read-twice': say('noPotWasReadByTwoPeople'),
  'one-class': say('onlyOneClassHasValues'),
  'ordered-scores': say('orderedStepsHaveNoDistanceBetween'),
  'seeds-share-pots': say('severalSeedsShareAPotAndSeeds'),
};

/** Why a figure is not there, for a reader. */
export function undefinedWords(reason: UndefinedReason): string {
  return WORDS[reason];
}
