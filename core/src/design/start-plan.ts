import { say } from '@bright-sprout/words/design';
import type { CalendarDay } from '../shared/index.ts';
import { type ContainerKind, usualContainer, usualWaterMl } from './container.ts';
import type { Crop } from './crop.ts';
import type {
  Aspect,
  Conditions,
  InvestigationKind,
  Plan,
  PlanFactor,
  PlanLevel,
  PlanMeasure,
} from './plan.ts';
import { isSetSingly } from './start-form.ts';
import { usualSteps } from './usual-steps.ts';
import { PLAIN_LEVEL } from './treatments.ts';

/** What a teacher says to begin with. */
export interface StartWish {
  readonly kind: InvestigationKind;
  readonly question: string;
  readonly crop: Crop;
  /** Other crops to stand beside it in the kinds that compare crops; the first ones are taken. */
  readonly otherCrops: readonly Crop[];
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
}

interface KindDefaults {
  readonly container: ContainerKind;
  readonly replicates: number;
  readonly seedsPerUnit: number;
  readonly plantsPerUnit: number;
  readonly measure: PlanMeasure;
  readonly alsoRead?: Plan['alsoRead'];
  readonly factors: (wish: StartWish) => PlanFactor[];
  readonly conditions?: Partial<Conditions>;
  readonly constants: readonly string[];
  readonly choices: readonly string[];
  /** What the class is asked to guess; left out for the usual question. */
  readonly prompt?: string;
}

const HEIGHT: PlanMeasure = { variable: 'height', unit: 'cm', step: 0.5 };
const SEEDS_UP: PlanMeasure = { variable: 'seeds up', unit: 'seeds', step: 1 };
const KEPT = [
  say('theSameSeed'),
  say('theSamePotsAndMix'),
  say('theSameWindow'),
  say('theSameWaterOnTheSameDays'),
];
const GOAL_SHARE = 0.8;
const GOAL_OF_DAY_21 = 0.3;
const GOAL_MM = 20;

function level(name: string, changes: Partial<PlanLevel> = {}): PlanLevel {
  return { ...PLAIN_LEVEL, name, ...changes };
}

function factor(name: string, aspect: Aspect, levels: readonly PlanLevel[]): PlanFactor {
  return { name, aspect, levels };
}

function cropLevels(wish: StartWish, count: number): PlanLevel[] {
  return [wish.crop, ...wish.otherCrops.filter((crop) => crop.id !== wish.crop.id)]
    .slice(0, count)
    .map((crop) => level(crop.commonName, { cropId: crop.id }));
}

const USUAL_OR_CHANGED = [level(say('asUsual'), { isControl: true }), level(say('changed'))];

const KINDS: Record<InvestigationKind, KindDefaults> = {
  watch: {
    container: 'cups',
    replicates: 12,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    alsoRead: ['stage'],
    factors: () => [],
    constants: KEPT,
    choices: [say('inTheFirstWeek'), say('inTheSecondWeek'), say('later')],
    prompt: say('whenWillTheFirstOneBeUp'),
  },
  one_factor: {
    container: 'flat',
    replicates: 5,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [factor(say('whatWeChange'), 'other', USUAL_OR_CHANGED)],
    constants: KEPT,
    choices: [say('changedGrowsTaller'), say('asUsualGrowsTaller'), say('noDifferenceThatWeCanSee')],
  },
  crossed: {
    container: 'cups',
    replicates: 3,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor(say('firstChange'), 'other', USUAL_OR_CHANGED),
      factor(say('secondChange'), 'other', [level(say('without'), { isControl: true }), level(say('with'))]),
    ],
    constants: KEPT,
    choices: [
      say('eachChangeMattersByItself'),
      say('oneChangeMatters'),
      say('theyOnlyMatterTogether'),
      say('neitherMatters'),
    ],
  },
  density: {
    container: 'flat',
    replicates: 5,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor(say('plantsInAPot'), 'density', [
        level(say('onePlant'), { isControl: true, plants: 1 }),
        level(say('threePlants'), { plants: 3 }),
      ]),
    ],
    constants: [say('theSameSeed'), say('potsOfOneSize'), say('theSameWaterAPot'), say('theSameWindow')],
    choices: [say('aloneTheyGrowTaller'), say('crowdedTheyGrowTaller'), say('noDifferenceThatWeCanSee')],
  },
  crops: {
    container: 'flat',
    replicates: 5,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: (wish) => [factor(say('crop'), 'crop', cropLevels(wish, 2))],
    constants: [say('theSameSowingDay'), say('theSamePotsAndMix'), say('theSameWindow'), say('theSameWater')],
    choices: [say('theFirstCropIsUpFirst'), say('theSecondCropIsUpFirst'), say('bothOnTheSameDay')],
  },
  ages: {
    container: 'egg_carton',
    replicates: 3,
    seedsPerUnit: 3,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor(say('ageOnTheLessonDay'), 'age', [
        level(say('threeWeeks'), { ageDays: 21 }),
        level(say('twoWeeks'), { ageDays: 14 }),
        level(say('oneWeek'), { ageDays: 7 }),
        level(say('yesterday'), { ageDays: 1 }),
      ]),
    ],
    constants: [say('theSameSeed'), say('theSameMix'), say('theSamePlace')],
    choices: [say('theyGrowAsMuchInEachWeek'), say('theMostInTheFirstWeek'), say('theMostInTheLastWeek')],
  },
  packet_test: {
    container: 'egg_carton',
    replicates: 12,
    seedsPerUnit: 5,
    plantsPerUnit: 5,
    measure: SEEDS_UP,
    factors: () => [],
    constants: [say('theSameDepth'), say('theSameWater'), say('theSameWindow')],
    choices: [say('moreThanThePacketSays'), say('aboutWhatThePacketSays'), say('fewerThanThePacketSays')],
  },
  sorting: {
    container: 'egg_carton',
    replicates: 6,
    seedsPerUnit: 4,
    plantsPerUnit: 4,
    measure: SEEDS_UP,
    factors: () => [factor(say('inAGlassOfWater'), 'sorting', [level(say('sank')), level(say('floated'))])],
    constants: [say('seedsOfOnePacket'), say('theSameTimeInTheWater'), say('theSameMixDepthAndWindow')],
    choices: [say('moreThatSankComeUp'), say('moreThatFloatedComeUp'), say('noDifferenceThatWeCanSee')],
  },
  soil_free: {
    container: 'bags',
    replicates: 4,
    seedsPerUnit: 5,
    plantsPerUnit: 5,
    measure: SEEDS_UP,
    alsoRead: ['root length'],
    factors: () => [
      factor(say('whatTheSeedsLieOn'), 'medium', [
        level(say('paperTowel'), { isControl: true, medium: say('foldedDampPaperTowelInABag') }),
        level(say('cotton'), { medium: say('dampCottonInABag') }),
      ]),
    ],
    conditions: {
      hasSoil: false,
      waterMl: 15,
      medium: say('foldedDampPaperTowelInABag'),
      depthRule: 'surface',
    },
    constants: [say('seedsOfOnePacket'), say('theSameBagsAndWater'), say('theSameWindow')],
    choices: [say('theTowelIsFaster'), say('theCottonIsFaster'), say('noDifferenceThatWeCanSee')],
  },
  sections: {
    container: 'pan_sections',
    replicates: 2,
    seedsPerUnit: 20,
    plantsPerUnit: 20,
    measure: { variable: 'green cover', unit: '%', step: 1 },
    factors: (wish) => [factor(say('crop'), 'crop', cropLevels(wish, 3))],
    conditions: { depthRule: 'surface' },
    constants: [say('onePanOneMix'), say('theSameSpoonOfSeed'), say('aPhotoStraightDownAtTheSame')],
    choices: [say('theFirstCropCoversItsSectionFirst'), say('theSecond'), say('theThird')],
  },
  pieces: {
    container: 'pots',
    replicates: 4,
    seedsPerUnit: 1,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor(say('budsOnThePiece'), 'other', [
        level(say('oneBud'), { isControl: true }),
        level(say('threeBuds')),
      ]),
    ],
    constants: [say('piecesOfAboutOneWeight'), say('theSamePotsAndMix'), say('theSameWindow')],
    choices: [say('moreBudsGrowTaller'), say('oneBudGrowsTaller'), say('noDifferenceThatWeCanSee')],
  },
  challenge: {
    container: 'cups',
    replicates: 15,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [],
    constants: [say('theSameSeed'), say('theSamePotsAndMix'), say('oneWindowPotsTurnedEveryWeek')],
    choices: [say('inTheSecondWeek'), say('inTheThirdWeek'), say('later')],
  },
};

const REFERENCE_MM = 150;

/** A whole plan of a kind, with defaults that make sense for the crop; everything in it can be changed. */
export function startPlan(wish: StartWish): Plan {
  const { kind, question, crop, sowOn, lessonOn } = wish;
  const defaults = KINDS[kind];
  const ofDay21 = crop.heightAtDay21Mm === null ? GOAL_MM : crop.heightAtDay21Mm * GOAL_OF_DAY_21;
  const begun: Plan = {
    question,
    hypothesis: '',
    kind,
    cropId: crop.id,
    lotId: null,
    factors: defaults.factors(wish),
    leftOut: [],
    replicates: defaults.replicates,
    seedsPerUnit: isSetSingly({ kind, conditions: {} }, crop)
      ? defaults.plantsPerUnit
      : defaults.seedsPerUnit,
    plantsPerUnit: defaults.plantsPerUnit,
    chance: 0.9,
    seedsPerPacket: 50,
    containers: [usualContainer(defaults.container)],
    layoutMethod: 'random',
    layoutSeed: 1,
    measure: defaults.measure,
    alsoRead: defaults.alsoRead ?? [],
    plantRule: kind === 'density' ? 'tagged' : 'tallest',
    sowOn,
    lessonOn,
    goal: { share: GOAL_SHARE, heightMm: defaults.measure.variable === 'height' ? Math.round(ofDay21) : 0 },
    referenceMm: kind === 'challenge' ? REFERENCE_MM : null,
    conditions: {
      temperatureC: 21,
      light: 'bright',
      lightHours: 12,
      depthRule: 'packet',
      medium: say('seedStartingMix'),
      hasSoil: true,
      waterMl: usualWaterMl(usualContainer(defaults.container).cellMl),
      cover: 'until_up',
      fill: 'fill_then_poke',
      isFirmed: true,
      reactionDays: 0,
      soakHours: 0,
      coldDays: 0,
      ...defaults.conditions,
    },
    constants: defaults.constants,
    steps: [],
    calendar: {
      meetingDays: [1, 2, 3, 4, 5],
      holidays: [],
      rhythm: 'class_days',
      waterEveryDays: 2,
      helper: '',
      potsOn: kind === 'soil_free',
      lastFrostOn: null,
      isHarvested: false,
    },
    prediction: { prompt: defaults.prompt ?? say('whatDoYouThinkWillHappen'), choices: defaults.choices },
  };
  return { ...begun, steps: usualSteps(begun) };
}
