import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PLAIN_LEVEL, type Plan, startPlan, STARTING_CROPS } from '../design/index.ts';
import { calendarDay, chanceFrom } from '../shared/index.ts';
import {
  depthBy,
  depthChoices,
  emptyUnits,
  householdOf,
  materialsOf,
  seedsNeeded,
  sowingWith,
  sparesNeeded,
} from './index.ts';

// Made by SciPy with core/reference/planning.py.
const fromScipy = JSON.parse(
  readFileSync(new URL('../../reference/planning.json', import.meta.url), 'utf8'),
) as {
  overSow: { g: number; k: number; c: number; P: number; seeds: number; chance: number; thinned: number }[];
  spares: { g: number; k: number; c: number; P: number; spares: number }[];
};
const OAT = STARTING_CROPS.find((crop) => crop.id === 'oat')!;

describe('seeds', () => {
  test.each(fromScipy.overSow)('$k plants in $c units at $g with chance $P', ({ g, k, c, P, ...wanted }) => {
    const found = seedsNeeded({ plants: k, units: c, chance: P, germination: g });
    expect(found.defined && found.value.seedsPerUnit).toBe(wanted.seeds);
    expect(found.defined && Math.abs(found.value.chance - wanted.chance)).toBeLessThan(1e-9);
    expect(found.defined && Math.abs(found.value.thinned - wanted.thinned)).toBeLessThan(
      1e-9 * wanted.thinned + 1e-12,
    );
  });

  test.each(fromScipy.spares)('spares for $c units of $k at $g', ({ g, k, c, P, spares }) => {
    const found = sparesNeeded({ plants: k, units: c, chance: P, germination: g }, k);
    expect(found.defined && found.value.spares).toBe(spares);
  });

  test('every seed comes up: as many as plants; none does: said in words', () => {
    const wish = { plants: 2, units: 12, chance: 0.95, germination: 1 };
    expect(seedsNeeded(wish)).toEqual({ defined: true, value: { seedsPerUnit: 2, chance: 1, thinned: 0 } });
    expect(seedsNeeded({ ...wish, germination: 0 })).toEqual({
      defined: false,
      reason: 'nothing-germinates',
    });
    expect(sparesNeeded({ ...wish, germination: 0 }, 2)).toEqual({
      defined: false,
      reason: 'nothing-germinates',
    });
    expect(seedsNeeded({ ...wish, germination: 0.001 })).toEqual({
      defined: false,
      reason: 'too-many-needed',
    });
    expect(sparesNeeded({ ...wish, germination: 0.001 }, 2)).toEqual({
      defined: false,
      reason: 'too-many-needed',
    });
  });

  test('three for one is what a simulation of sowing gives', () => {
    const chance = chanceFrom(7);
    const tries = 20_000;
    let all = 0;
    let thinned = 0;
    for (let index = 0; index < tries; index += 1) {
      let isAll = true;
      for (let unit = 0; unit < 6; unit += 1) {
        const up = [0, 1, 2].filter(() => chance.happens(0.6)).length;
        isAll = isAll && up >= 1;
        thinned += Math.max(0, up - 1);
      }
      if (isAll) all += 1;
    }
    const found = sowingWith(3, { plants: 1, units: 6, germination: 0.6 });
    expect(Math.abs(found.chance - all / tries)).toBeLessThan(0.015);
    expect(Math.abs(found.thinned - thinned / tries)).toBeLessThan(0.06);
  });

  test('empty units: 12 of two seeds at one half', () => {
    expect(emptyUnits(2, 12, 0.5)).toEqual({ expected: 3, chanceOfAny: 1 - 0.75 ** 12 });
    expect(emptyUnits(2, 12, 1)).toEqual({ expected: 0, chanceOfAny: 0 });
  });
});

describe('depth', () => {
  const seed = { seedThicknessMm: 2, lightToGerminate: 'either' } as const;

  test('by each rule', () => {
    const { depths, standard } = depthChoices(seed, { depthMm: 6 });
    expect(depths.map(({ rule, depthMm }) => [rule, depthMm.defined && depthMm.value])).toEqual([
      ['packet', 6],
      ['as_thick', 2],
      ['two_and_half', 5],
      ['half_inch', 12.7],
      ['quarter_inch', 6.35],
      ['surface', 0],
    ]);
    expect(standard).toBe('packet');
  });

  test.each([
    [{ ...seed, lightToGerminate: 'needs-light' as const }, 'surface', 'needs-light'],
    [{ ...seed, seedThicknessMm: 0.4 }, 'surface', 'tiny'],
    [seed, 'two_and_half', 'no-figure'],
    [{ ...seed, seedThicknessMm: null }, 'quarter_inch', 'no-figure'],
  ])('without a packet', (crop, standard, reason) => {
    expect(depthChoices(crop, { depthMm: null })).toMatchObject({ standard, reason });
  });

  test('falls back where a rule has no figure', () => {
    const choices = depthChoices({ ...seed, seedThicknessMm: null }, { depthMm: null });
    expect(depthBy('as_thick', choices)).toEqual({ defined: true, value: 6.35 });
    expect(depthBy('packet', choices)).toEqual({ defined: true, value: 6.35 });
  });
});

describe('materials', () => {
  function plan(changes: Partial<Plan>): Plan {
    const started = startPlan({
      kind: 'one_factor',
      question: 'Why?',
      crop: OAT,
      otherCrops: STARTING_CROPS,
      sowOn: calendarDay('2027-03-01'),
      lessonOn: calendarDay('2027-03-29'),
    });
    return { ...started, ...changes };
  }
  const dose = (amount: number) => ({ material: 'sand', amount, unit: 'g' as const });
  const levels = [
    { ...PLAIN_LEVEL, name: 'None', dose: dose(0) },
    { ...PLAIN_LEVEL, name: 'Some', dose: dose(5), plants: 3, waterMl: 20 },
  ];

  test('of 2 × 5 units in a flat of 120 mL, by hand', () => {
    const found = materialsOf(
      plan({ factors: [{ name: 'Sand', aspect: 'additive', levels }], seedsPerPacket: 25 }),
    );
    // 5 units × 2 seeds + 5 units × 6 seeds; 10 × 120 mL × 1.1 × 1.1; 5 × 8 mL + 5 × 20 mL; 5 × 5 g × 1.1
    expect(found).toMatchObject({
      units: 10,
      seeds: 40,
      packets: 2,
      containers: 1,
      trays: 1,
      labels: 11,
      rowMarkers: 0,
    });
    expect(found.soilMl).toBeCloseTo(1452, 9);
    expect(found.wettingMl).toBeCloseTo(363, 9);
    expect(found.waterMlAWatering).toBe(140);
    expect(found.doses).toHaveLength(1);
    expect(found.doses[0]).toMatchObject({ material: 'sand', treatments: ['B'], units: 5 });
    expect(found.doses[0]?.total).toBeCloseTo(27.5, 9);
  });

  test('two crops are counted apart; a box of rows gets a marker at both ends', () => {
    const crops = ['oat', 'pea'].map((cropId) => ({ ...PLAIN_LEVEL, name: cropId, cropId }));
    const containers = [
      { kind: 'box_rows' as const, name: '', rows: 3, columns: 4, brightSide: 'top' as const, cellMl: 100 },
    ];
    const found = materialsOf(
      plan({ factors: [{ name: 'Crop', aspect: 'crop', levels: crops }], containers }),
    );
    expect(found.seedsByCrop).toEqual([
      { cropId: 'oat', seeds: 10 },
      { cropId: 'pea', seeds: 10 },
    ]);
    expect([found.packets, found.rowMarkers]).toEqual([2, 6]);
  });

  test('without soil there is none to buy', () => {
    const { conditions } = plan({});
    expect(materialsOf(plan({ conditions: { ...conditions, hasSoil: false } }))).toMatchObject({
      soilMl: 0,
      trays: 0,
    });
  });

  test('kitchen measures are enough, and not much more', () => {
    const size = { cup: 240, tablespoon: 15, teaspoon: 5 };
    const step = { cup: 60, tablespoon: 7.5, teaspoon: 1.25 };
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20_000, noNaN: true }), (ml) => {
        const { amount, measure } = householdOf(ml);
        expect(amount * size[measure]).toBeGreaterThanOrEqual(ml - 1e-6);
        expect(amount * size[measure] - ml).toBeLessThanOrEqual(step[measure] + 1e-6);
      }),
    );
    expect(householdOf(600)).toEqual({ amount: 2.5, measure: 'cup' });
    expect(householdOf(20)).toEqual({ amount: 1.5, measure: 'tablespoon' });
    expect(householdOf(5)).toEqual({ amount: 1, measure: 'teaspoon' });
  });
});
