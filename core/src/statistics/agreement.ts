import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { meanOf, varianceOf, type Interval } from './describe.ts';

/** How two readers of the same things agree. All figures are in the unit of the values. */
export interface Agreement {
  /** Number of things that both read. */
  readonly n: number;
  /** Mean of second − first. */
  readonly bias: Outcome<number>;
  /** Limits of agreement, bias ± 1.96 SD of the differences (Bland and Altman 1986); needs two pairs. */
  readonly limits: Outcome<Interval>;
  /** Technical error of measurement, √(Σd² / 2n) (Dahlberg 1940): how far one reading is from the truth by chance. */
  readonly technicalError: Outcome<number>;
}

const LIMITS_SD = 1.96;

/**
 * Agreement of paired readings.
 * @param pairs first and second reading of each thing
 */
export function agreementOf(pairs: readonly (readonly [number, number])[]): Agreement {
  const differences = pairs.map(([first, second]) => second - first);
  const n = differences.length;
  if (n === 0) {
    const none = notDefined('no_values');
    return { n, bias: none, limits: none, technicalError: none };
  }
  const bias = meanOf(differences);
  const squares = differences.reduce((sum, difference) => sum + difference ** 2, 0);
  const technicalError = defined(Math.sqrt(squares / (2 * n)));
  if (n === 1) return { n, bias: defined(bias), limits: notDefined('one_value'), technicalError };
  const reach = LIMITS_SD * Math.sqrt(varianceOf(differences));
  return {
    n,
    bias: defined(bias),
    limits: defined({ low: bias - reach, high: bias + reach }),
    technicalError,
  };
}

/** How far readings are from what was there. All figures are in the unit of the values. */
export interface ReadingError {
  readonly n: number;
  /** Mean of read − true: above 0 when the readers read too much. */
  readonly bias: Outcome<number>;
  /** Root mean square of read − true. */
  readonly typical: Outcome<number>;
}

/**
 * Error of readings of which the truth is known, as on a practice ruler.
 * @param readings what was there and what was read
 */
export function readingErrorOf(
  readings: readonly { readonly trueValue: number; readonly readValue: number }[],
): ReadingError {
  const errors = readings.map(({ trueValue, readValue }) => readValue - trueValue);
  const n = errors.length;
  if (n === 0) return { n, bias: notDefined('no_values'), typical: notDefined('no_values') };
  const squares = errors.reduce((sum, error) => sum + error ** 2, 0);
  return { n, bias: defined(meanOf(errors)), typical: defined(Math.sqrt(squares / n)) };
}
