import {
  compareTreatments,
  type Comparison,
  type Design,
  type GroupBy,
  grouped,
  isClearFate,
  clearDose,
  isClearPair,
  isClearTogether,
  plannedBlocks,
} from '../comparison/index.ts';
import {
  type ComparedGroup,
  comparedGroups,
  levelAmount,
  type Plan,
  type PlannedUnit,
  plannedUnits,
  treatmentsOf,
} from '../design/index.ts';
import type { ReadingFact } from '../growth/index.ts';
import {
  planCalendar,
  type PlanSurroundings,
  type TreatmentGrowth,
  treatmentGrowth,
} from '../calendar/index.ts';
import { type CalendarDay, randomGenerator, defined, notDefined, type Outcome } from '../shared/index.ts';
import {
  type Classroom,
  classroomFrom,
  growExperiment,
  NO_EFFECT,
  layoutPlaceOf,
  type TreatmentEffect,
} from '../simulate/index.ts';
import { type Share, wilson } from '../statistics/index.ts';

/** What a treatment is taken to do, and to what. */
export const EFFECT_TARGETS = ['height', 'speed', 'emergence'] as const;
export type EffectTarget = (typeof EFFECT_TARGETS)[number];

/** The effect that a teacher tries a plan with. */
export interface SupposedEffect {
  readonly target: EffectTarget;
  /** Change of the last compared group against the first or the control, −0.9 to 3; 0 for none. Those between are stepped evenly. */
  readonly change: number;
}

/** How the planned comparison of one class came out. */
export const RESULTS = ['seen', 'wrong_way', 'missed', 'cannot_tell'] as const;
export type Result = (typeof RESULTS)[number];

/** One rehearsed class. */
export interface RehearsedClass {
  readonly seed: number;
  readonly result: Result;
  /** Chance of a difference as large by plant-to-plant luck alone; null when nothing could be tested. */
  readonly p: number | null;
  /** Mean of the changed end minus mean of the unchanged end, in mm. */
  readonly difference: number | null;
}

/** What some hundreds of classes would have found. */
export interface Rehearsal {
  readonly classes: number;
  readonly counts: Readonly<Record<Result, number>>;
  /** Share of classes that would see the effect (with an effect), or see one that is not there (without). */
  readonly seen: Outcome<Share>;
  /** The class whose p is in the middle. */
  readonly typical: number | null;
}

/** A plan made ready to be rehearsed over and over. */
export interface RehearsalSetUp {
  readonly plan: Plan;
  readonly growths: readonly TreatmentGrowth[];
  readonly days: readonly CalendarDay[];
  readonly groups: readonly ComparedGroup[];
  /** The design as the comparison of the class will know it. */
  readonly design: Design;
  /** Effect on each group. */
  readonly effects: readonly TreatmentEffect[];
  /** Index of the unchanged and of the most changed group. */
  readonly ends: readonly [number, number];
  readonly isNothing: boolean;
}

const LEAST = 0.05;

/**
 * Makes a plan ready to be rehearsed.
 * @returns undefined for a plan that compares nothing, or whose crops have no figures
 */
export function setUpRehearsal(
  plan: Plan,
  surroundings: PlanSurroundings,
  effect: SupposedEffect,
): Outcome<RehearsalSetUp> {
  const groups = comparedGroups(plan);
  if (groups.length < 2) return notDefined('too_few_groups');
  if (plan.measure.variable !== 'height') return notDefined('not_a_height');
  if (plan.factors.some((factor) => factor.aspect === 'age')) return notDefined('ages_are_the_change');
  const growths = treatmentGrowth(plan, surroundings);
  for (const { setting } of growths) if (!setting.defined) return setting;
  const reads = planCalendar(plan, surroundings).tasks.filter((task) => task.code === 'read');
  const days = [...new Set([...reads.map((task) => task.day), plan.lessonOn])].sort();
  const base = Math.max(
    0,
    groups.findIndex((group) => group.isControl),
  );
  const order = [base, ...groups.map((_, index) => index).filter((index) => index !== base)];
  const effects = groups.map((_, index) =>
    effectOf(effect.target, (effect.change * order.indexOf(index)) / (groups.length - 1)),
  );
  const ends = [base, order.at(-1) ?? base] as const;
  const design = designOf(plan);
  return defined({ plan, growths, days, groups, design, effects, ends, isNothing: effect.change === 0 });
}

function designOf(plan: Plan): Design {
  const units = plannedUnits(plan);
  const blocks = plannedBlocks(units);
  return {
    factors: plan.factors.map((factor) => ({
      name: factor.name,
      levels: factor.levels.map((level) => ({
        name: level.name,
        isControl: level.isControl,
        amount: levelAmount(factor.aspect, level),
      })),
    })),
    treatments: treatmentsOf(plan).map(({ name, isControl, levels, settings }, index) => ({
      id: String(index),
      name,
      isControl,
      levels,
      crop: settings.cropId,
      plants: settings.plants,
    })),
    units: units.map((unit, index) => ({
      id: String(unit.number),
      number: unit.number,
      treatmentId: String(unit.treatment),
      sownOn: unit.sowOn,
      block: blocks[index] ?? '',
      team: '',
      seedsSown: null,
    })),
  };
}

function effectOf(target: EffectTarget, change: number): TreatmentEffect {
  const factor = Math.max(LEAST, 1 + change);
  if (target === 'height') return { ...NO_EFFECT, finalHeight: factor };
  return target === 'speed' ? { ...NO_EFFECT, growthRate: factor } : { ...NO_EFFECT, emergenceTime: factor };
}

/** Grows one class of a plan, read on every reading day, and compares it as planned. */
export function rehearseClass(setUp: RehearsalSetUp, seed: number): RehearsedClass {
  return judge(setUp, compared(setUp, rehearsedReadings(setUp, seed), 'treatment'), seed);
}

/** What a list of rehearsed classes comes to. */
export function summarise(setUp: RehearsalSetUp, classes: readonly RehearsedClass[]): Rehearsal {
  const counts = Object.fromEntries(
    RESULTS.map((result) => [result, classes.filter((one) => one.result === result).length]),
  ) as Record<Result, number>;
  const shown = setUp.isNothing ? counts.seen + counts.wrong_way : counts.seen;
  const tested = classes.filter((one) => one.p !== null).sort((a, b) => (a.p ?? 1) - (b.p ?? 1));
  return {
    classes: classes.length,
    counts,
    seen: wilson(shown, classes.length),
    typical: tested[Math.floor(tested.length / 2)]?.seed ?? null,
  };
}

/**
 * The planned comparison of one rehearsed class, in the groups that the plan sets against each other: heights of the
 * pots that are up, on the lesson day.
 */
export function rehearsedComparison(setUp: RehearsalSetUp, seed: number): Comparison {
  return compared(setUp, rehearsedReadings(setUp, seed), isCrossed(setUp) ? 'factor-0' : 'treatment');
}

function isCrossed({ plan }: RehearsalSetUp): boolean {
  return plan.factors.length > 1;
}

function compared(setUp: RehearsalSetUp, readings: readonly ReadingFact[], by: GroupBy): Comparison {
  const { design, plan } = setUp;
  const { groups, units } = grouped(design, by);
  return compareTreatments({
    treatments: groups,
    units,
    readings,
    day: plan.lessonOn,
    rule: 'only_up',
    design,
    by,
  });
}

function rehearsedReadings(setUp: RehearsalSetUp, seed: number): ReadingFact[] {
  const { plan, growths, groups, effects, days } = setUp;
  const units = plannedUnits(plan);
  const room = classroomOf(growths, seed);
  const effectOn = (unit: PlannedUnit): TreatmentEffect => {
    const effect =
      effects[groups.findIndex((group) => group.treatments.includes(unit.treatment))] ?? NO_EFFECT;
    const place = layoutPlaceOf(unit, plan.containers[unit.container]);
    return { ...effect, finalHeight: effect.finalHeight * room.growthAt(place) };
  };
  return growths.flatMap((growth, index): ReadingFact[] => {
    if (!growth.setting.defined) return [];
    const grown = growExperiment(
      { ...growth.setting.value, plantRule: plan.plantRule },
      units
        .filter((unit) => unit.treatment === index)
        .map((unit) => ({
          number: unit.number,
          seeds: growth.seeds,
          keep: growth.treatment.settings.plants,
          effect: effectOn(unit),
          readerOffMm: room.readerOffMm(unit.number),
        })),
      growth.sowOn,
      days.filter((day) => day > growth.sowOn),
      (seed * growths.length + index) >>> 0,
    );
    return grown.flatMap(({ number, day, state, mm }) =>
      room.isMissed() ? [] : [{ unitId: String(number), day, state, value: mm }],
    );
  });
}

/** Rooms and plants of a class have chances of their own: seeds of rooms begin where those of plants do not reach. */
const ROOMS_FROM = 0x4000_0000;

function classroomOf(growths: readonly TreatmentGrowth[], seed: number): Classroom {
  const scale = growths.flatMap(({ setting }) => (setting.defined ? [setting.value.scale] : []))[0];
  return classroomFrom(randomGenerator((ROOMS_FROM + seed) >>> 0), scale ?? { unit: 'mm', step: 1 });
}

/**
 * How a class came out. An effect is seen when the ends of it can be told apart, the right way round; without an effect
 * any difference that the class would be told of is one that is not there.
 */
function judge(setUp: RehearsalSetUp, comparison: Comparison, seed: number): RehearsedClass {
  const question = comparison.questions[0];
  const [groups, pairs] = question
    ? [question.groups, question.pairs]
    : [setUp.design.treatments, comparison.pairs];
  const [base, far] = setUp.ends.map((end) => groups[end]?.id);
  const pair = pairs.find(
    (one) => (one.firstId === base && one.secondId === far) || (one.firstId === far && one.secondId === base),
  );
  if (!pair?.test.defined) return { seed, result: 'cannot_tell', p: null, difference: null };
  const { p } = pair.test.value;
  const difference = pair.firstId === base ? pair.test.value.difference : -pair.test.value.difference;
  if (setUp.isNothing) return { seed, result: isAnyClear(comparison) ? 'seen' : 'missed', p, difference };
  const sign = isClearPair(pair) ? Math.sign(difference) : trendSign(comparison, base, far);
  if (sign === 0) return { seed, result: 'missed', p, difference };
  return { seed, result: sign === expectedSign(setUp) ? 'seen' : 'wrong_way', p, difference };
}

/** Which way values are told to go from one end to the other, where treatments are amounts; 0 where nothing is told. */
function trendSign({ dose }: Comparison, base = '', far = ''): number {
  if (!dose || clearDose(dose) !== 'trend') return 0;
  const isForward = dose.groupIds.indexOf(base) < dose.groupIds.indexOf(far);
  return (dose.trend?.sign ?? 0) * (isForward ? 1 : -1);
}

function isAnyClear({ questions, pairs, together, dose, fates }: Comparison): boolean {
  const said = questions.length > 0 ? questions.flatMap((question) => question.pairs) : pairs;
  return (
    said.some(isClearPair) ||
    isClearTogether(together) ||
    clearDose(dose) !== null ||
    isClearFate(fates.dead) ||
    isClearFate(fates.up)
  );
}

/** Later emergence makes shorter plants; the other effects go their own way. */
function expectedSign(setUp: RehearsalSetUp): number {
  const effect = setUp.effects[setUp.ends[1]] ?? NO_EFFECT;
  if (effect.emergenceTime !== 1) return effect.emergenceTime > 1 ? -1 : 1;
  return Math.sign(effect.finalHeight * effect.growthRate - 1);
}
