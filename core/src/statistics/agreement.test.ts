import { describe, expect, test } from '@jest/globals';
import { agreementOf, readingErrorOf } from './index.ts';

describe('two readers of the same pots', () => {
  test('agree as NumPy says', () => {
    // d = [1, -2, 0.5, 3, -1]; np.mean, np.std(ddof=1) and sqrt(sum(d**2)/10)
    const { n, bias, limits, technicalError } = agreementOf([
      [40, 41],
      [52, 50],
      [33, 33.5],
      [61, 64],
      [47, 46],
    ]);
    expect(n).toBe(5);
    expect(bias).toEqual({ defined: true, value: expect.closeTo(0.3, 12) });
    expect(limits).toEqual({
      defined: true,
      value: { low: expect.closeTo(-3.4701352761, 9), high: expect.closeTo(4.0701352761, 9) },
    });
    expect(technicalError).toEqual({ defined: true, value: expect.closeTo(1.2349089035, 9) });
  });

  test('one pair has a bias and no limits; no pair has nothing', () => {
    expect(agreementOf([[10, 12]])).toMatchObject({
      bias: { value: 2 },
      limits: { defined: false, reason: 'one_value' },
      technicalError: { value: Math.SQRT2 },
    });
    expect(agreementOf([])).toMatchObject({ n: 0, bias: { reason: 'no_values' } });
  });
});

describe('readings of what is known', () => {
  test('have a bias and a typical size', () => {
    const error = readingErrorOf([
      { trueValue: 50, readValue: 53 },
      { trueValue: 20, readValue: 19 },
    ]);
    expect(error).toEqual({
      n: 2,
      bias: { defined: true, value: 1 },
      typical: { defined: true, value: Math.sqrt(5) },
    });
  });

  test('are undefined before the first', () => {
    expect(readingErrorOf([]).typical).toEqual({ defined: false, reason: 'no_values' });
  });
});
