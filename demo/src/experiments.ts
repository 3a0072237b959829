import {
  begunWith,
  type ContainerKind,
  PLAIN_LEVEL,
  type Plan,
  type PlanFactor,
  type PlanLevel,
  plannedUnits,
  startPlan,
  STARTING_CROPS,
  usualContainer,
} from '@bright-sprout/core/design';
import type { ExchangedExperiment, ExchangedReading } from '@bright-sprout/core/imports';
import { classDayFrom, type ExperimentStatus, isClassDay, SCHOOL_DAYS } from '@bright-sprout/core/calendar';
import {
  addDays,
  type CalendarDay,
  randomGenerator,
  daysFromTo,
  type LengthScale,
  markText,
} from '@bright-sprout/core/shared';
import {
  classroomFrom,
  growExperiment,
  type GrowthSetting,
  layoutPlaceOf,
  type TreatmentEffect,
} from '@bright-sprout/core/simulate';
import type { DemoPhoto } from './photographed.ts';
import { DEMO_TEAMS } from './school.ts';

/** One experiment of the made-up school. */
export interface DemoExperiment {
  readonly status: ExperimentStatus;
  readonly hypothesis: string;
  readonly plan: Plan;
  readonly experiment: ExchangedExperiment;
  /** Draws its container from above, day by day, where it is photographed; such an experiment has no class. */
  readonly drawPhotos?: () => readonly DemoPhoto[];
}

/** A plan of the made-up school, before anything is grown. */
export interface DemoPlan {
  readonly question: string;
  readonly crop: string;
  readonly hypothesis: string;
  readonly factor: string;
  readonly aspect: PlanFactor['aspect'];
  readonly levels: readonly (Partial<PlanLevel> & {
    readonly name: string;
    readonly isControl: boolean;
    readonly effect: TreatmentEffect;
  })[];
  /** What it sets beyond the defaults. */
  readonly changes?: Partial<Plan>;
  readonly replicates: number;
  readonly container: ContainerKind;
  readonly scale: LengthScale;
  readonly seedsPerUnit: number;
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
  readonly seed: number;
}

/** The whole plan, as a teacher would have made it. */
export function wholePlan(plan: DemoPlan): Plan {
  const crop = STARTING_CROPS.find((candidate) => candidate.commonName === plan.crop);
  if (!crop) throw new RangeError(`no starting crop is called ${plan.crop}`);
  const { question, sowOn, lessonOn, hypothesis, replicates, seedsPerUnit, scale } = plan;
  const levels = plan.levels.map((level) => ({ ...PLAIN_LEVEL, ...said(level) }));
  return begunWith(startPlan({ kind: 'one_factor', question, crop, otherCrops: [], sowOn, lessonOn }), {
    hypothesis,
    factors: [{ name: plan.factor, aspect: plan.aspect, levels }],
    replicates,
    seedsPerUnit,
    containers: [usualContainer(plan.container)],
    layoutSeed: plan.seed,
    measure: { variable: 'height', ...scale },
    ...plan.changes,
  });
}

/** A level as a plan has it: what it really does is not for the plan to know. */
function said(level: DemoPlan['levels'][number]): Partial<PlanLevel> & { name: string } {
  const { name, isControl, dose, medium, light } = level;
  return { name, isControl, dose: dose ?? null, medium: medium ?? null, light: light ?? null };
}

/** An experiment without readings, laid out by its seed. */
export function plannedExperiment(plan: DemoPlan, sownOn: CalendarDay | null): ExchangedExperiment {
  const whole = wholePlan(plan);
  return {
    question: plan.question,
    crop: plan.crop,
    sowOn: plan.sowOn,
    lessonOn: plan.lessonOn,
    factors: [plan.factor],
    containers: whole.containers.map(({ kind, rows, columns }) => ({ kind, rows, columns })),
    treatments: plan.levels.map(({ name, isControl }) => ({ name, isControl, levels: [name] })),
    units: plannedUnits(whole).map((unit) => ({
      ...unit,
      block: '',
      team: teamOf(unit.number),
      sownOn,
      seedsSown: plan.seedsPerUnit,
    })),
    variables: [{ name: 'height', kind: 'length', ...plan.scale }],
    readings: [],
  };
}

/**
 * Grows a plan and reads it on `days`.
 * @param leaveUnread unit numbers not yet read on the last day
 */
export function grownExperiment(
  plan: DemoPlan,
  setting: GrowthSetting,
  days: readonly CalendarDay[],
  leaveUnread: readonly number[],
): ExchangedExperiment {
  const planned = plannedExperiment(plan, plan.sowOn);
  const room = classroomFrom(randomGenerator(plan.seed), plan.scale);
  const units = planned.units.map((unit) => {
    const { effect } = plan.levels[unit.treatment] as DemoPlan['levels'][number];
    const place = layoutPlaceOf(unit, planned.containers[unit.container]);
    return {
      number: unit.number,
      seeds: plan.seedsPerUnit,
      effect: { ...effect, finalHeight: effect.finalHeight * room.growthAt(place) },
      readerOffMm: room.readerOffMm(unit.number),
    };
  });
  const lastDay = days.at(-1);
  const dead = new Set<number>();
  const readings: ExchangedReading[] = [];
  for (const found of growExperiment(setting, units, plan.sowOn, days, plan.seed)) {
    if (dead.has(found.number) || (found.day === lastDay && leaveUnread.includes(found.number))) continue;
    if (found.state === 'dead') dead.add(found.number);
    readings.push({
      id: '',
      unit: planned.units.findIndex((unit) => unit.number === found.number),
      variable: 0,
      observedOn: found.day,
      state: found.state,
      value: found.mm,
      unitOfMeasure: plan.scale.unit,
      precision: plan.scale.step,
      entered: found.mm === null ? '' : markText(found.mm, plan.scale),
      observer: teamOf(found.number),
      recordedAt: instantOf(found.day, found.number),
      supersedes: '',
      setAside: '',
    });
  }
  return { ...planned, readings };
}

/** Class days after `start` up to `end`. */
export function classDays(start: CalendarDay, end: CalendarDay): CalendarDay[] {
  return daysFromTo(addDays(start, 1), end).filter((day) => isClassDay(day, SCHOOL_DAYS));
}

/** The class day `count` class days before `day`. */
export function classDaysBefore(day: CalendarDay, count: number): CalendarDay {
  let result = day;
  for (let left = count; left > 0;) {
    result = addDays(result, -1);
    if (isClassDay(result, SCHOOL_DAYS)) left -= 1;
  }
  return result;
}

/** The class day on or after `days` days from `start`. */
export function classDayAfter(start: CalendarDay, days: number): CalendarDay {
  return classDayFrom(addDays(start, days), SCHOOL_DAYS);
}

function teamOf(number: number): string {
  return DEMO_TEAMS[number % DEMO_TEAMS.length] as string;
}

function instantOf(day: CalendarDay, number: number): string {
  return `${day}T09:${String(10 + (number % 40)).padStart(2, '0')}:00.000Z`;
}
