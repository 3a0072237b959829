import { randomInt } from 'node:crypto';
import { isDuplicate } from './transactions.ts';

/** Letters and digits that nobody confuses when they are read from a board. */
const CODE_SIGNS = 'ACDEFGHJKLMNPQRTUVWXY34679';
const TRIES = 5;

/** Tries codes of so many signs until one is free, so far as a unique column tells. */
export async function withNewCode(signs: number, keep: (code: string) => Promise<unknown>): Promise<void> {
  for (let attempt = 1; ; attempt += 1) {
    const code = Array.from({ length: signs }, () => CODE_SIGNS[randomInt(CODE_SIGNS.length)]);
    try {
      await keep(code.join(''));
      return;
    } catch (thrown) {
      if (attempt === TRIES || !isDuplicate(thrown)) throw thrown;
    }
  }
}
