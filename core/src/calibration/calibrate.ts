import { clearDose, type Comparison, isClearPair, isClearTogether } from '../comparison/index.ts';
import {
  type Plan,
  PLAIN_LEVEL,
  type PlanFactor,
  startPlan,
  STARTING_CROPS,
  usualContainer,
} from '../design/index.ts';
import { rehearseClass, setUpRehearsal, summarise } from '../rehearsal/index.ts';
import { visibleDifference } from '../review/index.ts';
import { calendarDay, defined, type Outcome } from '../shared/index.ts';
import { simulatedClasses, type Situation } from './simulated-class.ts';

/** How often something held, of how many. */
export interface Rate {
  readonly count: number;
  readonly of: number;
}

/** What simulated classes of a design were told when there was nothing to find. */
export interface Claims {
  /** Classes told of any difference. */
  readonly told: Rate;
  /** Classes whose intervals of all questions, taken together, hold the truth with an effect of 30 %. */
  readonly cover: Rate;
}

/** True when a class would be told of any difference. */
export function isTold({ lead, pairs, questions, together, dose, controlId }: Comparison): boolean {
  if (lead?.kind === 'fate' || isClearTogether(together) || clearDose(dose) !== null) return true;
  if (questions.length > 0) return questions.some((question) => question.pairs.some(isClearPair));
  return pairs.some((pair) => isClearPair(pair) && (controlId === null || pair.firstId === controlId));
}

const EFFECT = 0.3;
const MEAN_MM = 100;

/** Simulates classes of a situation, without an effect for what they are told and with one for what intervals hold. */
export function claimsOf(situation: Situation, classes: number, seed: number): Claims {
  let [told, held, judged] = [0, 0, 0];
  for (const comparison of simulatedClasses(situation, classes, seed)) if (isTold(comparison)) told += 1;
  const [levels = 2] = situation.levels;
  for (const comparison of simulatedClasses({ ...situation, effect: EFFECT }, classes, seed + 1)) {
    const pairs =
      comparison.questions.length > 0
        ? comparison.questions.flatMap((question) => question.pairs)
        : comparison.pairs.filter(
            (pair) => comparison.controlId === null || pair.firstId === comparison.controlId,
          );
    if (pairs.every((pair) => !pair.test.defined)) continue;
    judged += 1;
    const isHeld = pairs.every(({ firstId, secondId, test }) => {
      if (!test.defined || !test.value.interval) return true;
      const truth = meanOf(secondId, levels) - meanOf(firstId, levels);
      return test.value.interval.low <= truth && truth <= test.value.interval.high;
    });
    if (isHeld) held += 1;
  }
  return { told: { count: told, of: classes }, cover: { count: held, of: judged } };
}

/** What is added to the mean of a treatment, `t2`, or of a level of a factor, `0-2`: the first factor alone does something. */
function meanOf(id: string, levels: number): number {
  const [, factor, level] = /^(?:(\d+)-|t)(\d+)$/.exec(id) ?? [];
  return factor === undefined || factor === '0' ? (MEAN_MM * EFFECT * Number(level)) / (levels - 1) : 0;
}

/** A design that is planned. */
export interface PlannedDesign {
  readonly levels: readonly number[];
  readonly pots: number;
  readonly hasBlocks?: boolean;
  readonly crop: string;
  readonly seeds: number;
}

/** What the plan promised to show, and how many rehearsed classes saw it. */
export interface KeptPromise {
  readonly more: number;
  readonly seenMore: Rate;
  readonly less: number | null;
  readonly seenLess: Rate | null;
}

/** Rehearses a plan with the very differences that it says 8 of 10 classes would see. */
export function keptPromise(design: PlannedDesign, classes: number): Outcome<KeptPromise> {
  const plan = planOf(design);
  const surroundings = { crops: STARTING_CROPS, lots: [] };
  const promised = visibleDifference(plan, surroundings);
  if (!promised.defined) return promised;
  const seen = (change: number): Rate => {
    const setUp = setUpRehearsal(plan, surroundings, { target: 'height', change });
    if (!setUp.defined) return { count: 0, of: 0 };
    const found = Array.from({ length: classes }, (_, seed) => rehearseClass(setUp.value, seed));
    return { count: summarise(setUp.value, found).counts.seen, of: classes };
  };
  const { more, less } = promised.value;
  return defined({ more, seenMore: seen(more), less, seenLess: less === null ? null : seen(-less) });
}

function planOf({ levels, pots, hasBlocks = false, crop: id, seeds }: PlannedDesign): Plan {
  const crop = STARTING_CROPS.find((one) => one.id === id) ?? STARTING_CROPS[0];
  const started = startPlan({
    kind: 'one_factor',
    question: 'What does it do?',
    crop: crop as (typeof STARTING_CROPS)[number],
    otherCrops: STARTING_CROPS,
    sowOn: calendarDay('2027-03-01'),
    lessonOn: calendarDay('2027-03-22'),
  });
  return {
    ...started,
    factors: levels.map(factorOf),
    leftOut: [],
    replicates: pots,
    layoutMethod: hasBlocks ? 'blocks' : 'random',
    seedsPerUnit: seeds,
    plantsPerUnit: 1,
    containers: Array.from({ length: 40 }, () => usualContainer('cups')),
  };
}

function factorOf(levels: number, index: number): PlanFactor {
  return {
    name: `Factor ${index}`,
    aspect: 'other',
    levels: Array.from({ length: levels }, (_, level) => ({
      ...PLAIN_LEVEL,
      name: `${index}-${level}`,
      isControl: level === 0,
    })),
  };
}
