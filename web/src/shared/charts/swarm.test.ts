import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { swarm } from './swarm.ts';

describe('points of one column', () => {
  test('far apart stand in the middle; equal ones stand beside each other', () => {
    expect(swarm([1, 5, 9], 1, 0.5, 0.1)).toEqual([0, 0, 0]);
    expect(swarm([5, 5, 5], 1, 0.5, 0.1)).toEqual([0, 0.1, -0.1]);
    expect(swarm([], 1, 0.5, 0.1)).toEqual([]);
  });

  test('none hides another and all stay within the column, for any values', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 40 }), { maxLength: 120 }), (values) => {
        const found = swarm(values, 2, 0.5, 0.1);
        expect(found.every((x) => Math.abs(x) <= 0.25 + 1e-9)).toBe(true);
        for (const [a, x] of found.entries())
          for (const [b, other] of found.entries())
            if (a < b && Math.abs(values[a]! - values[b]!) < 2)
              expect(Math.abs(x - other)).toBeGreaterThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });
});
