import { type ReadingFact, type UnitDay, unitDays } from '../growth/index.ts';
import { type CalendarDay, daysBetween, defined, notDefined, type Outcome } from '../shared/index.ts';
import { describe, gamesHowellPair, welchAnova, welchT } from '../statistics/index.ts';
import { treatmentCurves, unitCurves } from './curves.ts';
import type {
  ComparedTreatment,
  ComparedUnit,
  Comparison,
  LeftOutReason,
  NotUpRule,
  OverallTest,
  TreatmentGroup,
  TreatmentPair,
} from './types.ts';
import { valueUnder } from './value-under-rule.ts';

/** What a comparison is made from. */
export interface ComparisonInput {
  readonly treatments: readonly ComparedTreatment[];
  readonly units: readonly ComparedUnit[];
  /** Readings of one variable that still count, in the order they were made. */
  readonly readings: readonly ReadingFact[];
  readonly day: CalendarDay;
  readonly rule: NotUpRule;
}

/**
 * Compares treatments on one day, each unit reduced to one value. Two treatments with values: Welch's t test;
 * more: Welch's analysis of variance with Games–Howell pairs. Only readings of that very day count; days are
 * never pooled as replicates.
 */
export function compareTreatments(input: ComparisonInput): Comparison {
  const findings = unitDays(input.readings);
  const onDay = new Map<string, UnitDay>();
  for (const [unitId, history] of findings) {
    const finding = findingOn(history, input.day);
    if (finding) onDay.set(unitId, finding);
  }
  const groups = input.treatments.map((treatment) => groupOf(treatment, input, onDay));
  const pairs = pairsOf(input.treatments, groups);
  const curves = unitCurves(input.units, findings, input.rule);
  return {
    day: input.day,
    age: sharedAge(input.units, onDay, input.day),
    rule: input.rule,
    groups,
    overall: overallTest(groups),
    pairs,
    mainPair: mainPair(input.treatments, pairs),
    unitCurves: curves,
    treatmentCurves: treatmentCurves(input.treatments, curves),
  };
}

/** The finding of the very day, or the earlier one that a unit was dead or removed, which lasts. */
function findingOn(history: readonly UnitDay[], day: CalendarDay): UnitDay | undefined {
  const last = history.filter((candidate) => candidate.day <= day).at(-1);
  const isLasting = last?.state === 'dead' || last?.state === 'removed';
  return last?.day === day || isLasting ? last : undefined;
}

function groupOf(
  treatment: ComparedTreatment,
  input: ComparisonInput,
  onDay: ReadonlyMap<string, UnitDay>,
): TreatmentGroup {
  const units = input.units.filter((unit) => unit.treatmentId === treatment.id);
  const points: { unitId: string; number: number; value: number }[] = [];
  const leftOut: { unitId: string; number: number; reason: LeftOutReason }[] = [];
  let countedAsZero = 0;
  for (const unit of units) {
    const finding = onDay.get(unit.id);
    const value = finding && valueUnder(input.rule, finding);
    const named = { unitId: unit.id, number: unit.number };
    if (value === undefined) leftOut.push({ ...named, reason: leftOutReason(finding) });
    else points.push({ ...named, value });
    if (value !== undefined && finding?.state === 'not_up') countedAsZero += 1;
  }
  return {
    treatmentId: treatment.id,
    points,
    counts: { units: units.length, measured: points.length, countedAsZero, leftOut },
    description: describe(points.map((point) => point.value)),
  };
}

function leftOutReason(finding: UnitDay | undefined): LeftOutReason {
  if (!finding) return 'not_read';
  return finding.state === 'up' ? 'up_without_value' : finding.state;
}

function sharedAge(
  units: readonly ComparedUnit[],
  onDay: ReadonlyMap<string, UnitDay>,
  day: CalendarDay,
): number | null {
  const ages = new Set(
    units
      .filter((unit) => onDay.has(unit.id))
      .map((unit) => (unit.sowedOn === null ? null : daysBetween(unit.sowedOn, day))),
  );
  const [age] = ages;
  return ages.size === 1 && age !== undefined ? age : null;
}

function valuesOf(group: TreatmentGroup): number[] {
  return group.points.map((point) => point.value);
}

function overallTest(groups: readonly TreatmentGroup[]): OverallTest {
  const filled = groups.map(valuesOf).filter((values) => values.length > 0);
  if (filled.length < 2)
    return { kind: 'none', reason: filled.length === 0 ? 'no-values' : 'too-few-groups' };
  const [first, second] = filled as [number[], number[]];
  return filled.length === 2
    ? { kind: 'welch-t', result: welchT(first, second) }
    : { kind: 'welch-anova', result: welchAnova(filled) };
}

function pairsOf(
  treatments: readonly ComparedTreatment[],
  groups: readonly TreatmentGroup[],
): TreatmentPair[] {
  const filled = groups.filter((group) => group.points.length > 0).length;
  const isControl = new Map(treatments.map((treatment) => [treatment.id, treatment.isControl]));
  return groups.flatMap((one, index) =>
    groups.slice(index + 1).map((other) => {
      const swap = isControl.get(other.treatmentId) === true && isControl.get(one.treatmentId) !== true;
      const [first, second] = swap ? [other, one] : [one, other];
      const difference = differenceOf(first, second);
      return {
        firstId: first.treatmentId,
        secondId: second.treatmentId,
        difference,
        relative: relativeTo(first, difference),
        test: gamesHowellPair(valuesOf(first), valuesOf(second), filled),
      };
    }),
  );
}

function differenceOf(first: TreatmentGroup, second: TreatmentGroup): Outcome<number> {
  const [a, b] = [first.description.mean, second.description.mean];
  return a.defined && b.defined ? defined(b.value - a.value) : notDefined('no-values');
}

function relativeTo(first: TreatmentGroup, difference: Outcome<number>): Outcome<number> {
  const base = first.description.mean;
  if (!difference.defined || !base.defined) return notDefined('no-values');
  return base.value === 0 ? notDefined('reference-is-zero') : defined(difference.value / base.value);
}

function mainPair(treatments: readonly ComparedTreatment[], pairs: readonly TreatmentPair[]): number | null {
  const control = treatments.find((treatment) => treatment.isControl);
  let best: number | null = null;
  let size = -1;
  pairs.forEach((pair, index) => {
    if (control && pair.firstId !== control.id) return;
    if (pair.difference.defined && Math.abs(pair.difference.value) > size) {
      size = Math.abs(pair.difference.value);
      best = index;
    }
  });
  return best;
}
