import { type ReadingFact, type UnitDay, unitDays } from '../growth/index.ts';
import { type CalendarDay, daysBetween, defined, notDefined, type Outcome } from '../shared/index.ts';
import { describe, type FittedDesign } from '../statistics/index.ts';
import { treatmentCurves, unitCurves } from './curves.ts';
import { doseOf, settledDose } from './dose-question.ts';
import { fatesOf } from './fates.ts';
import { type Design, type GroupBy, grouped } from './grouping.ts';
import { leadOf } from './lead.ts';
import { fitted, mainPair, pairsBy } from './pairs.ts';
import { rankedOverall, rankedPairs } from './ranked-pairs.ts';
import { NO_QUESTIONS, type Questions, questionsOf } from './questions.ts';
import { plainStructure, type Structure, structureOf } from './structure.ts';
import { testLine, type TestOutcome } from './test-line.ts';
import type {
  ComparedGroup,
  ComparedUnit,
  Comparison,
  LeftOutReason,
  NotUpRule,
  Summary,
  TreatmentGroup,
  TreatmentPair,
} from './types.ts';
import { unitValue, type UnitValue } from './unit-value.ts';

/** What a comparison is made from. */
export interface ComparisonInput {
  readonly treatments: readonly ComparedGroup[];
  readonly units: readonly ComparedUnit[];
  /** Readings of one variable that still count, in the order they were made; or what came of them already. */
  readonly readings: readonly ReadingFact[] | ReadonlyMap<string, readonly UnitDay[]>;
  readonly day: CalendarDay;
  readonly rule: NotUpRule;
  /** One value a unit: that of the day when left out. */
  readonly summary?: Summary;
  /** The design that the units come from, and how they are sorted: what the model knows beside the groups. */
  readonly design?: Design;
  /** By treatment when left out. */
  readonly by?: GroupBy;
  /** Values are ordered steps, as stages are, without a distance between them: they are compared by their ranks. */
  readonly isOrdinal?: boolean;
  /** Values count seeds that are up: none of them is not up. */
  readonly countsSeeds?: boolean;
}

/** The questions of a crossed design, sorted by treatment or by one of its factors; none for other ways of sorting. */
function crossedQuestions(
  input: ComparisonInput,
  findings: ReadonlyMap<string, readonly UnitDay[]>,
): Questions {
  const { design, by = 'treatment' } = input;
  if (!design || input.isOrdinal || !(by === 'treatment' || by.startsWith('factor-'))) return NO_QUESTIONS;
  return questionsOf(design, (sorting) => {
    const { groups, units } = grouped(design, sorting);
    return groupsOn({ ...input, treatments: groups, units }, findings).groups;
  });
}

/**
 * Compares treatments on one day, each unit reduced to one value, by the model of the design: treatments, blocks, and
 * in a crossed design each factor over the others. Only readings of that very day count, or one figure
 * that sums up a unit until then; days are never pooled as replicates.
 */
export function compareTreatments(input: ComparisonInput): Comparison {
  const findings = 'get' in input.readings ? input.readings : unitDays(input.readings);
  const summary = input.summary ?? 'day';
  const { groups, age } = groupsOn(input, findings);
  const { design, by = 'treatment' } = input;
  const structure = design
    ? structureOf(design, by, input.treatments, input.units)
    : plainStructure(input.treatments, input.units);
  const fit: Outcome<FittedDesign> = input.isOrdinal
    ? notDefined('ordered_scores')
    : fitted(groups, structure);
  const questions = crossedQuestions(input, findings);
  // Sorted by a factor, its pairs are those of its question: one figure, however it is reached.
  const pairsFor = (times: number): TreatmentPair[] =>
    pairsBy(input.treatments, groups, structure, fit, times);
  const asked =
    design && fit.defined && by === 'treatment' && age !== null ? doseOf(design, groups, fit.value) : null;
  const settled = asked && settledDose(asked, pairsFor);
  const pairs = input.isOrdinal
    ? rankedPairs(input.treatments, groups)
    : (questions.factors.find((question) => by === `factor-${question.factor}`)?.pairs ??
      settled?.pairs ??
      pairsFor(1));
  const fates = fatesOf(
    input.treatments,
    input.units,
    findings,
    input.day,
    input.countsSeeds ? (finding) => finding.value !== 0 : undefined,
  );
  const curves = unitCurves(input.units, findings, input.rule);
  return {
    day: input.day,
    age,
    rule: input.rule,
    summary,
    groups,
    overall: input.isOrdinal ? rankedOverall(groups) : overallTest(fit, groups, pairs),
    spread: fit.defined ? fit.value.spread : null,
    ownSpread: fit.defined ? groupsOf(fit.value.ownSpread, structure) : [],
    hasBlocks: fit.defined && fit.value.hasBlocks,
    pairs,
    mainPair: mainPair(input.treatments, pairs),
    questions: questions.factors,
    together: questions.together,
    dose: settled?.dose ?? null,
    seeds: null,
    fates,
    lead: leadOf(input.treatments, pairs, questions, fates, by, settled?.dose ?? null),
    controlId: input.treatments.find((treatment) => treatment.isControl)?.id ?? null,
    unitCurves: curves,
    treatmentCurves: treatmentCurves(input.treatments, curves),
  };
}

/** The groups that treatments, by index, belong to. */
function groupsOf(cells: readonly number[], { cellsOf }: Structure): string[] {
  return [...cellsOf].flatMap(([id, own]) =>
    [...own.values()].some((cell) => cells.includes(cell)) ? [id] : [],
  );
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
      .map((unit) => (unit.sownOn === null ? null : daysBetween(unit.sownOn, day))),
  );
  const [age] = ages;
  return ages.size === 1 && age !== undefined ? age : null;
}

function overallTest(
  fit: Outcome<FittedDesign>,
  groups: readonly TreatmentGroup[],
  pairs: readonly TreatmentPair[],
): TestOutcome {
  if (!fit.defined) return fit;
  if (groups.filter((group) => group.points.length > 0).length > 2) {
    const { f, df1, df2, p } = fit.value.overall;
    return defined(testLine('design_f', p, f, df1, df2));
  }
  const pair = pairs.find((one) => one.test.defined);
  if (!pair?.test.defined) return notDefined('group_too_small');
  const { t, df, p } = pair.test.value;
  return defined(testLine('design_t', p, t, df));
}
