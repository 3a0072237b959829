import type { UnitDay } from '../growth/index.ts';
import { daysBetween, defined, notDefined, type Outcome } from '../shared/index.ts';
import { describe, type Description, factorialAnova, type Interval } from '../statistics/index.ts';
import { fitted, pairsBy } from './pairs.ts';
import type { Structure } from './structure.ts';
import { lineOf, testLine, type TestOutcome } from './test-line.ts';
import type { ComparedUnit, NotUpRule, TreatmentGroup } from './types.ts';
import { valueUnder } from './value-under-rule.ts';

/** One class's run of a plan. Groups are matched between classes by name. */
export interface StudyRun {
  readonly id: string;
  readonly name: string;
  readonly groups: readonly { readonly id: string; readonly name: string; readonly isControl: boolean }[];
  readonly units: readonly ComparedUnit[];
  readonly histories: ReadonlyMap<string, readonly UnitDay[]>;
}

/** One treatment in one class. */
export interface StudyCell {
  readonly runId: string;
  readonly group: string;
  readonly description: Description;
}

/** A pooled difference in figures; `low` and `high` are its 95 % interval. */
export interface PooledResult extends Interval {
  readonly difference: number;
  readonly df: number;
  readonly p: number;
}

/** A difference with each class compared within itself. */
export interface PooledDifference {
  readonly first: string;
  readonly second: string;
  /** Second minus first, classes as blocks, with its 95 % interval. */
  readonly result: Outcome<PooledResult>;
}

/** Several classes together, each a block. */
export interface StudyPart {
  /** Days since sowing that units are compared at, with the nearest reading a day away at most. */
  readonly age: number;
  readonly runs: readonly {
    readonly id: string;
    readonly name: string;
    readonly units: number;
    readonly measured: number;
  }[];
  readonly groups: readonly string[];
  readonly cells: readonly StudyCell[];
  readonly treatment: TestOutcome;
  readonly run: TestOutcome;
  /** Whether the treatment did differently in different classes. */
  readonly interaction: TestOutcome;
  readonly differences: readonly PooledDifference[];
}

/** A unit counts by its reading nearest to the age compared, so many days away at most. */
export const FARTHEST_STUDY_DAYS = 1;

/** Pools runs of one plan at an age, one value a unit, classes as blocks; treatments in one class only stay out. */
export function studyPart(runs: readonly StudyRun[], age: number, rule: NotUpRule): StudyPart {
  const counts = new Map<string, number>();
  for (const run of runs)
    for (const name of new Set(run.groups.map((group) => group.name))) {
      counts.set(name, (counts.get(name) ?? 0) + 1);
    }
  const control = runs[0]?.groups.find((group) => group.isControl)?.name;
  const names = [...counts].filter(([, count]) => count > 1 || runs.length === 1).map(([name]) => name);
  const groups = names.sort((a, b) => Number(b === control) - Number(a === control));
  const values = runs.map((run) => valuesAt(run, age, rule));
  const cells = runs.flatMap((run, at) =>
    groups.map((group): StudyCell => ({
      runId: run.id,
      group,
      description: describe(values[at]?.get(group) ?? []),
    })),
  );
  const units = runs.flatMap((_, block) =>
    groups.flatMap((group, level) =>
      (values[block]?.get(group) ?? []).map((value) => ({ value, level, block })),
    ),
  );
  const blocks = new Set(units.map((unit) => unit.block)).size;
  const anova =
    blocks < 2
      ? notDefined('one_class')
      : factorialAnova(
          units.map(({ value, level, block }) => ({ value, levels: [level, block], block: 0 })),
          'II',
        );
  const term = (factors: readonly number[]): TestOutcome => {
    if (!anova.defined) return anova;
    const found = anova.value.terms.find((one) => one.factors.join() === factors.join());
    if (!found) return notDefined('no_residual');
    return lineOf(found.test, ({ f, p }) => testLine('factorial', p, f, found.df, anova.value.errorDf));
  };
  return {
    age,
    runs: runs.map(({ id, name, units: all }, at) => ({
      id,
      name,
      units: all.length,
      measured: [...(values[at]?.values() ?? [])].reduce((sum, own) => sum + own.length, 0),
    })),
    groups,
    cells,
    treatment: term([0]),
    run: term([1]),
    interaction: term([0, 1]),
    differences: blocks < 2 ? alone(groups) : differencesOf(groups, units),
  };
}

/** The values of a run at an age, by the name of the group. */
function valuesAt(run: StudyRun, age: number, rule: NotUpRule): Map<string, number[]> {
  const names = new Map(run.groups.map((group) => [group.id, group.name]));
  const byGroup = new Map<string, number[]>();
  for (const unit of run.units) {
    const name = names.get(unit.groupId);
    if (name === undefined || unit.sownOn === null) continue;
    let [best, distance] = [undefined as UnitDay | undefined, FARTHEST_STUDY_DAYS + 1];
    for (const finding of run.histories.get(unit.id) ?? []) {
      const away = Math.abs(daysBetween(unit.sownOn, finding.day) - age);
      if (away < distance) [best, distance] = [finding, away];
    }
    const value = best && valueUnder(rule, best);
    if (value === undefined) continue;
    const own = byGroup.get(name) ?? [];
    own.push(value);
    byGroup.set(name, own);
  }
  return byGroup;
}

function alone(groups: readonly string[]): PooledDifference[] {
  const [first = ''] = groups;
  return groups.slice(1).map((second) => ({ first, second, result: notDefined('one_class') }));
}

/** Every treatment against the first, classes as blocks, by the model that a class is judged by and as one family. */
function differencesOf(
  groups: readonly string[],
  units: readonly { readonly value: number; readonly level: number; readonly block: number }[],
): PooledDifference[] {
  const named = groups.map((name, index) => ({ id: name, name, isControl: index === 0 }));
  const pooled = groups.map((groupId, level): TreatmentGroup => {
    const points = units.flatMap(({ value, level: own }, index) =>
      own === level ? [{ unitId: String(index), number: index + 1, value }] : [],
    );
    const counts = { units: points.length, measured: points.length, countedAsZero: 0, leftOut: [] };
    return { groupId, points, counts, description: describe(points.map((point) => point.value)) };
  });
  const structure: Structure = {
    factors: 1,
    cells: groups.length,
    cellOf: new Map(units.map(({ level }, index) => [String(index), level])),
    blockOf: new Map(units.map(({ block }, index) => [String(index), block])),
    cellsOf: new Map(groups.map((name, index) => [name, new Map([['', index]])])),
  };
  return pairsBy(named, pooled, structure, fitted(pooled, structure))
    .filter((pair) => pair.firstId === groups[0])
    .map(({ firstId, secondId, test }) => {
      if (!test.defined) return { first: firstId, second: secondId, result: test };
      const { difference, interval, df, p } = test.value;
      const { low, high } = interval ?? { low: difference, high: difference };
      return { first: firstId, second: secondId, result: defined({ difference, low, high, df: df ?? 0, p }) };
    });
}
