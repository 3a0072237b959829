import { changeSinceLast, type UnitDay } from '../growth/index.ts';
import { type CalendarDay, daysBetween, defined, notDefined, type Outcome } from '../shared/index.ts';
import { type LessonUnit, measured, type PlantOnDay } from './plant-on-day.ts';

/** Units that share an extreme: a tie has several. */
export interface Extreme {
  readonly units: readonly LessonUnit[];
  /** In the variable's base unit, or days since sowing for what came up first. */
  readonly value: number;
  /** How many units it was found among. */
  readonly among: number;
}

/** What could be the reason that a pot is not up yet: to talk about, as none of it is known to be. */
export const NOT_UP_REASONS = [
  'time_to_go',
  'some_never_do',
  'no_warmth',
  'too_deep',
  'watering',
  'covered_by_mix',
] as const;
export type NotUpReason = (typeof NOT_UP_REASONS)[number];

/** First and last, tallest and shortest, of the plants of a day. */
export interface Firsts {
  readonly firstUp: Outcome<Extreme>;
  readonly tallest: Outcome<Extreme>;
  readonly shortest: Outcome<Extreme>;
  /** Grown most since each plant's last value before the day. */
  readonly grownMost: Outcome<Extreme>;
  /** Nearest to the mark, by how far from it; undefined without a mark. */
  readonly nearestMark: Outcome<Extreme>;
  readonly notUp: readonly LessonUnit[];
}

/** A value and the units that have it, within half of what can be read. */
function extreme(
  found: readonly { readonly unit: LessonUnit; readonly value: number }[],
  pick: (values: readonly number[]) => number,
  tolerance: number,
): Outcome<Extreme> {
  if (found.length === 0) return notDefined('no_values');
  const value = pick(found.map((one) => one.value));
  const units = found.filter((one) => Math.abs(one.value - value) <= tolerance).map((one) => one.unit);
  return defined({ units, value, among: found.length });
}

const largest = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b));
const smallest = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b));

/**
 * The firsts of a day.
 * @param step what the ruler is read to, in base units: values nearer than half of it are a tie
 * @param mark the height to pass, in base units
 */
export function firstsOf(
  plants: readonly PlantOnDay[],
  histories: ReadonlyMap<string, readonly UnitDay[]>,
  day: CalendarDay,
  step: number,
  mark: number | null,
): Firsts {
  const tolerance = step / 2 - Number.EPSILON;
  const now = measured(plants);
  const waits = plants.flatMap(({ unit, firstUp }) =>
    firstUp !== null && unit.sownOn !== null ? [{ unit, value: daysBetween(unit.sownOn, firstUp) }] : [],
  );
  const grown = now.flatMap(({ unit, value }) => {
    const change = changeSinceLast(histories.get(unit.id) ?? [], day, value);
    return change.defined ? [{ unit, value: change.value.amount }] : [];
  });
  const fromMark = now.map(({ unit, value }) => ({ unit, value: Math.abs(value - (mark ?? 0)) }));
  return {
    firstUp: extreme(waits, smallest, 0),
    tallest: extreme(now, largest, tolerance),
    shortest: extreme(now, smallest, tolerance),
    grownMost: extreme(grown, largest, tolerance),
    nearestMark: mark === null ? notDefined('no_values') : extreme(fromMark, smallest, tolerance),
    notUp: plants.filter(({ plant }) => plant.state === 'not_emerged').map(({ unit }) => unit),
  };
}

/** What was recorded that bears on a pot that is not up. */
export interface NotUpFacts {
  /** Days since the youngest of them was sown. */
  readonly age: number;
  /** The days in which the crop usually comes up; `null` where it has no figures. */
  readonly usual: { readonly min: number; readonly max: number } | null;
  /** Share of seeds that are expected to come up, 0–1. */
  readonly rate: number | null;
  readonly temperatureC: number;
  /** What the crop wants. */
  readonly wantsC: { readonly min: number; readonly max: number } | null;
  readonly hasSoil: boolean;
}

/** Below this share it is no surprise that a seed does not come up. */
const SURE_RATE = 0.95;

/** Reasons to talk about, from what was recorded: those that the record speaks for come first. */
export function notUpReasons(facts: NotUpFacts): NotUpReason[] {
  const { usual, wantsC, rate } = facts;
  const reasons: NotUpReason[] = [];
  if (usual && facts.age <= usual.max) reasons.push('time_to_go');
  if (wantsC && facts.temperatureC < wantsC.min) reasons.push('no_warmth');
  if (rate !== null && rate < SURE_RATE) reasons.push('some_never_do');
  if (facts.hasSoil) reasons.push('too_deep', 'covered_by_mix');
  return [...reasons, 'watering'];
}
