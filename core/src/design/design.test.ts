import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  balancedLayout,
  blockedLayout,
  CONTAINER_GRIDS,
  CONTAINER_KINDS,
  layoutProblem,
  numberReplicates,
  placeCount,
  placeOf,
  placesOf,
  STANDINGS,
  standingsOf,
  STARTING_CROPS,
  treatmentCode,
  unevennessOf,
} from './index.ts';

/** Rows of so many places, as one way to group them. */
const rowsOf = (columns: number): string[][] => [
  Array.from({ length: 72 }, (_, at) => String(Math.floor(at / columns))),
];

describe('layout', () => {
  const designs = fc.record({
    treatments: fc.integer({ min: 2, max: 6 }),
    replicates: fc.integer({ min: 1, max: 12 }),
    seed: fc.integer({ min: 0, max: 4_294_967_295 }),
  });

  test('every treatment has its replicates, numbered from 1 in walking order', () => {
    fc.assert(
      fc.property(designs, ({ treatments, replicates, seed }) => {
        const layout = balancedLayout(treatments, replicates, rowsOf(5), seed);
        expect(layout.map((unit) => unit.number)).toEqual(layout.map((_, index) => index + 1));
        for (let treatment = 0; treatment < treatments; treatment += 1) {
          const own = layout.filter((unit) => unit.treatment === treatment);
          expect(own.map((unit) => unit.replicate)).toEqual(
            Array.from({ length: replicates }, (_, at) => at + 1),
          );
        }
      }),
    );
  });

  test.each([
    ['two of four in 2 by 4', 2, 4, [[2, 4]]],
    ['three of three in 2 by 5', 3, 3, [[2, 5]]],
    ['three of four in 2 by 6', 3, 4, [[2, 6]]],
    ['four of two in 2 by 4', 4, 2, [[2, 4]]],
    ['two of three in 1 by 6', 2, 3, [[1, 6]]],
    ['three of four in a line of 12', 3, 4, [[12, 1]]],
    ['four of six in 4 by 6', 4, 6, [[4, 6]]],
    ['three of fifteen in 5 by 9', 3, 15, [[5, 9]]],
    [
      'two of ten in two of 2 by 5',
      2,
      10,
      [
        [2, 5],
        [2, 5],
      ],
    ],
    ['twelve of five in 6 by 10', 12, 5, [[6, 10]]],
  ] as const)(
    '%s: no treatment has more of a row, column, side or container than it must',
    (_, treatments, replicates, grids) => {
      const containers = grids.map(([rows, columns]) => ({ rows, columns, brightSide: 'top' as const }));
      const standings = standingsOf(placesOf(containers).slice(0, treatments * replicates), containers);
      const orders = new Set<string>();
      for (let seed = 0; seed < 60; seed += 1) {
        const layout = balancedLayout(treatments, replicates, Object.values(standings), seed);
        const order = layout.map(({ treatment }) => treatment);
        orders.add(order.join());
        for (const standing of STANDINGS)
          expect([seed, unevennessOf(order, standings[standing])]).toEqual([seed, undefined]);
      }
      expect(orders.size).toBeGreaterThan(5);
    },
  );

  test('unevenness is the treatment that has most more than its even share', () => {
    expect(unevennessOf([0, 0, 0, 1, 1, 1], ['a', 'a', 'a', 'b', 'b', 'b'])).toEqual({
      ...{ treatment: 0, place: 0, count: 3, even: 1.5 },
    });
    expect(unevennessOf([0, 1, 0, 1, 1, 0], ['a', 'a', 'a', 'b', 'b', 'b'])).toBeUndefined();
    expect(unevennessOf([0, 0, 1, 1], ['', '', '', ''])).toBeUndefined();
  });

  test('the same seed gives the same layout', () => {
    fc.assert(
      fc.property(designs, ({ treatments, replicates, seed }) => {
        expect(balancedLayout(treatments, replicates, rowsOf(5), seed)).toEqual(
          balancedLayout(treatments, replicates, rowsOf(5), seed),
        );
      }),
    );
  });

  test('seeds give different layouts, and each place sees each treatment', () => {
    const seen = Array.from({ length: 12 }, () => new Set<number>());
    for (let seed = 0; seed < 60; seed += 1) {
      for (const unit of balancedLayout(3, 4, rowsOf(4), seed)) seen[unit.number - 1]?.add(unit.treatment);
    }
    for (const treatments of seen) expect(treatments.size).toBe(3);
  });

  test.each([
    [0, 4, 12, { code: 'no_treatments' }],
    [1, 4, 12, undefined],
    [3, 0, 12, { code: 'no_replicates' }],
    [3, 2.5, 12, { code: 'no_replicates' }],
    [3, 5, 12, { code: 'more_units_than_places', units: 15, places: 12 }],
    [3, 4, 12, undefined],
  ])('%p treatments × %p in %p places', (treatments, replicates, places, problem) => {
    expect(layoutProblem(treatments, replicates, places)).toEqual(problem);
  });

  test('blocks are complete: each run of places holds every treatment once', () => {
    fc.assert(
      fc.property(designs, ({ treatments, replicates, seed }) => {
        const layout = blockedLayout(treatments, replicates, seed);
        expect(layout).toEqual(blockedLayout(treatments, replicates, seed));
        for (let block = 1; block <= replicates; block += 1) {
          const own = layout.filter((unit) => unit.block === block);
          expect(own.map((unit) => unit.treatment).sort()).toEqual(
            Array.from({ length: treatments }, (_, index) => index),
          );
          expect(new Set(own.map((unit) => unit.replicate))).toEqual(new Set([block]));
        }
      }),
    );
  });

  test('replicates are counted within each treatment', () => {
    expect(numberReplicates([1, 0, 1]).map((unit) => unit.replicate)).toEqual([1, 1, 2]);
  });
});

describe('containers', () => {
  test.each(CONTAINER_KINDS)('%s: walking order fills each place once', (kind) => {
    const grid = CONTAINER_GRIDS[kind];
    const places = Array.from({ length: placeCount(grid) }, (_, index) => placeOf(index + 1, grid));
    expect(new Set(places.map(({ row, column }) => `${row}/${column}`)).size).toBe(placeCount(grid));
    expect(places[0]).toEqual({ row: 1, column: 1 });
    expect(places.at(-1)).toEqual({ row: grid.rows, column: grid.columns });
  });
});

describe('starting crops', () => {
  test('ids differ and figures hang together', () => {
    expect(new Set(STARTING_CROPS.map((crop) => crop.id)).size).toBe(STARTING_CROPS.length);
    expect(STARTING_CROPS.length).toBeGreaterThanOrEqual(48);
    for (const {
      id,
      daysToEmergence,
      daysToRadicle,
      heightAtDay21Mm,
      matureHeightMm,
      temperatureC,
    } of STARTING_CROPS) {
      // Not yet up at day 21 is no height at day 21; a root is out before the plant; no warmth adds up below the base.
      const isLate = daysToEmergence !== null && daysToEmergence.max > 21;
      const { base, min, best, max } = temperatureC;
      expect({
        id,
        height: isLate ? heightAtDay21Mm === null : (heightAtDay21Mm ?? 0) <= (matureHeightMm ?? 0),
        root: !daysToRadicle || !daysToEmergence || daysToRadicle.max < daysToEmergence.max,
        warmth: base! <= min && min < best && best < max,
      }).toEqual({ id, height: true, root: true, warmth: true });
    }
    for (const crop of STARTING_CROPS) {
      const { min, best, max } = crop.temperatureC;
      expect([crop.id, min <= best && best <= max]).toEqual([crop.id, true]);
      for (const range of [crop.daysToEmergence, crop.daysToRadicle, crop.daysToHarvestOrFlower]) {
        if (range) expect([crop.id, range.min < range.max]).toEqual([crop.id, true]);
      }
      if (crop.germinationPercent !== null) expect(crop.germinationPercent).toBeLessThanOrEqual(100);
    }
  });
});

test('treatment codes are letters', () => {
  expect([0, 1, 25, 26].map(treatmentCode)).toEqual(['A', 'B', 'Z', 'A1']);
});
