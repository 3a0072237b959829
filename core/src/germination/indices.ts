import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { type Share, wilson } from '../statistics/index.ts';
import type { Check } from './checks.ts';

/** The germination indices of one lot. Times are days since sowing; N is how many came up, S how many were sown. */
export interface GerminationIndices {
  readonly sown: number | null;
  readonly up: number;
  /** N ÷ S with its 95 % interval by Wilson (1927). */
  readonly final: Outcome<Share>;
  readonly first: Outcome<number>;
  readonly last: Outcome<number>;
  /** The check with the most newly up; the earliest of several. */
  readonly peak: Outcome<number>;
  /** Last minus first. */
  readonly spread: Outcome<number>;
  /** Mean germination time Σ nᵢtᵢ ÷ N (Ellis and Roberts 1981; Ranal and Santana 2006). */
  readonly meanTime: Outcome<number>;
  /** Σ nᵢ(tᵢ − mean)² ÷ (N − 1); needs two. */
  readonly variance: Outcome<number>;
  /** √variance ÷ mean. */
  readonly cv: Outcome<number>;
  /** 1 ÷ mean time. */
  readonly meanRate: Outcome<number>;
  /** Coefficient of velocity 100 N ÷ Σ nᵢtᵢ (Kotowski 1926). */
  readonly velocity: Outcome<number>;
  /** Days to half of those that came up: N/2 (Farooq and others 2005), between checks along a straight line. */
  readonly t50: Outcome<number>;
  /** The same with (N + 1)/2 (Coolbear and others 1984). */
  readonly t50Coolbear: Outcome<number>;
  /** Speed Σ nᵢ ÷ tᵢ (Maguire 1962). */
  readonly speed: Outcome<number>;
  /** Sum of the cumulative percentages of all checks (Timson 1965). */
  readonly timson: Outcome<number>;
  /** Germination index Σ (T + 1 − tᵢ) nᵢ; daily checks from day 1 to T. */
  readonly index: Outcome<number>;
  /** Synchrony Z = Σ C(nᵢ, 2) ÷ C(N, 2), 0–1 (Primack 1985; Ranal and Santana 2006); needs two. */
  readonly synchrony: Outcome<number>;
  /** Uncertainty −Σ fᵢ log₂ fᵢ in bits (Labouriau and Valadares 1976). */
  readonly uncertainty: Outcome<number>;
  /** Final percentage × mean seedling length (Abdul-Baki and Anderson 1973), in % · mm. */
  readonly vigour: Outcome<number>;
}

/**
 * All indices of one lot.
 * @param checks in day order, at least those at which any was newly up; a check at day 0 finds nothing
 * @param sown seeds sown; `null` when nobody wrote it down
 * @param meanLengthMm mean length of the seedlings; `null` when none was measured
 */
export function germinationIndices(
  checks: readonly Check[],
  sown: number | null,
  meanLengthMm: number | null,
): GerminationIndices {
  const up = checks.reduce((sum, check) => sum + check.newlyUp, 0);
  const found = checks.filter((check) => check.newlyUp > 0);
  const whenUp = <T>(value: () => T): Outcome<T> => (up > 0 ? defined(value()) : notDefined('none_up'));
  const ofTwo = (value: () => number): Outcome<number> =>
    up > 1 ? defined(value()) : notDefined(up === 0 ? 'none_up' : 'one_value');
  const total = found.reduce((sum, { day, newlyUp }) => sum + newlyUp * day, 0);
  const mean = total / up;
  const variance = ofTwo(
    () => found.reduce((sum, { day, newlyUp }) => sum + newlyUp * (day - mean) ** 2, 0) / (up - 1),
  );
  const ofTimes = (value: () => number): Outcome<number> =>
    up === 0 ? notDefined('none_up') : total > 0 ? defined(value()) : notDefined('not_above_zero');
  const final = sown === null ? notDefined('no_seed_count') : wilson(Math.min(up, sown), sown);
  const days = { first: found[0]?.day ?? 0, last: found.at(-1)?.day ?? 0 };
  return {
    sown,
    up,
    final,
    first: whenUp(() => days.first),
    last: whenUp(() => days.last),
    peak: whenUp(() => found.reduce((most, check) => (check.newlyUp > most.newlyUp ? check : most)).day),
    spread: whenUp(() => days.last - days.first),
    meanTime: whenUp(() => mean),
    variance,
    cv: !variance.defined ? variance : ofTimes(() => Math.sqrt(variance.value) / mean),
    meanRate: ofTimes(() => 1 / mean),
    velocity: ofTimes(() => (100 * up) / total),
    t50: whenUp(() => timeAtCount(checks, up / 2)),
    t50Coolbear: whenUp(() => timeAtCount(checks, (up + 1) / 2)),
    speed: ofTimes(() => found.reduce((sum, { day, newlyUp }) => sum + (day > 0 ? newlyUp / day : 0), 0)),
    timson: sown === null ? notDefined('no_seed_count') : timson(checks, sown),
    index: germinationIndex(checks, up),
    synchrony: ofTwo(() => found.reduce((sum, { newlyUp }) => sum + pairs(newlyUp), 0) / pairs(up)),
    uncertainty: whenUp(
      () => -found.reduce((sum, { newlyUp }) => sum + (newlyUp / up) * Math.log2(newlyUp / up), 0) + 0,
    ),
    vigour: vigour(final, meanLengthMm),
  };
}

/** Straight between the checks round the wanted count; from sowing on when the first check passes it. */
function timeAtCount(checks: readonly Check[], wanted: number): number {
  let [day, count] = [0, 0];
  for (const check of checks) {
    const next = count + check.newlyUp;
    if (next >= wanted) {
      return check.newlyUp === 0 ? check.day : day + ((wanted - count) * (check.day - day)) / check.newlyUp;
    }
    [day, count] = [check.day, next];
  }
  return day;
}

function timson(checks: readonly Check[], sown: number): Outcome<number> {
  if (sown < 1) return notDefined('no_values');
  let [count, sum] = [0, 0];
  for (const check of checks) {
    count += check.newlyUp;
    sum += (100 * count) / sown;
  }
  return defined(sum);
}

function germinationIndex(checks: readonly Check[], up: number): Outcome<number> {
  const after = checks.filter((check) => check.day > 0);
  const last = after.at(-1)?.day ?? 0;
  const isDaily = after.length === last && after.every((check, index) => check.day === index + 1);
  if (up === 0) return notDefined('none_up');
  if (!isDaily) return notDefined('uneven_checks');
  return defined(after.reduce((sum, { day, newlyUp }) => sum + (last + 1 - day) * newlyUp, 0));
}

function vigour(final: Outcome<Share>, meanLengthMm: number | null): Outcome<number> {
  if (!final.defined) return final;
  return meanLengthMm === null
    ? notDefined('needs_lengths')
    : defined(100 * final.value.share * meanLengthMm);
}

function pairs(count: number): number {
  return (count * (count - 1)) / 2;
}
