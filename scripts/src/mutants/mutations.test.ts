import { describe, expect, test } from '@jest/globals';
import { mutationsOf } from './mutations.ts';

/** What a source becomes by each of its mutations. */
function mutants(source: string): string[] {
  return mutationsOf(source).map(({ start, end, text }) => source.slice(0, start) + text + source.slice(end));
}

describe('mutations', () => {
  test('swap operators and move numbers', () => {
    expect(mutants('const a = b + 2;')).toEqual(['const a = b - 2;', 'const a = b + (2 + 1);']);
    expect(mutants('const a = b <= c;')).toEqual(['const a = b < c;']);
  });

  test('fix conditions and turn choices round', () => {
    expect(mutants('if (a) b();')).toEqual(['if (true) b();', 'if (false) b();', 'if (a) ;']);
    expect(mutants('const a = b ? c : d;')).toEqual(['const a = !(b) ? c : d;']);
  });

  test('leave calls out, awaited or not', () => {
    expect(mutants('await save(a);')).toEqual([';']);
  });

  test('leave types, imports and joined texts alone', () => {
    expect(mutants("import { a } from 'b'; type C = 1 | 2; const d = 'e' + f;")).toEqual([]);
  });
});
