import { describe, expect, test } from '@jest/globals';
import { allReadText, READING_LEVELS, studentWords } from './index.ts';

describe('seeds without soil', () => {
  test('roots are asked about at every level, and nothing else changes', () => {
    for (const level of READING_LEVELS) {
      const [usual, roots] = [studentWords(level), studentWords(level, true)];
      expect([roots.canYouSee, roots.howMany]).toEqual([
        expect.stringContaining('root'),
        expect.stringContaining('root'),
      ]);
      expect({ ...roots, ...{ canYouSee: '', notYet: '', howMany: '' } }).toEqual({
        ...usual,
        ...{ canYouSee: '', notYet: '', howMany: '' },
      });
    }
  });
});

describe('the end of reading', () => {
  test.each([
    ['5-7', 4, 'All done. Thank you, Bea!'],
    ['8-10', 4, 'All 4 are read. Thank you, Bea.'],
    ['11-13', 2, 'Both are read. Thank you, Bea.'],
    ['14+', 1, 'Your pot is read. Thank you, Bea.'],
  ] as const)('at %s thanks by name for %p pots', (level, pots, words) => {
    expect(allReadText(level, pots, 'Bea')).toBe(words);
  });
});
