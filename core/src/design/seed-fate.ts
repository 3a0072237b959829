import {
  betaQuantile,
  binomialTerms,
  gaussLegendre,
  integrate,
  normalQuantile,
  normalCdf,
  normalDensity,
} from '../statistics/index.ts';
import type { GerminationRate } from './seed-lot.ts';

/**
 * How alike the fates of seeds are that share a pot: the correlation of the hidden normal luck that decides whether a
 * seed comes up. A pot that dries out or is sown too deep loses several at once; 0.1 makes pots of ten seeds at 8 of 10
 * vary by about a fifth more than if each seed had its own luck.
 */
export const POT_CORRELATION = 0.1;

const LUCKS = gaussLegendre(32);
const FAR = 6;
const KNOWN = 16;
const known = new Map<string, readonly number[]>();

/**
 * Chance of a seed to come up in a pot of a certain luck: Φ((Φ⁻¹(share) + √ρ · luck) / √(1 − ρ)), which is `share` on
 * average over pots (one-factor probit model, Vasicek 1987).
 * @param share 0–1 over all pots
 * @param luck standard normal, one for each pot
 */
export function shareInPot(share: number, luck: number): number {
  if (share <= 0 || share >= 1) return share <= 0 ? 0 : 1;
  return normalCdf(
    (normalQuantile(share) + Math.sqrt(POT_CORRELATION) * luck) / Math.sqrt(1 - POT_CORRELATION),
  );
}

/** Average of a figure over the luck of pots. */
export function overPots(share: number, figure: (shareOfPot: number) => number): number {
  if (share <= 0 || share >= 1) return figure(share <= 0 ? 0 : 1);
  return integrate(LUCKS, -FAR, FAR, (luck) => normalDensity(luck) * figure(shareInPot(share, luck)));
}

/** P(x seeds of a pot come up), x = 0 … `seeds`. */
export function upInPot(seeds: number, share: number): number[] {
  if (share <= 0 || share >= 1) return binomialTerms(seeds, share);
  const terms = new Array<number>(seeds + 1).fill(0);
  LUCKS.nodes.forEach((node, index) => {
    const luck = FAR * node;
    const weight = FAR * (LUCKS.weights[index] as number) * normalDensity(luck);
    binomialTerms(seeds, shareInPot(share, luck)).forEach((term, up) => {
      terms[up] = (terms[up] as number) + weight * term;
    });
  });
  return terms;
}

/**
 * Average of a figure over what the share may be: the whole Beta posterior of a tested lot, by its quantiles; the share
 * itself where only a packet or a handbook speaks.
 */
export function overRates(rate: GerminationRate, figure: (share: number) => number): number {
  if (rate.seeds === null) return figure(rate.share);
  return sharesOf(rate.share * rate.seeds, (1 - rate.share) * rate.seeds).reduce((sum, share, index) => {
    const weight =
      FAR * (LUCKS.weights[index] as number) * normalDensity(FAR * (LUCKS.nodes[index] as number));
    return sum + weight * figure(share);
  }, 0);
}

/** Quantiles of Beta(a, b) at the nodes of the luck's normal distribution; kept for the last few lots. */
function sharesOf(a: number, b: number): readonly number[] {
  const key = `${a} ${b}`;
  const shares = known.get(key) ?? LUCKS.nodes.map((node) => betaQuantile(normalCdf(FAR * node), a, b));
  if (known.size >= KNOWN) known.delete(known.keys().next().value ?? '');
  known.set(key, shares);
  return shares;
}
