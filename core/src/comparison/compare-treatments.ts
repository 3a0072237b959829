import { type ReadingFact, type UnitDay, unitDays } from '../growth/index.ts';
import { type CalendarDay, daysBetween, defined, notDefined, type Outcome } from '../shared/index.ts';
import { describe, gamesHowellPair, welchAnova, welchT } from '../statistics/index.ts';
import { treatmentCurves, unitCurves } from './curves.ts';
import type {
  ComparedGroup,
  ComparedUnit,
  Comparison,
  LeftOutReason,
  NotUpRule,
  OverallTest,
  Summary,
  TreatmentGroup,
  TreatmentPair,
} from './types.ts';
import { unitValue, type UnitValue } from './unit-value.ts';

/** What a comparison is made from. */
export interface ComparisonInput {
  readonly treatments: readonly ComparedGroup[];
  readonly units: readonly ComparedUnit[];
  /** Readings of one variable that still count, in the order they were made. */
  readonly readings: readonly ReadingFact[];
  readonly day: CalendarDay;
  readonly rule: NotUpRule;
  /** One value a unit: that of the day when left out. */
  readonly summary?: Summary;
}

/**
 * Compares treatments on one day, each unit reduced to one value. Two treatments with values: Welch's t test;
 * more: Welch's analysis of variance with Games–Howell pairs. Only readings of that very day count, or one figure
 * that sums up a unit until then; days are never pooled as replicates.
 */
export function compareTreatments(input: ComparisonInput): Comparison {
  const findings = unitDays(input.readings);
  const summary = input.summary ?? 'day';
  const { groups, age } = groupsOn(input, findings);
  const pairs = pairsOf(input.treatments, groups);
  const curves = unitCurves(input.units, findings, input.rule);
  return {
    day: input.day,
    age,
    rule: input.rule,
    summary,
    groups,
    overall: overallTest(groups),
    pairs,
    mainPair: mainPair(input.treatments, pairs),
    controlId: input.treatments.find((treatment) => treatment.isControl)?.id ?? null,
    unitCurves: curves,
    treatmentCurves: treatmentCurves(input.treatments, curves),
  };
}

/**
 * The units of each group reduced to one value each, without any test: quick enough for every step of a scrubbed day.
 * @param findings of each unit in day order
 */
export function groupsOn(
  input: Omit<ComparisonInput, 'readings'>,
  findings: ReadonlyMap<string, readonly UnitDay[]>,
): { readonly groups: readonly TreatmentGroup[]; readonly age: number | null } {
  const reduction = { day: input.day, rule: input.rule, summary: input.summary ?? 'day' };
  const found = new Map<string, UnitValue>();
  for (const unit of input.units) found.set(unit.id, unitValue(reduction, unit, findings.get(unit.id) ?? []));
  const groups = input.treatments.map((treatment) => groupOf(treatment, input, found));
  return { groups, age: sharedAge(input.units, found, input.day) };
}

function groupOf(
  treatment: ComparedGroup,
  input: Pick<ComparisonInput, 'units'>,
  found: ReadonlyMap<string, UnitValue>,
): TreatmentGroup {
  const units = input.units.filter((unit) => unit.groupId === treatment.id);
  const points: { unitId: string; number: number; value: number }[] = [];
  const leftOut: { unitId: string; number: number; reason: LeftOutReason }[] = [];
  let countedAsZero = 0;
  for (const unit of units) {
    const result = found.get(unit.id) ?? { reason: 'not_read' };
    const named = { unitId: unit.id, number: unit.number };
    if ('reason' in result) leftOut.push({ ...named, reason: result.reason });
    else points.push({ ...named, value: result.value });
    if ('value' in result && result.isNotUp) countedAsZero += 1;
  }
  return {
    groupId: treatment.id,
    points,
    counts: { units: units.length, measured: points.length, countedAsZero, leftOut },
    description: describe(points.map((point) => point.value)),
  };
}

function sharedAge(
  units: readonly ComparedUnit[],
  found: ReadonlyMap<string, UnitValue>,
  day: CalendarDay,
): number | null {
  const ages = new Set(
    units
      .filter((unit) => found.get(unit.id)?.isRead)
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

function pairsOf(treatments: readonly ComparedGroup[], groups: readonly TreatmentGroup[]): TreatmentPair[] {
  const filled = groups.filter((group) => group.points.length > 0).length;
  const isControl = new Map(treatments.map((treatment) => [treatment.id, treatment.isControl]));
  return groups.flatMap((one, index) =>
    groups.slice(index + 1).map((other) => {
      const swap = isControl.get(other.groupId) === true && isControl.get(one.groupId) !== true;
      const [first, second] = swap ? [other, one] : [one, other];
      const difference = differenceOf(first, second);
      return {
        firstId: first.groupId,
        secondId: second.groupId,
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

function mainPair(treatments: readonly ComparedGroup[], pairs: readonly TreatmentPair[]): number | null {
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
