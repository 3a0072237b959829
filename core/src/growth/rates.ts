import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { lineThrough } from '../statistics/index.ts';
import type { GrowthPoint } from './fit-curve.ts';

/** Growth between two readings that follow each other. */
export interface Step {
  readonly from: number;
  readonly to: number;
  readonly change: number;
  readonly perDay: number;
  /** Relative growth rate (ln h₂ − ln h₁) ÷ (t₂ − t₁), per day; needs both above 0 (Hunt 1982). */
  readonly relative: Outcome<number>;
}

/** The change from each value to the next, in age order. */
export function stepsOf(points: readonly GrowthPoint[]): Step[] {
  return points.slice(1).map((point, index) => {
    const before = points[index] as GrowthPoint;
    const days = point.age - before.age;
    const change = point.value - before.value;
    const canCompare = before.value > 0 && point.value > 0;
    return {
      from: before.age,
      to: point.age,
      change,
      perDay: change / days,
      relative: canCompare
        ? defined((Math.log(point.value) - Math.log(before.value)) / days)
        : notDefined('not_above_zero'),
    };
  });
}

/** Growth a day from the first value to the last: their difference over the days between. Needs two. */
export function growthPerDay(points: readonly GrowthPoint[]): Outcome<number> {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return notDefined('no_values');
  return last.age > first.age
    ? defined((last.value - first.value) / (last.age - first.age))
    : notDefined('one_value');
}

/** Relative growth rate over the span: the slope of ln h on age by least squares (Hunt 1982). Needs three values above 0. */
export function relativeGrowthRate(points: readonly GrowthPoint[]): Outcome<number> {
  const logs = points
    .filter((point) => point.value > 0)
    .map(({ age, value }): [number, number] => [age, Math.log(value)]);
  if (logs.length < 3) return notDefined(logs.length === 0 ? 'not_above_zero' : 'too_few_points');
  const found = lineThrough(logs);
  return found.defined ? defined(found.value.slope) : found;
}

/** Area under the curve by trapezoids from the first value to the last, in value · days. Needs two. */
export function areaUnder(points: readonly GrowthPoint[]): Outcome<number> {
  if (points.length < 2) return notDefined(points.length === 0 ? 'no_values' : 'one_value');
  return defined(
    stepsOf(points).reduce((sum, { from, to }, index) => {
      const [a, b] = [points[index] as GrowthPoint, points[index + 1] as GrowthPoint];
      return sum + ((a.value + b.value) / 2) * (to - from);
    }, 0),
  );
}
