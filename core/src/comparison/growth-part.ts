import {
  bestCurve,
  type CurveKind,
  fitCurve,
  type FittedCurve,
  type GrowthPoint,
  growthPerDay,
  relativeGrowthRate,
  type Step,
  stepsOf,
  areaUnder,
  type UnitDay,
} from '../growth/index.ts';
import { type CalendarDay, daysBetween, type Outcome } from '../shared/index.ts';
import { describe, type Description, kaplanMeier } from '../statistics/index.ts';
import { waitsOf } from '../germination/index.ts';
import type { Comparison, NotUpRule, UnitCurve } from './types.ts';

/** A curve that was wanted, and how it went. */
export interface CurveFit {
  readonly kind: CurveKind;
  readonly fit: Outcome<FittedCurve>;
}

/** How one unit grew. */
export interface UnitGrowth {
  readonly unitId: string;
  readonly groupId: string;
  readonly steps: readonly Step[];
  readonly perDay: Outcome<number>;
  readonly relative: Outcome<number>;
  /** Value · days. */
  readonly area: Outcome<number>;
  /** The better of logistic and Gompertz by AICc. */
  readonly fit: Outcome<FittedCurve>;
}

/** How the units of a group grew. Figures of units are described over units. */
export interface GroupGrowth {
  readonly groupId: string;
  readonly perDay: Description;
  readonly relative: Description;
  readonly area: Description;
  /** Curves through the means of the group, for drawing and for words. */
  readonly fits: readonly CurveFit[];
  /** Index into `fits` of the one with the lowest AICc; `null` when none fits. */
  readonly best: number | null;
  /** Largest value of any unit; `null` without values. */
  readonly largest: number | null;
  /** Fitted parameters over units: end value, day of fastest growth, fastest growth a day. */
  readonly end: Description;
  readonly fastestDay: Description;
  readonly fastest: Description;
}

/** When units of a group reached a stage. */
export interface Milestone {
  readonly name: string;
  readonly groups: readonly {
    readonly groupId: string;
    readonly reached: number;
    readonly of: number;
    /** Days since sowing by which half had reached it; those that did not count as waiting. */
    readonly median: Outcome<number>;
  }[];
}

/** Growth over time. */
export interface GrowthPart {
  readonly units: readonly UnitGrowth[];
  readonly groups: readonly GroupGrowth[];
  readonly milestones: readonly Milestone[];
}

const FITTED = ['linear', 'logistic', 'gompertz'] as const;

/** Scores of a stage that units go through, with the findings of that variable. */
export interface StageReadings {
  readonly scores: readonly string[];
  readonly histories: ReadonlyMap<string, readonly UnitDay[]>;
}

/** How units and groups grew up to the day of the comparison. */
export function growthPart(
  comparison: Comparison,
  sownOn: ReadonlyMap<string, CalendarDay | null>,
  stages: StageReadings | null,
): GrowthPart {
  const until = (curve: UnitCurve): GrowthPoint[] => {
    const sown = sownOn.get(curve.unitId) ?? null;
    const last = sown === null ? 0 : daysBetween(sown, comparison.day);
    return curve.points.filter((point) => point.age <= last);
  };
  const units = comparison.unitCurves.map((curve): UnitGrowth => {
    const points = until(curve);
    return {
      unitId: curve.unitId,
      groupId: curve.groupId,
      steps: stepsOf(points),
      perDay: growthPerDay(points),
      relative: relativeGrowthRate(points),
      area: areaUnder(points),
      fit: bestCurve(positive(points, comparison.rule)),
    };
  });
  return {
    units,
    groups: comparison.groups.map(({ groupId }) => groupGrowth(comparison, groupId, units)),
    milestones: stages ? milestones(comparison, sownOn, stages) : [],
  };
}

/** Zeros that stand for "not up" say nothing of a curve's shape. */
function positive(points: readonly GrowthPoint[], rule: NotUpRule): readonly GrowthPoint[] {
  return rule === 'only_up' ? points : points.filter((point) => point.value > 0);
}

function groupGrowth(comparison: Comparison, groupId: string, all: readonly UnitGrowth[]): GroupGrowth {
  const units = all.filter((unit) => unit.groupId === groupId);
  const figures = (of: (unit: UnitGrowth) => Outcome<number>): Description =>
    describe(
      units.flatMap((unit) => {
        const figure = of(unit);
        return figure.defined ? [figure.value] : [];
      }),
    );
  const parameter = (at: number) =>
    figures(({ fit }) => {
      const value = fit.defined ? fit.value.parameters[at]?.value : undefined;
      return value === undefined ? { defined: false, reason: 'no_fit' } : { defined: true, value };
    });
  const curve = comparison.treatmentCurves.find((candidate) => candidate.groupId === groupId);
  const points = (curve?.points ?? []).map(({ age, mean }) => ({ age, value: mean }));
  const fits = FITTED.map((kind) => ({ kind, fit: fitCurve(kind, positive(points, comparison.rule)) }));
  return {
    groupId,
    perDay: figures((unit) => unit.perDay),
    relative: figures((unit) => unit.relative),
    area: figures((unit) => unit.area),
    fits,
    best: lowest(fits),
    largest: largestOf(comparison.unitCurves.filter((one) => one.groupId === groupId)),
    end: parameter(0),
    fastestDay: parameter(2),
    fastest: figures(({ fit }) => (fit.defined ? { defined: true, value: fit.value.fastest } : fit)),
  };
}

function largestOf(curves: readonly UnitCurve[]): number | null {
  const values = curves.flatMap((curve) => curve.points.map((point) => point.value));
  return values.length === 0 ? null : Math.max(...values);
}

function lowest(fits: readonly CurveFit[]): number | null {
  let best: number | null = null;
  let least = Infinity;
  fits.forEach(({ fit }, index) => {
    if (fit.defined && fit.value.aicc < least) [best, least] = [index, fit.value.aicc];
  });
  return best;
}

function milestones(
  comparison: Comparison,
  sownOn: ReadonlyMap<string, CalendarDay | null>,
  { scores, histories }: StageReadings,
): Milestone[] {
  const unitIds = (at: number): string[] => {
    const group = comparison.groups[at];
    return group ? [...group.points, ...group.counts.leftOut].map((unit) => unit.unitId) : [];
  };
  return scores.flatMap((name, score): Milestone[] => {
    const groups = comparison.groups.map(({ groupId }, at) => {
      const waits = unitIds(at).flatMap((unitId) => {
        const sown = sownOn.get(unitId);
        const seen = (histories.get(unitId) ?? []).filter(
          (finding) => finding.day <= comparison.day && finding.state !== 'not_read',
        );
        const last = seen.at(-1);
        if (!sown || !last) return [];
        const reached = seen.find((finding) => (finding.value ?? 0) >= score + 1);
        const upAt = reached ? daysBetween(sown, reached.day) : null;
        return waitsOf([{ upAt, after: daysBetween(sown, last.day) }]);
      });
      const { events, n, median } = kaplanMeier(waits);
      return { groupId, reached: events, of: n, median };
    });
    return groups.some((group) => group.reached > 0) ? [{ name, groups }] : [];
  });
}
