import type { Crop } from '../design/index.ts';

/**
 * Plant-to-plant coefficient of variation of height by how a crop grows, 0–1, within the usual 15 to 30 %: grasses of
 * one variety stand even; seedlings of fine seed and rosettes differ most, as they start with little and shade each
 * other; climbers differ by when they find a hold.
 */
const SPREAD_BY_HABIT: Readonly<Record<Crop['habit'], number>> = {
  grass: 0.18,
  bush: 0.2,
  upright: 0.22,
  climber: 0.25,
  rosette: 0.26,
  tree: 0.28,
};

/** Seeds shorter than this are fine: their seedlings live on light from the first day. */
const FINE_SEED_MM = 1.5;
const FINE_SEED_ADDS = 0.02;

/**
 * Of the variation between plants of a room about this share is between pots: soil packed harder, more water, a warmer
 * place. Plants of one pot are alike by it.
 */
export const POT_SHARE = 0.3;

/** Plant-to-plant coefficient of variation that is usual for a crop, 0–1. */
export function usualSpread(crop: Pick<Crop, 'habit' | 'seedLengthMm'>): number {
  const isFine = crop.seedLengthMm !== null && crop.seedLengthMm < FINE_SEED_MM;
  return SPREAD_BY_HABIT[crop.habit] + (isFine ? FINE_SEED_ADDS : 0);
}

/** What the usual spread counts for, in pots, once a class has measured its own. */
const USUAL_POTS = 20;

/**
 * Plant-to-plant coefficient of variation to expect of a crop, 0–1: the usual one, moved by what the class's own finished
 * experiments showed, by the number of pots behind each (a weighted mean of variances).
 */
export function expectedSpread(crop: Pick<Crop, 'habit' | 'seedLengthMm' | 'measuredSpread'>): number {
  const usual = usualSpread(crop);
  if (!crop.measuredSpread) return usual;
  const { cv, pots } = crop.measuredSpread;
  return Math.sqrt((usual ** 2 * USUAL_POTS + cv ** 2 * pots) / (USUAL_POTS + pots));
}
