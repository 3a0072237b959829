import { ALPHA, type FittedDesign, twoSidedT } from '../statistics/index.ts';
import type { Design } from './grouping.ts';
import type { DoseQuestion, DoseClaim, TreatmentGroup, TreatmentPair } from './types.ts';

/** Amounts from this many on have a trend, and may have a best between the least and the most. */
const FEWEST_AMOUNTS = 3;

/**
 * What more of one thing does, where treatments are amounts of it: whether values rise or fall with the amount, in its
 * order (a linear contrast), and whether an amount in between is above both the least and the most, or below both
 * (an intersection–union test, Berger 1982, allowing by Bonferroni for each amount that it might be).
 * @returns null where treatments are no amounts, or one has no value
 */
export function doseOf(
  design: Design,
  groups: readonly TreatmentGroup[],
  fit: FittedDesign,
): DoseQuestion | null {
  const [factor] = design.factors;
  if (!factor || design.factors.length > 1) return null;
  const cells = design.treatments.flatMap((treatment, cell) => {
    const amount = factor.levels[treatment.levels[0] ?? 0]?.amount ?? null;
    return amount === null || fit.means[cell] === undefined ? [] : [{ amount, cell, id: treatment.id }];
  });
  const amounts = new Set(cells.map(({ amount }) => amount));
  if (amounts.size < FEWEST_AMOUNTS || amounts.size < design.treatments.length) return null;
  if (groups.some(({ points }) => points.length < 2)) return null;
  const ordered = cells.sort((a, b) => a.amount - b.amount);
  return {
    factor: factor.name,
    groupIds: ordered.map(({ id }) => id),
    trend: trendOf(ordered, design.treatments.length, fit),
    turning: turningOf(ordered, design.treatments.length, fit),
  };
}

/**
 * The dose and the pairs of treatments as one family, by Holm (1979): in fewer than 5 of 100 experiments in which the
 * amount does nothing is anything told of it.
 * @param pairsFor pairs that allow for so many questions
 */
export function settledDose(
  dose: DoseQuestion,
  pairsFor: (times: number) => TreatmentPair[],
): { readonly dose: DoseQuestion; readonly pairs: TreatmentPair[] } {
  const plain = pairsFor(1);
  const ofPairs = Math.min(1, ...plain.flatMap(({ test }) => (test.defined ? [test.value.p] : [])));
  const ofDose = Math.min(1, dose.trend?.p ?? 1, dose.turning?.p ?? 1);
  const [isFirst, isPairsFirst] = [ofDose <= ofPairs, ofDose > ofPairs];
  const timesOf = (isOwn: boolean, other: number): number => (isOwn || 2 * other >= ALPHA ? 2 : 1);
  const times = timesOf(isFirst, ofPairs);
  const allowed = (claim: DoseClaim | null): DoseClaim | null =>
    claim && { ...claim, p: Math.min(1, claim.p * times) };
  const ofPair = timesOf(isPairsFirst, ofDose);
  return {
    dose: { ...dose, trend: allowed(dose.trend), turning: allowed(dose.turning) },
    pairs: ofPair === 1 ? plain : pairsFor(ofPair),
  };
}

/** What is clear of a dose: a best or worst amount in between before a trend. */
export function clearDose(dose: DoseQuestion | null): 'turning' | 'trend' | null {
  if (dose?.turning && dose.turning.p < ALPHA) return 'turning';
  return dose?.trend && dose.trend.p < ALPHA ? 'trend' : null;
}

type Ordered = readonly { readonly cell: number; readonly id: string }[];

function trendOf(ordered: Ordered, cells: number, fit: FittedDesign): DoseClaim | null {
  const middle = (ordered.length - 1) / 2;
  const weights = new Array<number>(cells).fill(0);
  ordered.forEach(({ cell }, at) => {
    weights[cell] = at - middle;
  });
  const found = fit.contrast(weights);
  if (!found.defined) return null;
  const { estimate, se, df } = found.value;
  return { sign: Math.sign(estimate), p: twoSidedT(estimate / se, df), groupId: ordered.at(-1)?.id ?? '' };
}

function turningOf(ordered: Ordered, cells: number, fit: FittedDesign): DoseClaim | null {
  const inner = ordered.slice(1, -1);
  const ends = [ordered[0], ordered.at(-1)];
  let best: DoseClaim | undefined;
  for (const { cell, id } of inner) {
    const sides = ends.map((end) => {
      const weights = new Array<number>(cells).fill(0);
      weights[cell] = 1;
      weights[end?.cell ?? 0] = -1;
      return fit.contrast(weights);
    });
    const judged = sides.flatMap((side) =>
      side.defined
        ? [
            {
              sign: Math.sign(side.value.estimate),
              p: twoSidedT(side.value.estimate / side.value.se, side.value.df),
            },
          ]
        : [],
    );
    const [one, other] = judged;
    if (!one || !other || one.sign !== other.sign) continue;
    const p = Math.min(1, Math.max(one.p, other.p) * inner.length);
    if (!best || p < best.p) best = { sign: one.sign, p, groupId: id };
  }
  return best ?? null;
}
