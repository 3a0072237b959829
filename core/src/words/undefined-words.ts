import { say } from '@bright-sprout/words/statements';
import type { UndefinedReason } from '../shared/index.ts';

const WORDS: Record<UndefinedReason, string> = {
  no_values: say('noPotHasAValue'),
  one_value: say('oneValueHasNoSpread'),
  too_few_groups: say('onlyOneTreatmentHasValues'),
  group_too_small: say('atLeastTwoPotsWithAValue'),
  no_spread: say('thePotsOfATreatmentAllRead'),
  first_reading: say('firstReadingSoThereIsNoChange'),
  reference_is_zero: say('theReferenceIs0SoThereIs'),
  one_category: say('everythingIsInOnePlaceSoThere'),
  nothing_germinates: say('noSeedOfThisPacketIsExpected'),
  too_many_needed: say('noSensibleNumberOfSeedsIsEnough'),
  needs_lengths: say('itNeedsTheLengthOnOneDay'),
  kinds_differ: say('potsOfSeveralKindsNeedSparesOf'),
  no_crop_figures: say('thisCropHasNoFiguresForIt'),
  temperature_outside: say('thisCropDoesNotComeUpAt'),
  ages_are_the_change: say('thePlantsDifferInAgeOnPurpose'),
  not_a_height: say('thisPlanReadsSomethingOtherThanA'),
  missing_cells: say('someCombinationsWereNotGrownOrHave'),
  no_residual: say('thereAreAsManyCombinationsAsPots'),
  table_too_large: say('thereAreTooManyPossibleTablesTo'),
  too_few_points: say('thereAreTooFewPoints'),
  not_bent_yet: say('theCurveHasNotBegunToBend'),
  no_growth: say('theValuesDoNotGrow'),
  no_fit: say('noSuchCurveComesNearTheValues'),
  not_above_zero: say('valuesAbove0AreNeeded'),
  none_up: say('nothingHasComeUp'),
  no_seed_count: say('nobodyWroteDownHowManySeedsWere'),
  uneven_checks: say('itNeedsACheckOnEveryDay'),
  no_packet_rate: say('thePacketStatesNoRate'),
  half_never_reached: say('fewerThanHalfHaveComeUp'),
  one_crop: say('allPotsHoldOneCrop'),
  one_team: say('noTreatmentWasReadByTwoTeams'),
  not_crossed: say('onlyOneThingWasChanged'),
  no_blocks: say('thePotsDoNotStandInBlocks'),
  too_many_pairs: say('thereAreTooManyPairsToShuffle'),
  nobody_read_twice: say('noPotWasReadByTwoPeople'),
  one_class: say('onlyOneClassHasValues'),
  ordered_scores: say('orderedStepsHaveNoDistanceBetween'),
  seeds_share_pots: say('severalSeedsShareAPotAndSeeds'),
};

/** Why a figure is not there, for a reader. */
export function undefinedWords(reason: UndefinedReason): string {
  return WORDS[reason];
}
