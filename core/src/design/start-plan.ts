import type { CalendarDay } from '../shared/index.ts';
import { type ContainerKind, usualContainer } from './container.ts';
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
import { startingSteps } from './starting-steps.ts';
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
  readonly factors: (wish: StartWish) => PlanFactor[];
  readonly conditions?: Partial<Conditions>;
  readonly constants: readonly string[];
  readonly choices: readonly string[];
}

const HEIGHT: PlanMeasure = { variable: 'height', unit: 'cm', step: 0.5 };
const SEEDS_UP: PlanMeasure = { variable: 'seeds up', unit: 'seeds', step: 1 };
const KEPT = ['the same seed', 'the same pots and mix', 'the same window', 'the same water on the same days'];
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

const USUAL_OR_CHANGED = [level('As usual', { isControl: true }), level('Changed')];

const KINDS: Record<InvestigationKind, KindDefaults> = {
  one_factor: {
    container: 'flat',
    replicates: 5,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [factor('What we change', 'other', USUAL_OR_CHANGED)],
    constants: KEPT,
    choices: ['Changed grows taller', 'As usual grows taller', 'No difference that we can see'],
  },
  crossed: {
    container: 'cups',
    replicates: 3,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor('First change', 'other', USUAL_OR_CHANGED),
      factor('Second change', 'other', [level('Without', { isControl: true }), level('With')]),
    ],
    constants: KEPT,
    choices: [
      'Each change matters by itself',
      'One change matters',
      'They only matter together',
      'Neither matters',
    ],
  },
  density: {
    container: 'flat',
    replicates: 5,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor('Plants in a pot', 'density', [
        level('One plant', { isControl: true, plants: 1 }),
        level('Three plants', { plants: 3 }),
      ]),
    ],
    constants: ['the same seed', 'pots of one size', 'the same water a pot', 'the same window'],
    choices: ['Alone they grow taller', 'Crowded they grow taller', 'No difference that we can see'],
  },
  crops: {
    container: 'flat',
    replicates: 5,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: (wish) => [factor('Crop', 'crop', cropLevels(wish, 2))],
    constants: ['the same sowing day', 'the same pots and mix', 'the same window', 'the same water'],
    choices: ['The first crop is up first', 'The second crop is up first', 'Both on the same day'],
  },
  ages: {
    container: 'egg_carton',
    replicates: 3,
    seedsPerUnit: 3,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor('Age on the lesson day', 'age', [
        level('Three weeks', { ageDays: 21 }),
        level('Two weeks', { ageDays: 14 }),
        level('One week', { ageDays: 7 }),
        level('Yesterday', { ageDays: 1 }),
      ]),
    ],
    constants: ['the same seed', 'the same mix', 'the same place'],
    choices: ['They grow as much in each week', 'The most in the first week', 'The most in the last week'],
  },
  packet_test: {
    container: 'egg_carton',
    replicates: 12,
    seedsPerUnit: 5,
    plantsPerUnit: 5,
    measure: SEEDS_UP,
    factors: () => [],
    constants: ['the same depth', 'the same water', 'the same window'],
    choices: ['More than the packet says', 'About what the packet says', 'Fewer than the packet says'],
  },
  sorting: {
    container: 'egg_carton',
    replicates: 6,
    seedsPerUnit: 4,
    plantsPerUnit: 4,
    measure: SEEDS_UP,
    factors: () => [factor('In a glass of water', 'sorting', [level('Sank'), level('Floated')])],
    constants: ['seeds of one packet', 'the same time in the water', 'the same mix, depth and window'],
    choices: ['More that sank come up', 'More that floated come up', 'No difference that we can see'],
  },
  soil_free: {
    container: 'bags',
    replicates: 4,
    seedsPerUnit: 5,
    plantsPerUnit: 5,
    measure: SEEDS_UP,
    factors: () => [
      factor('What the seeds lie on', 'medium', [
        level('Paper towel', { isControl: true, medium: 'folded damp paper towel in a bag' }),
        level('Cotton', { medium: 'damp cotton in a bag' }),
      ]),
    ],
    conditions: {
      hasSoil: false,
      waterMl: 15,
      medium: 'folded damp paper towel in a bag',
      depthRule: 'surface',
    },
    constants: ['seeds of one packet', 'the same bags and water', 'the same window'],
    choices: ['The towel is faster', 'The cotton is faster', 'No difference that we can see'],
  },
  sections: {
    container: 'pan_sections',
    replicates: 2,
    seedsPerUnit: 20,
    plantsPerUnit: 20,
    measure: { variable: 'green cover', unit: '%', step: 1 },
    factors: (wish) => [factor('Crop', 'crop', cropLevels(wish, 3))],
    conditions: { depthRule: 'surface' },
    constants: ['one pan, one mix', 'the same spoon of seed', 'a photo straight down, at the same hour'],
    choices: ['The first crop covers its section first', 'The second', 'The third'],
  },
  pieces: {
    container: 'pots',
    replicates: 4,
    seedsPerUnit: 1,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [
      factor('Buds on the piece', 'other', [level('One bud', { isControl: true }), level('Three buds')]),
    ],
    constants: ['pieces of about one weight', 'the same pots and mix', 'the same window'],
    choices: ['More buds grow taller', 'One bud grows taller', 'No difference that we can see'],
  },
  challenge: {
    container: 'cups',
    replicates: 15,
    seedsPerUnit: 2,
    plantsPerUnit: 1,
    measure: HEIGHT,
    factors: () => [],
    constants: ['the same seed', 'the same pots and mix', 'one window, pots turned every week'],
    choices: ['In the second week', 'In the third week', 'Later'],
  },
};

const REFERENCE_MM = 150;

/** A whole plan of a kind, with defaults that make sense for the crop; everything in it can be changed. */
export function startPlan(wish: StartWish): Plan {
  const { kind, question, crop, sowOn, lessonOn } = wish;
  const defaults = KINDS[kind];
  const ofDay21 = crop.heightAtDay21Mm === null ? GOAL_MM : crop.heightAtDay21Mm * GOAL_OF_DAY_21;
  return {
    question,
    hypothesis: '',
    kind,
    cropId: crop.id,
    lotId: null,
    factors: defaults.factors(wish),
    leftOut: [],
    replicates: defaults.replicates,
    seedsPerUnit: defaults.seedsPerUnit,
    plantsPerUnit: defaults.plantsPerUnit,
    chance: 0.9,
    seedsPerPacket: 50,
    containers: [usualContainer(defaults.container)],
    layoutMethod: 'random',
    layoutSeed: 1,
    measure: defaults.measure,
    alsoRead: [],
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
      medium: 'seed-starting mix',
      hasSoil: true,
      waterMl: 8,
      cover: 'until_up',
      fill: 'fill_then_poke',
      isFirmed: true,
      reactionDays: 0,
      soakHours: 0,
      coldDays: 0,
      ...defaults.conditions,
    },
    constants: defaults.constants,
    steps: startingSteps(kind, defaults.conditions?.hasSoil ?? true),
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
    prediction: { prompt: 'What do you think will happen?', choices: defaults.choices },
  };
}
