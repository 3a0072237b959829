import { existsSync, readFileSync } from 'node:fs';

/** Tests that passed and failed in one suite. */
export interface Tally {
  readonly passed: number;
  readonly failed: number;
}

/** One check that is passed or not. */
export function tallyOf(isPassed: boolean): Tally {
  return isPassed ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

/** The tests of several suites together. */
export function sumOf(tallies: readonly Tally[]): Tally {
  return tallies.reduce(
    (sum, one) => ({ passed: sum.passed + one.passed, failed: sum.failed + one.failed }),
    { passed: 0, failed: 0 },
  );
}

/** Reads a suite's own report; a suite that ended badly without saying why counts as one failure. */
export function fromReport(path: string, code: number, read: (json: unknown) => Tally): Tally {
  if (!existsSync(path)) return tallyOf(false);
  return orOneFailed(read(JSON.parse(readFileSync(path, 'utf8'))), code);
}

/** A suite that ended with an error has failed at least once. */
export function orOneFailed(tally: Tally, code: number): Tally {
  return code !== 0 && tally.failed === 0 ? { ...tally, failed: 1 } : tally;
}
