import {
  PLAIN_LEVEL,
  type Plan,
  plannedUnits,
  scoresOf,
  startPlan,
  STARTING_CROPS,
  treatmentsOf,
  usualContainer,
} from '@bright-sprout/core/design';
import type { ExchangedReading } from '@bright-sprout/core/imports';
import { type CalendarDay, type LengthScale, markText } from '@bright-sprout/core/shared';
import { growExperiment, type GrowthSetting, NO_EFFECT } from '@bright-sprout/core/simulate';
import { classDayAfter, classDays, classDaysBefore, type DemoExperiment } from './experiments.ts';
import { DEMO_TEAMS } from './school.ts';

const SCALE: LengthScale = { unit: 'mm', step: 1 };
const SEED = 77;
const SOWN_CLASS_DAYS_AGO = 34;
const LESSON_AFTER_DAYS = 26;
/** Heights in mm from which a plant is at each stage. */
const STAGE_FROM_MM = [0, 22, 48];
/** What a combination does to the final height: tea helps under the lamp only. */
const HEIGHT: Readonly<Record<string, number>> = {
  '0.0': 1,
  '1.0': 1.02,
  '2.0': 0.97,
  '0.1': 1.12,
  '1.1': 1.34,
  '2.1': 1.52,
};
/** Every so many pots a second team reads as well. */
const READ_TWICE_EVERY = 5;

/** Two factors crossed, in blocks from the window to the wall, finished: lamp light and compost tea on marigolds. */
export function crossed(today: CalendarDay): DemoExperiment {
  const plan = crossedPlan(classDaysBefore(today, SOWN_CLASS_DAYS_AGO));
  const units = plannedUnits(plan);
  const treatments = treatmentsOf(plan);
  const setting: GrowthSetting = {
    germination: 0.97,
    daysToEmergence: { min: 4, max: 8 },
    finalHeightMm: 72,
    ratePerDay: 0.28,
    daysToFastest: 10,
    plantCv: 0.13,
    deathPerDay: 0.0005,
    scale: SCALE,
  };
  const grown = growExperiment(
    setting,
    units.map((unit) => {
      const key = treatments[unit.treatment]?.levels.join('.') ?? '';
      const brightness = 1 + (2 - unit.block) * 0.04;
      const finalHeight = (HEIGHT[key] ?? 1) * brightness;
      return { number: unit.number, seeds: 1, effect: { ...NO_EFFECT, finalHeight } };
    }),
    plan.sowOn,
    classDays(plan.sowOn, plan.lessonOn),
    SEED,
  );
  return {
    status: 'finished',
    hypothesis: plan.hypothesis,
    plan,
    experiment: {
      question: plan.question,
      crop: 'French marigold',
      sowOn: plan.sowOn,
      lessonOn: plan.lessonOn,
      factors: plan.factors.map((factor) => factor.name),
      containers: plan.containers.map(({ kind, rows, columns }) => ({ kind, rows, columns })),
      treatments: treatments.map((treatment) => ({
        name: treatment.name,
        isControl: treatment.isControl,
        levels: treatment.levels.map((level, at) => plan.factors[at]?.levels[level]?.name ?? ''),
      })),
      units: units.map((unit) => ({
        ...unit,
        block: `row ${unit.block}`,
        team: teamOf(unit.number),
        sownOn: plan.sowOn,
        seedsSown: 1,
      })),
      variables: [
        { name: 'height', kind: 'length', ...SCALE },
        { name: 'stage', kind: 'score', unit: '', step: 1 },
      ],
      readings: grown.flatMap((found, index) => readingsOf(found, index)),
    },
  };
}

function crossedPlan(sowOn: CalendarDay): Plan {
  const crop = STARTING_CROPS.find((candidate) => candidate.commonName === 'French marigold');
  if (!crop) throw new RangeError('no starting crop is called French marigold');
  const lessonOn = classDayAfter(sowOn, LESSON_AFTER_DAYS);
  const question = 'Does compost tea need lamp light to help marigolds?';
  const tea = (name: string, amount: number) => ({
    ...PLAIN_LEVEL,
    name,
    isControl: amount === 0,
    dose: { material: 'compost tea', amount, unit: 'mL' as const },
  });
  return {
    ...startPlan({ kind: 'crossed', question, crop, otherCrops: [], sowOn, lessonOn }),
    hypothesis: 'We think tea helps everywhere, and most where a lamp gives more light.',
    factors: [
      {
        name: 'Compost tea',
        aspect: 'additive',
        levels: [tea('No tea', 0), tea('Weak tea', 2), tea('Strong tea', 4)],
      },
      {
        name: 'Light',
        aspect: 'light',
        levels: [
          { ...PLAIN_LEVEL, name: 'Window', isControl: true, light: 'bright' },
          { ...PLAIN_LEVEL, name: 'Evening lamp', isControl: false, light: 'lamp' },
        ],
      },
    ],
    leftOut: [],
    replicates: 4,
    seedsPerUnit: 1,
    containers: [{ ...usualContainer('flat'), rows: 4, columns: 6 }],
    layoutMethod: 'blocks',
    layoutSeed: SEED,
    measure: { variable: 'height', ...SCALE },
    alsoRead: ['stage'],
    prediction: {
      prompt: 'Where will the marigolds be tallest?',
      choices: [
        'Strong tea · Window',
        'Strong tea · Evening lamp',
        'Weak tea · Evening lamp',
        'No difference that we can see',
      ],
    },
  };
}

interface Found {
  readonly number: number;
  readonly day: CalendarDay;
  readonly state: 'not_emerged' | 'emerged' | 'dead';
  readonly mm: number | null;
}

/** Height, stage, and now and then a second team's height of one pot on one day. */
function readingsOf({ number, day, state, mm }: Found, index: number): ExchangedReading[] {
  const base = {
    id: '',
    unit: number - 1,
    observedOn: day,
    state,
    recordedAt: `${day}T09:${String(10 + (number % 40)).padStart(2, '0')}:00.000Z`,
    supersedes: '',
    setAside: '',
  };
  const height = (value: number | null, observer: string): ExchangedReading => ({
    ...base,
    variable: 0,
    value,
    unitOfMeasure: SCALE.unit,
    precision: SCALE.step,
    entered: value === null ? '' : markText(value, SCALE),
    observer,
  });
  const readings = [height(mm, teamOf(number))];
  if (mm === null) return readings;
  const score = STAGE_FROM_MM.filter((from) => mm >= from).length;
  readings.push({
    ...base,
    variable: 1,
    value: score,
    unitOfMeasure: '',
    precision: 1,
    entered: scoresOf('stage')?.[score - 1] ?? '',
    observer: teamOf(number),
  });
  if ((index + number) % (READ_TWICE_EVERY * READ_TWICE_EVERY) === 0) {
    readings.push(height(Math.max(0, mm + ((index % 3) - 1) * 2), teamOf(number + 1)));
  }
  return readings;
}

function teamOf(number: number): string {
  return DEMO_TEAMS[number % DEMO_TEAMS.length] as string;
}
