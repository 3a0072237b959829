import { CONTAINER_GRIDS, type ContainerKind, placeOf, randomLayout } from '@bright-sprout/core/design';
import type { ExchangedExperiment, ExchangedReading } from '@bright-sprout/core/exchange';
import { type ExperimentStatus, nextClassDay, SCHOOL_WEEK } from '@bright-sprout/core/schedule';
import {
  addDays,
  type CalendarDay,
  daysFromTo,
  type LengthScale,
  markText,
  weekday,
} from '@bright-sprout/core/shared';
import { growExperiment, type GrowthSetting, type TreatmentEffect } from '@bright-sprout/core/simulate';

/** One experiment of the made-up school. */
export interface DemoExperiment {
  readonly status: ExperimentStatus;
  readonly hypothesis: string;
  readonly experiment: ExchangedExperiment;
}

/** A plan of the made-up school, before anything is grown. */
export interface DemoPlan {
  readonly question: string;
  readonly crop: string;
  readonly factor: string;
  readonly levels: readonly {
    readonly name: string;
    readonly isControl: boolean;
    readonly effect: TreatmentEffect;
  }[];
  readonly replicates: number;
  readonly container: ContainerKind;
  readonly scale: LengthScale;
  readonly seedsPerUnit: number;
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
  readonly seed: number;
}

const OBSERVERS = ['Team Otter', 'Team Heron', 'Team Badger'];

/** An experiment without readings, laid out by its seed. */
export function plannedExperiment(plan: DemoPlan, sowedOn: CalendarDay | null): ExchangedExperiment {
  const grid = CONTAINER_GRIDS[plan.container];
  return {
    question: plan.question,
    crop: plan.crop,
    sowOn: plan.sowOn,
    lessonOn: plan.lessonOn,
    factors: [plan.factor],
    containers: [{ kind: plan.container, ...grid }],
    treatments: plan.levels.map(({ name, isControl }) => ({ name, isControl, levels: [name] })),
    units: randomLayout(plan.levels.length, plan.replicates, plan.seed).map((unit) => ({
      ...unit,
      container: 0,
      ...placeOf(unit.number, grid),
      block: '',
      team: teamOf(unit.number),
      sowedOn,
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
  const units = planned.units.map((unit) => ({
    number: unit.number,
    seeds: plan.seedsPerUnit,
    effect: (plan.levels[unit.treatment] as DemoPlan['levels'][number]).effect,
  }));
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
    });
  }
  return { ...planned, readings };
}

/** Class days after `start` up to `end`. */
export function classDays(start: CalendarDay, end: CalendarDay): CalendarDay[] {
  return daysFromTo(addDays(start, 1), end).filter((day) => SCHOOL_WEEK.includes(weekday(day)));
}

/** The class day `count` class days before `day`. */
export function classDaysBefore(day: CalendarDay, count: number): CalendarDay {
  let result = day;
  for (let left = count; left > 0;) {
    result = addDays(result, -1);
    if (SCHOOL_WEEK.includes(weekday(result))) left -= 1;
  }
  return result;
}

/** The class day on or after `days` days from `start`. */
export function classDayAfter(start: CalendarDay, days: number): CalendarDay {
  return nextClassDay(addDays(start, days));
}

function teamOf(number: number): string {
  return OBSERVERS[number % OBSERVERS.length] as string;
}

function instantOf(day: CalendarDay, number: number): string {
  return `${day}T09:${String(10 + (number % 40)).padStart(2, '0')}:00.000Z`;
}
