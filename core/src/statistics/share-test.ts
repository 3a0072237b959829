import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { twoSidedT } from './distributions.ts';

/** A share over several units held against a rate. */
export interface ShareTest {
  readonly share: number;
  readonly se: number;
  readonly t: number;
  readonly df: number;
  readonly p: number;
}

/**
 * A share of what several units hold, as of the seeds of pots, against a rate, with the units as what varies: the ratio
 * estimator with its error between units (Cochran 1977, ch. 9), by t with one fewer degrees of freedom than units.
 * @param units how many are up in each, of how many
 * @param rate 0–1
 * @returns undefined for fewer than two units, or when all have the same share
 */
export function shareTest(
  units: readonly { readonly up: number; readonly sown: number }[],
  rate: number,
): Outcome<ShareTest> {
  const n = units.length;
  if (n < 2) return notDefined('seeds-share-pots');
  const sown = units.reduce((sum, unit) => sum + unit.sown, 0);
  const share = units.reduce((sum, unit) => sum + Math.min(unit.up, unit.sown), 0) / sown;
  const squares = units.reduce(
    (sum, unit) => sum + (Math.min(unit.up, unit.sown) - share * unit.sown) ** 2,
    0,
  );
  const se = Math.sqrt((squares * n) / (n - 1)) / sown;
  if (!(se > 0)) return notDefined('no-spread');
  const t = (share - rate) / se;
  return defined({ share, se, t, df: n - 1, p: twoSidedT(t, n - 1) });
}
