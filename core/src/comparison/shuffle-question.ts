import type { RandomGenerator } from '../shared/index.ts';
import { arrangementsOf, leastSquares } from '../statistics/index.ts';
import { clearDose } from './dose-question.ts';
import type { Design } from './grouping.ts';
import { isClearTogether } from './questions.ts';
import type { Comparison, DoseQuestion, FactorQuestion, TreatmentPair } from './types.ts';

/** What a class shuffles to see what luck does: the question that the answer answers, over all pots that it was asked of. */
export interface ShuffleQuestion {
  /** A gap of two treatments, factors that depend on each other, a trend, or an amount that is best. */
  readonly kind: 'gap' | 'together' | 'trend' | 'best';
  readonly values: readonly number[];
  /** The label of each value: its group, by index. */
  readonly labels: readonly number[];
  /** Labels are dealt anew within these, by index; all 0 where pots are not in blocks. */
  readonly blocks: readonly number[];
  /** Gaps that are looked at after each shuffle, as weights of the groups' means; the largest counts. */
  readonly gaps: readonly (readonly number[])[];
  /** What really happened: the size of the gap that the answer tells of. */
  readonly observed: number;
}

/**
 * The shuffle that belongs to an answer: labels of the treatments that it is about, within blocks, and of each shuffle the
 * largest gap of all that the answer would have told of, as its test allows for them too. In a crossed design what the
 * other factors do is taken away first, as their levels stay where they are (Freedman and Lane 1983).
 * @param blockOf the block of each unit
 * @returns null where nothing was compared, or no shuffle could differ
 */
export function shuffleQuestion(
  comparison: Comparison,
  design: Pick<Design, 'factors' | 'treatments'> | null,
  blockOf: (unitId: string) => string,
): ShuffleQuestion | null {
  const filled = comparison.groups.filter(({ points }) => points.length > 0).map(({ groupId }) => groupId);
  const asked = askedOf(comparison, filled, design);
  if (!asked) return null;
  const { kind, ids, gaps } = asked;
  const points = ids.flatMap((id, label) =>
    (comparison.groups.find(({ groupId }) => groupId === id)?.points ?? []).map((point) => ({
      ...point,
      label,
    })),
  );
  if (ids.length < 2 || points.length < 4) return null;
  const names = [...new Set(points.map(({ unitId }) => blockOf(unitId)))];
  const blocks = points.map(({ unitId }) => (comparison.hasBlocks ? names.indexOf(blockOf(unitId)) : 0));
  const labels = points.map(({ label }) => label);
  const levels = labels.map((label) => design?.treatments.find(({ id }) => id === ids[label])?.levels ?? []);
  const values = without(
    points.map(({ value }) => value),
    (asked.apart ?? []).map((factor) => levels.map((own) => own[factor] ?? 0)),
    blocks,
  );
  const observed = largestGap({ values, gaps: asked.headline ? [asked.headline] : gaps }, labels);
  return { kind, values, labels, blocks, gaps, observed };
}

/** Values less what levels of other factors, and blocks, add to them. */
function without(
  values: readonly number[],
  factors: readonly (readonly number[])[],
  blocks: readonly number[],
): readonly number[] {
  if (factors.length === 0) return values;
  const columns = [...factors, blocks].flatMap((levels) =>
    [...new Set(levels)].map((level) => levels.map((own) => Number(own === level))),
  );
  return leastSquares(values, [values.map(() => 1), ...columns]).residuals;
}

interface Asked {
  readonly kind: ShuffleQuestion['kind'];
  /** Groups that are shuffled; gaps are weights of their means. */
  readonly ids: readonly string[];
  readonly gaps: number[][];
  /** The gap that heads the answer; left out where it is the largest of all. */
  readonly headline?: number[];
  /** Factors of which what they do is taken away first. */
  readonly apart?: readonly number[];
}

type GapOf = (first: readonly string[], second: readonly string[]) => number[];

function askedOf(
  comparison: Comparison,
  ids: readonly string[],
  design: Pick<Design, 'factors' | 'treatments'> | null,
): Asked | null {
  const { lead, dose, together, questions, pairs } = comparison;
  const gap: GapOf = (first, second) =>
    ids.map((id) => Number(second.includes(id)) / second.length - Number(first.includes(id)) / first.length);
  if (lead?.kind === 'dose' && dose) return ofDose(comparison, dose, ids);
  if (design && isClearTogether(together)) return ofTogether(ids, design);
  const question = lead?.kind === 'factor' ? questions[lead.question] : undefined;
  const pair = lead?.kind === 'factor' ? question?.pairs[lead.pair] : undefined;
  if (design && question && pair) return ofFactor(design, question, pair, ids, gap);
  const main = comparison.mainPair === null ? undefined : pairs[comparison.mainPair];
  if (!main || !ids.includes(main.firstId) || !ids.includes(main.secondId)) return null;
  const gaps = pairs
    .filter(({ firstId, secondId }) => ids.includes(firstId) && ids.includes(secondId))
    .filter(({ firstId }) => comparison.controlId === null || firstId === comparison.controlId)
    .map(({ firstId, secondId }) => gap([firstId], [secondId]));
  return { kind: 'gap', ids, gaps, headline: gap([main.firstId], [main.secondId]) };
}

/** The levels of one factor, each over the levels of the others. */
function ofFactor(
  { factors, treatments }: Pick<Design, 'factors' | 'treatments'>,
  { factor, pairs }: FactorQuestion,
  main: TreatmentPair,
  ids: readonly string[],
  gap: GapOf,
): Asked | null {
  const of = (level: string): string[] =>
    treatments
      .filter(
        ({ id, levels }) => ids.includes(id) && factors[factor]?.levels[levels[factor] ?? -1]?.name === level,
      )
      .map(({ id }) => id);
  const between = ({ firstId, secondId }: TreatmentPair): number[][] => {
    const [first, second] = [of(firstId), of(secondId)];
    return first.length === 0 || second.length === 0 ? [] : [gap(first, second)];
  };
  const [headline] = between(main);
  if (!headline) return null;
  const apart = factors.map((_, at) => at).filter((at) => at !== factor);
  return { kind: 'gap', ids, gaps: pairs.flatMap(between), headline, apart };
}

/** A trend over the amounts; or the best amount beside that end which is nearer to it. */
function ofDose({ groups }: Comparison, dose: DoseQuestion, ids: readonly string[]): Asked {
  const { groupIds, turning } = dose;
  if (turning && clearDose(dose) === 'turning') {
    const meanOf = (id: string): number => {
      const mean = groups.find(({ groupId }) => groupId === id)?.description.mean;
      return mean?.defined ? mean.value : 0;
    };
    const best = meanOf(turning.groupId);
    const [nearer = ''] = [groupIds[0] ?? '', groupIds.at(-1) ?? ''].sort(
      (a, b) => Math.abs(best - meanOf(a)) - Math.abs(best - meanOf(b)),
    );
    return { kind: 'best', ids: [nearer, turning.groupId], gaps: [[-1, 1]] };
  }
  const middle = (groupIds.length - 1) / 2;
  const size = groupIds.reduce((sum, _, at) => sum + (at - middle) ** 2, 0) / (groupIds.length - 1);
  return { kind: 'trend', ids, gaps: [ids.map((id) => (groupIds.indexOf(id) - middle) / size)] };
}

/** What each step of one factor does at a level of another, less what it does at the first. */
function ofTogether(ids: readonly string[], design: Pick<Design, 'factors' | 'treatments'>): Asked | null {
  if (design.factors.length !== 2) return null;
  const at = (first: number, second: number): number =>
    ids.findIndex((id) =>
      design.treatments.some(
        ({ id: own, levels }) => own === id && levels[0] === first && levels[1] === second,
      ),
    );
  const [rows, columns] = design.factors.map(({ levels }) => levels.length) as [number, number];
  const gaps: number[][] = [];
  for (let a = 0; a < rows; a += 1)
    for (let b = a + 1; b < rows; b += 1)
      for (let c = 0; c < columns; c += 1)
        for (let d = c + 1; d < columns; d += 1) {
          const places = [at(a, c), at(b, c), at(a, d), at(b, d)];
          if (places.includes(-1)) continue;
          const weights = ids.map(() => 0);
          places.forEach((place, corner) => {
            weights[place] = corner === 0 || corner === 3 ? 1 : -1;
          });
          gaps.push(weights);
        }
  return gaps.length === 0 ? null : { kind: 'together', ids, gaps, apart: [0, 1] };
}

/** The largest gap under some labels. */
export function largestGap(
  { values, gaps }: Pick<ShuffleQuestion, 'values' | 'gaps'>,
  labels: readonly number[],
): number {
  const sums = (gaps[0] ?? []).map(() => 0);
  const counts = sums.map(() => 0);
  labels.forEach((label, index) => {
    sums[label] = (sums[label] ?? 0) + (values[index] ?? 0);
    counts[label] = (counts[label] ?? 0) + 1;
  });
  const sizes = gaps.map((weights) =>
    weights.reduce(
      (sum, weight, at) => (weight === 0 ? sum : sum + (weight * (sums[at] ?? 0)) / (counts[at] ?? 1)),
      0,
    ),
  );
  return Math.max(0, ...sizes.map(Math.abs));
}

/** The largest gap after each of several shuffles of the labels within their blocks. */
export function shuffledGaps(question: ShuffleQuestion, draws: number, chance: RandomGenerator): number[] {
  const labels = [...question.labels];
  const places = [...new Set(question.blocks)].map((block) =>
    question.blocks.flatMap((own, index) => (own === block ? [index] : [])),
  );
  return Array.from({ length: draws }, () => {
    for (const own of places) {
      for (let at = own.length - 1; at > 0; at -= 1) {
        const [one, other] = [own[at] as number, own[chance.integer(0, at)] as number];
        [labels[one], labels[other]] = [labels[other] as number, labels[one] as number];
      }
    }
    return largestGap(question, labels);
  });
}

/**
 * The least share of shuffles that a gap can turn up in, however large it is: one of the ways to lay the labels, and its
 * mirror image where two groups have equally many pots.
 * @returns 0 where there are so many ways that nobody need count them
 */
export function leastShare({ labels, blocks }: Pick<ShuffleQuestion, 'labels' | 'blocks'>): number {
  let ways = 1;
  for (const block of new Set(blocks)) {
    const own = labels.filter((_, index) => blocks[index] === block);
    let left = own.length;
    for (const label of new Set(own)) {
      const count = own.filter((one) => one === label).length;
      ways *= arrangementsOf(left, count);
      left -= count;
    }
  }
  const sizes = [...new Set(labels)].map((label) => labels.filter((one) => one === label).length);
  const mirrored = sizes.length === 2 && sizes[0] === sizes[1] ? 2 : 1;
  return ways > MOST_COUNTED ? 0 : mirrored / ways;
}

const MOST_COUNTED = 1e6;
