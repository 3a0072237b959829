import { describe, expect, test } from '@jest/globals';
import { placesThatFit, usualSpacing, weightOfSeeds } from './spacing.ts';

describe('a bed', () => {
  test.each([
    [600, 400, 100, 100, 4, 6],
    [600, 400, 75, 200, 2, 8],
    [90, 400, 100, 100, 4, 0],
    [0.3, 0.3, 0.1, 0.1, 3, 3],
  ])(
    '%d × %d mm at %d and %d mm has %d rows of %d',
    (lengthMm, widthMm, alongMm, betweenRowsMm, rows, columns) => {
      expect(placesThatFit({ lengthMm, widthMm }, { alongMm, betweenRowsMm })).toEqual({ rows, columns });
    },
  );

  test('gives every plant its room: one more row or place would not fit', () => {
    for (const lengthMm of [210, 555, 1000]) {
      for (const alongMm of [17, 50, 210]) {
        const { columns } = placesThatFit({ lengthMm, widthMm: 100 }, { alongMm, betweenRowsMm: 100 });
        expect(columns * alongMm).toBeLessThanOrEqual(lengthMm);
        expect((columns + 1) * alongMm).toBeGreaterThan(lengthMm);
      }
    }
  });

  test('is not planned by a crop without a spacing', () => {
    expect(usualSpacing({ spacingMm: null })).toBeNull();
    expect(usualSpacing({ spacingMm: 0 })).toBeNull();
    expect(usualSpacing({ spacingMm: 80 })).toEqual({ alongMm: 80, betweenRowsMm: 80 });
  });
});

test('seeds are weighed by a few that were counted', () => {
  expect(weightOfSeeds(500, { seeds: 50, grams: 0.8 })).toBeCloseTo(8);
});
