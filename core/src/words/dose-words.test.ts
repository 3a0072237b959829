import { describe, expect, test } from '@jest/globals';
import type { Comparison, DoseQuestion } from '../comparison/index.ts';
import { simulatedClasses } from '../calibration/index.ts';
import { comparisonWords, READING_LEVELS, type ReadingLevel } from './index.ts';

const NAMES = ['No feed', 'A little', 'A lot'];
const HEIGHT = { kind: 'length', scale: { unit: 'cm', step: 0.5 }, isHeight: true } as const;
const LEAVES = { kind: 'count', name: 'leaves' } as const;

function said(
  dose: Partial<DoseQuestion>,
  level: ReadingLevel,
  style: typeof HEIGHT | typeof LEAVES = HEIGHT,
) {
  const [found] = simulatedClasses({ levels: [3], pots: 5, areAmounts: true }, 1, 4);
  const comparison = { ...found!, dose: { ...found!.dose!, ...dose } } satisfies Comparison;
  const treatments = NAMES.map((name, at) => ({ id: `t${at}`, name, isControl: at === 0 }));
  return comparisonWords({ comparison, treatments, style, level });
}

describe('what is told of amounts', () => {
  test.each(READING_LEVELS)('the best in between is named, with both gaps and its own luck: %s', (level) => {
    const { headline, luck, howSure, others } = said(
      { turning: { sign: 1, p: 0.004, groupId: 't1' } },
      level,
    );
    expect(headline).toMatch(
      /^Plants with A little .* than with No feed, and .* than with A lot, on day 19\.$/,
    );
    expect(luck).toBe(0.004);
    // What the headline tells is not doubted below it.
    expect(others.filter((line) => line.includes('A little'))).toEqual([]);
    expect(howSure).not.toBe('');
  });

  test('a trend is told in the word of what is measured', () => {
    const trend = { sign: -1, p: 0.01, groupId: 't2' };
    expect(said({ trend }, '11-13').headline).toMatch(
      /^From No feed to A lot, plants tended to be shorter on day 19: on average .* with No feed, .* and .* with A lot\.$/,
    );
    expect(said({ trend }, '5-7', LEAVES).headline).toContain('pots had mostly fewer leaves');
  });

  test.each(READING_LEVELS)('what nobody could see is said to be that: %s', (level) => {
    const { headline, others } = said({}, level);
    expect(headline).toMatch(/not (see|show)/);
    expect(others).toHaveLength(2);
  });
});
