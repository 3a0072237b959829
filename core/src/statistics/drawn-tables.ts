import { defined, type Outcome, randomGenerator } from '../shared/index.ts';
import { type CountTable, fisherExact } from './contingency.ts';
import { logGamma } from './incomplete-beta.ts';

const DRAWN = 20_000;
const SEED = 1934;
/** Tables whose chances differ by less than this share count as equally likely. */
const RELATIVE_ROUNDING = 1e-7;

/** How often chance would share counts out so unevenly. */
export interface SharesTest {
  readonly p: number;
  /** All tables were gone through; else so many were drawn. */
  readonly isExact: boolean;
  /** Standard error of `p` from drawing, √(p(1 − p)/drawn); 0 when exact. */
  readonly error: number;
}

/**
 * Whether rows of counts share their columns alike: Fisher's exact test (1934; Freeman and Halton 1951), and where there are
 * too many tables to go through, the same by 20 000 seeded draws of tables with these margins, (1 + hits)/(1 + draws) after
 * Phipson and Smyth (2010).
 * @returns undefined with fewer than two rows or columns that hold any count
 */
export function sharesTest(table: CountTable): Outcome<SharesTest> {
  const exact = fisherExact(table);
  if (exact.defined) return defined({ p: exact.value, isExact: true, error: 0 });
  return exact.reason === 'table_too_large' ? defined(drawnTest(table)) : exact;
}

function drawnTest(table: CountTable): SharesTest {
  const chance = randomGenerator(SEED);
  const columns = table.reduce<number[]>(
    (all, row) => row.map((count, column) => count + (all[column] ?? 0)),
    [],
  );
  const labels = columns.flatMap((count, column) => Array<number>(count).fill(column));
  const sizes = table.map((row) => row.reduce((sum, count) => sum + count, 0));
  const log = Array.from({ length: labels.length + 1 }, (_, count) => logGamma(count + 1));
  const unlikeliness = (counts: CountTable): number =>
    counts.reduce((sum, row) => sum + row.reduce((own, count) => own + (log[count] ?? 0), 0), 0);
  const bound = unlikeliness(table) - RELATIVE_ROUNDING;
  let hits = 0;
  for (let draw = 0; draw < DRAWN; draw += 1) {
    let at = 0;
    const counts = sizes.map((size) => {
      const row = columns.map(() => 0);
      for (const end = at + size; at < end; at += 1) {
        const other = chance.integer(at, labels.length - 1);
        const drawn = labels[other] as number;
        labels[other] = labels[at] as number;
        labels[at] = drawn;
        row[drawn] = (row[drawn] as number) + 1;
      }
      return row;
    });
    if (unlikeliness(counts) >= bound) hits += 1;
  }
  const p = (hits + 1) / (DRAWN + 1);
  return { p, isExact: false, error: Math.sqrt((p * (1 - p)) / DRAWN) };
}
