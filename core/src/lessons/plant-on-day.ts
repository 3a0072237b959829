import type { UnitDay } from '../growth/index.ts';
import { type CalendarDay, daysBetween } from '../shared/index.ts';

/** A unit as a lesson needs it. */
export interface LessonUnit {
  readonly id: string;
  readonly number: number;
  readonly groupId: string;
  readonly sownOn: CalendarDay | null;
  /** Empty where no team has it. */
  readonly team: string;
  /** Steps from the bright side, from 0; `null` where no side is brighter. */
  readonly fromBright: number | null;
}

/** What is known of a plant on a day. Nothing of it is ever a stand-in 0. */
export type PlantState =
  | { readonly state: 'not_sown' }
  /** Nobody has looked at it until that day. */
  | { readonly state: 'not_read' }
  | { readonly state: 'not_emerged'; readonly readOn: CalendarDay }
  | { readonly state: 'emerged'; readonly value: number | null; readonly readOn: CalendarDay }
  | { readonly state: 'dead' | 'removed'; readonly since: CalendarDay };

/** A unit on a day. */
export interface PlantOnDay {
  readonly unit: LessonUnit;
  readonly plant: PlantState;
  /** Whether it was read on that very day; a plant that is gone needs no reading. */
  readonly isOfDay: boolean;
  /** Days since its own sowing; `null` before it. */
  readonly age: number | null;
  /** The first day on which it was found up; `null` until then. */
  readonly firstUp: CalendarDay | null;
}

/**
 * How a unit stands on a day: its last finding until then.
 * @param history the unit's findings in day order
 */
export function plantOnDay(unit: LessonUnit, history: readonly UnitDay[], day: CalendarDay): PlantOnDay {
  const until = history.filter((finding) => finding.day <= day && finding.state !== 'not_read');
  const last = until.at(-1);
  const firstUp = until.find((finding) => finding.state === 'emerged')?.day ?? null;
  const age = unit.sownOn === null || unit.sownOn > day ? null : daysBetween(unit.sownOn, day);
  const about = { unit, age, firstUp };
  if (!last) {
    const isSown = unit.sownOn !== null && unit.sownOn <= day;
    return { ...about, plant: { state: isSown ? 'not_read' : 'not_sown' }, isOfDay: false };
  }
  if (last.state === 'dead' || last.state === 'removed') {
    return { ...about, plant: { state: last.state, since: endOf(until, last) }, isOfDay: true };
  }
  const isOfDay = last.day === day;
  if (last.state === 'not_emerged') {
    return { ...about, plant: { state: 'not_emerged', readOn: last.day }, isOfDay };
  }
  return { ...about, plant: { state: 'emerged', value: last.value, readOn: last.day }, isOfDay };
}

/** The first of the findings of the same kind that end a history. */
function endOf(history: readonly UnitDay[], last: UnitDay): CalendarDay {
  const before = history.findLastIndex((finding) => finding.state !== last.state);
  return (history[before + 1] ?? last).day;
}

/** A plant with a value that was read on the day. */
export interface MeasuredPlant {
  readonly unit: LessonUnit;
  readonly value: number;
  readonly firstUp: CalendarDay | null;
}

/** The plants that have a value of the very day: those that a sentence about the day may speak of. */
export function measured(plants: readonly PlantOnDay[]): MeasuredPlant[] {
  return plants.flatMap(({ unit, plant, isOfDay, firstUp }) =>
    isOfDay && plant.state === 'emerged' && plant.value !== null
      ? [{ unit, value: plant.value, firstUp }]
      : [],
  );
}
