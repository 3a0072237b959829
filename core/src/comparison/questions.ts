import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { ALPHA, factorialAnova, type FactorialUnit, type FittedDesign } from '../statistics/index.ts';
import { type Design, grouped } from './grouping.ts';
import { fitted, pairsBy } from './pairs.ts';
import { weightedUnits } from './weighted-units.ts';
import { withinLevels } from './within-levels.ts';
import { type Structure, structureOf } from './structure.ts';
import { testLine, type TestOutcome } from './test-line.ts';
import type { FactorQuestion, Together, TreatmentGroup } from './types.ts';

/** What a crossed design asks: what each factor does over the levels of the others, and whether they work together. */
export interface Questions {
  readonly factors: readonly FactorQuestion[];
  readonly together: Together | null;
}

/** What a design that is not crossed asks beside its treatments. */
export const NO_QUESTIONS: Questions = { factors: [], together: null };

/** A question before it is known how many others it has to allow for. */
interface Asked {
  readonly p: number;
  readonly settle: (times: number) => void;
}

/**
 * The questions of a crossed design, as one family: each by its own smallest p value, and those by Holm (1979), so that
 * in fewer than 5 of 100 experiments in which nothing does anything any of them finds something.
 * @param sort sorts the same units, each with its one value
 */
export function questionsOf(
  design: Design,
  sort: (by: 'treatment' | `factor-${number}`) => readonly TreatmentGroup[],
): Questions {
  if (design.factors.length < 2) return NO_QUESTIONS;
  const factors: FactorQuestion[] = [];
  let together: Together | null = null;
  const asked: Asked[] = [];
  design.factors.forEach((factor, at) => {
    const by = `factor-${at}` as const;
    const sorted = grouped(design, by);
    const own = sort(by);
    const structure = structureOf(design, by, sorted.groups, sorted.units);
    const [fit, used] = factorFit(own, structure);
    const pairs = (times: number) => pairsBy(sorted.groups, own, used, fit, times);
    const smallest = Math.min(1, ...pairs(1).flatMap((pair) => (pair.test.defined ? pair.test.value.p : [])));
    asked.push({
      p: smallest,
      settle: (times) =>
        factors.push({ factor: at, name: factor.name, groups: sorted.groups, pairs: pairs(times) }),
    });
  });
  const { fit, units } = weightedUnits(sort('treatment'), design);
  const test = togetherTest(design, fit, units);
  asked.push({
    p: test.defined ? test.value.p : 1,
    settle: (times) => {
      together = {
        factors: test.defined ? test.value.factors : [],
        test: timesOver(test, times),
        within: null,
      };
    },
  });
  settle(asked);
  factors.sort((a, b) => a.factor - b.factor);
  return { factors, together: withWithin(together, design, fit, factors) };
}

function withWithin(
  together: Together | null,
  design: Design,
  fit: Outcome<FittedDesign>,
  factors: readonly FactorQuestion[],
): Together | null {
  return together && fit.defined
    ? { ...together, within: withinLevels(design, fit.value, factors, together.factors) }
    : together;
}

/** Holm's steps: the smallest p allows for all questions, the next for one fewer, until one is not small enough. */
function settle(asked: readonly Asked[]): void {
  let times = asked.length;
  let isOpen = false;
  for (const { p, settle: take } of [...asked].sort((a, b) => a.p - b.p)) {
    take(times);
    isOpen ||= p * times >= ALPHA;
    if (!isOpen) times -= 1;
  }
}

function timesOver(
  test: Outcome<{ p: number; f: number; df: number; errorDf: number }>,
  times: number,
): TestOutcome {
  if (!test.defined) return test;
  const { p, f, df, errorDf } = test.value;
  return defined(testLine('factorial', Math.min(1, p * times), f, df, errorDf));
}

/**
 * The model that a factor is judged by: every combination its own mean; where nothing would be left to judge by, as
 * with one unit a combination, the factor and what else the units had, added up.
 */
function factorFit(
  groups: readonly TreatmentGroup[],
  structure: Structure,
): [Outcome<FittedDesign>, Structure] {
  const full = fitted(groups, structure);
  if (full.defined || (full.reason !== 'group_too_small' && full.reason !== 'no_residual')) {
    return [full, structure];
  }
  const added = addedUp(structure);
  return [fitted(groups, added), added];
}

/** Groups as treatments, and what else their units had as blocks. */
function addedUp(structure: Structure): Structure {
  const ids = [...structure.cellsOf.keys()];
  const rests = [...new Set([...structure.cellsOf.values()].flatMap((cells) => [...cells.keys()]))];
  const groupOf = new Map<number, number>();
  const restOf = new Map<number, number>();
  ids.forEach((id, index) => {
    for (const [rest, cell] of structure.cellsOf.get(id) ?? []) {
      groupOf.set(cell, index);
      restOf.set(cell, rests.indexOf(rest));
    }
  });
  const through = (by: ReadonlyMap<number, number>): Map<string, number> =>
    new Map(
      [...structure.cellOf].flatMap(([unit, cell]) => (by.has(cell) ? [[unit, by.get(cell) ?? 0]] : [])),
    );
  return {
    cells: ids.length,
    factors: 1,
    cellOf: through(groupOf),
    blockOf: through(restOf),
    cellsOf: new Map(ids.map((id, index) => [id, new Map([['', index]])])),
  };
}

/** Whether the factors work together: all interactions at once, and the likeliest of them by name. */
function togetherTest(
  design: Design,
  fit: Outcome<FittedDesign>,
  units: readonly FactorialUnit[],
): Outcome<{ p: number; f: number; df: number; errorDf: number; factors: string[] }> {
  if (!fit.defined) return fit;
  const found = factorialAnova(
    fit.value.hasBlocks ? units : units.map((unit) => ({ ...unit, block: 0 })),
    'II',
  );
  if (!found.defined) return found;
  const { together: plain, terms, errorDf: plainDf } = found.value;
  if (!plain.defined) return plain;
  const isUnequal = fit.value.ownSpread.length > 0;
  const {
    f,
    p,
    df1: df,
    df2: errorDf,
  } = isUnequal
    ? fit.value.departure(addedColumns(design))
    : { ...plain.value, df1: plain.value.df, df2: plainDf };
  const [strongest] = terms
    .flatMap((term) => (term.factors.length > 1 && term.test.defined ? [{ term, p: term.test.value.p }] : []))
    .sort((a, b) => a.p - b.p);
  if (!strongest) return notDefined('no_residual');
  const factors = strongest.term.factors.map((at) => design.factors[at]?.name ?? '');
  return defined({ p, f, df, errorDf, factors });
}

/** What factors that only add up can do to treatments: a figure for each treatment, one column for each level. */
function addedColumns({ factors, treatments }: Design): number[][] {
  const levels = factors.flatMap((factor, at) =>
    factor.levels.map((_, level) => treatments.map((treatment) => (treatment.levels[at] === level ? 1 : 0))),
  );
  return [treatments.map(() => 1), ...levels];
}

/** True when factors can be seen to work together. */
export function isClearTogether(together: Together | null): boolean {
  return together !== null && together.test.defined && together.test.value.p < ALPHA;
}
