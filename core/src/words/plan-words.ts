import { say } from '@bright-sprout/words/plan-statements';
import {
  type Aspect,
  type ContainerKind,
  type DepthRule,
  type InvestigationKind,
  type LightPlace,
  type RateSource,
  type Plan,
  type DepthReason,
} from '../design/index.ts';
import { type Household, householdMl, householdOf } from '../amounts/index.ts';
import type { TaskCode } from '../calendar/index.ts';

/** Name and use of each kind of investigation. */
export const KIND_WORDS: Record<InvestigationKind, { readonly name: string; readonly about: string }> = {
  watch: { name: say('growAndWatch'), about: say('oneCropNothingChangedWhenAndHow') },
  one_factor: { name: say('oneChange'), about: say('oneThingChangedAgainstPotsLeftAs') },
  crossed: { name: say('crossedChanges'), about: say('twoOrThreeThingsChangedInEvery') },
  density: { name: say('crowding'), about: say('moreOrFewerPlantsInAPot') },
  crops: { name: say('cropsSideBySide'), about: say('twoOrMoreCropsNothingElseChanged') },
  ages: { name: say('ageLadder'), about: say('sownOnSeveralDaysSoAllAges') },
  packet_test: { name: say('packetTest'), about: say('seedsCountedInSeedlingsCountedOut') },
  sorting: { name: say('sortedSeeds'), about: say('sortedBeforeSowingDidItPredict') },
  soil_free: { name: say('rootsInSight'), about: say('bagsJarsOrSpongesWithoutSoil') },
  sections: { name: say('panInSections'), about: say('oneCropASectionSeenFromAbove') },
  pieces: { name: say('piecesNotSeeds'), about: say('plantsFromPiecesOfAPlant') },
  challenge: { name: say('growingChallenge'), about: say('whichPlantPassesTheMarkFirst') },
};

export const ASPECT_WORDS: Record<Aspect, string> = {
  water: 'water',
  light: 'light',
  temperature: 'temperature',
  additive: say('whatIsAdded'),
  medium: say('whatItGrowsIn'),
  cover: 'cover',
  depth: say('sowingDepth'),
  density: say('plantsInAPot'),
  crop: 'crop',
  age: 'age',
  sorting: say('sortingOfTheSeed'),
  other: say('somethingElse'),
};

export const CONTAINER_WORDS: Record<ContainerKind, string> = {
  egg_carton: say('eggCarton'),
  flat: say('flat'),
  cups: say('cups'),
  pots: say('pots'),
  jars: say('jars'),
  bags: say('bagsOnAWindow'),
  box_rows: say('boxWithRows'),
  pan_sections: say('panInSections'),
};

export const LIGHT_WORDS: Record<LightPlace, string> = {
  bright: say('brightWindow'),
  shade: 'shade',
  dark: 'dark',
  lamp: say('underALamp'),
};

export const DEPTH_WORDS: Record<DepthRule, string> = {
  packet: say('whatThePacketSays'),
  as_thick: say('asDeepAsTheSeedIsThick'),
  two_and_half: say('n2TimesAsDeepAsThick'),
  half_inch: say('halfAnInchForAll'),
  quarter_inch: say('aQuarterInchForAll'),
  surface: say('onTheSurface'),
};

export const DEPTH_REASON_WORDS: Record<DepthReason, string> = {
  packet_says: say('packetsKnowTheirOwnSeedBest'),
  needs_light: say('thisSeedNeedsLightToComeUp'),
  tiny: say('aSeedThisSmallHasNoStrength'),
  no_figure: say('thereIsNoFigureOnThePacket'),
};

export const RATE_WORDS: Record<RateSource, string> = {
  typical: say('typicalForThisCrop'),
  packet: say('byThePacket'),
  aged: say('byThePacketLessATenthFor'),
  tested: say('byThePacketAndYourOwnTests'),
  tested_usual: say('byWhatIsUsualAndYourOwnTests'),
  tested_alone: say('byYourOwnTests'),
};

export const TASK_WORDS: Record<TaskCode, string> = {
  sort: say('sortTheSeeds'),
  cold: say('seedsIntoTheCold'),
  treat_mix: say('treatTheMixAndLetItReact'),
  soak: say('soakTheSeeds'),
  kits: say('makeUpTheKits'),
  sow: say('sow'),
  first_check: say('firstLookAnythingUp'),
  uncover: say('takeTheCoverOff'),
  read: say('readEveryPot'),
  water: say('checkTheWater'),
  thin: say('thinToTheStrongest'),
  pot_on: say('potOn'),
  harden: say('beginHardeningOff'),
  plant_out: say('plantOut'),
  harvest: say('harvestOrFlower'),
  lesson: say('theLesson'),
  own: say('aTaskOfYourOwn'),
};

const FRACTIONS: Record<string, string> = { '0.25': '¼', '0.33': '⅓', '0.5': '½', '0.67': '⅔', '0.75': '¾' };

/** A kitchen measure in words: `2½ cups`. */
export function householdText({ amount, measure }: Household): string {
  const whole = Math.floor(amount);
  const part = FRACTIONS[String(Math.round(100 * (amount - whole)) / 100)] ?? '';
  const number = whole === 0 && part !== '' ? part : `${whole}${part}`;
  return say('measureNamed', { number, measure, isSeveral: amount > 1 ? 'yes' : 'no' });
}

/** Beyond this share a measure is said to hold more than is asked for. */
const ROUNDED_SHARE = 0.02;

/** A volume by a kitchen's measures, and what that is rounded from: `½ cup (rounded up from 110 mL)`. */
export function kitchenText(ml: number): string {
  const household = householdOf(ml);
  const text = householdText(household);
  const isRounded = householdMl(household) > ml * (1 + ROUNDED_SHARE);
  return isRounded ? say('roundedUpFrom', { text, volume: volumeText(ml) }) : text;
}

/** A volume in mL or litres. */
export function volumeText(ml: number): string {
  if (ml >= 1000) return `${(Math.ceil(ml / 100) / 10).toString()} L`;
  return say('ml', { ml: ml < 10 ? Math.round(ml * 10) / 10 : Math.round(ml) });
}

/** A chance of whole classes: `9 in 10`, never quite 0 or 10 where it is not. */
export function chanceText(chance: number): string {
  if (chance >= 0.995) return chance >= 0.9995 ? say('asGoodAsCertain') : say('n99In100');
  if (chance <= 0.005) return chance <= 0.0005 ? say('asGoodAsNever') : say('n1In200');
  const tenths = Math.round(chance * 10);
  const isTenths = Math.abs(chance - tenths / 10) < 0.005 && tenths > 0 && tenths < 10;
  return isTenths ? say('in10', { tenths }) : say('in100', { chance: Math.round(chance * 100) });
}

/** Parts of a plan as a person calls them; others are told as the plan. */
export const PLAN_PART_WORDS = {
  question: say('theQuestion'),
  hypothesis: say('thePrediction'),
  kind: say('theKindOfInvestigation'),
  cropId: say('theCrop'),
  lotId: say('thePacket'),
  factors: say('whatIsChanged'),
  leftOut: say('theCombinations'),
  replicates: say('theNumberOfPots'),
  seedsPerUnit: say('theSeedsInAPot'),
  plantsPerUnit: say('thePlantsInAPot'),
  containers: say('theContainers'),
  layoutMethod: say('theLayout'),
  layoutSeed: say('theLayout'),
  measure: say('whatIsRead'),
  plantRule: say('whichPlantIsRead'),
  alsoRead: say('whatElseIsRead'),
  seedsPerPacket: say('theSeedsInAPacket'),
  chance: say('theChance'),
  sortOn: say('theSortingDate'),
  sowOn: say('theSowingDate'),
  lessonOn: say('theLessonDate'),
  goal: say('theGoal'),
  conditions: say('theConditions'),
  constants: say('whatStaysTheSame'),
  steps: say('theSteps'),
  calendar: say('theDays'),
  prediction: say('theGuess'),
} as const satisfies Partial<Record<keyof Plan, string>>;
