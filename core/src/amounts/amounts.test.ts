import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  PLAIN_LEVEL,
  type Plan,
  shareInPot,
  startPlan,
  STARTING_CROPS,
  treatmentsOf,
  usualContainer,
  depthBy,
  depthChoices,
  sowingDepth,
} from '../design/index.ts';
import { calendarDay, type RandomGenerator, randomGenerator } from '../shared/index.ts';
import {
  emptyUnits,
  householdMl,
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
  overSow: (Sowing & { seeds: number; chance: number; thinned: number })[];
  spares: (Sowing & { spares: number })[];
};

/** A rate, the seeds it rests on, plants a unit, units and the chance wanted. */
interface Sowing {
  readonly g: number;
  readonly n: number | null;
  readonly k: number;
  readonly c: number;
  readonly P: number;
}

function wishOf({ g, n, k, c, P }: Sowing) {
  const rate = { share: g, seeds: n, low: null, high: null, source: 'packet' as const };
  return { groups: [{ crop: 'oat', plants: k, units: c, rate }], plantsPerUnit: k, chance: P };
}

const OAT = STARTING_CROPS.find((crop) => crop.id === 'oat')!;

const LOT = {
  id: 'lot',
  cropId: 'oat',
  name: 'Lot',
  germinationPercent: null,
  depthMm: 17,
  daysToEmergence: null,
  spacingMm: null,
  seedsPerPacket: null,
  packedOn: null,
  tests: [],
};

describe('seeds', () => {
  test.each(fromScipy.overSow)('$k plants in $c units at $g ($n) with chance $P', (given) => {
    const found = seedsNeeded(wishOf(given));
    expect(found.defined && found.value.seedsPerUnit).toBe(given.seeds);
    expect(found.defined && Math.abs(found.value.chance - given.chance)).toBeLessThan(1e-6);
    const thinned = found.defined ? found.value.thinned : Number.NaN;
    expect(Math.abs(thinned - given.thinned)).toBeLessThan(1e-6 * (1 + given.thinned));
  });

  test.each(fromScipy.spares)('spares for $c units of $k at $g ($n)', (given) => {
    const found = sparesNeeded(wishOf(given));
    expect(found.defined && found.value.spares).toBe(given.spares);
  });

  test('every seed comes up: as many as plants; none does: said in words', () => {
    const wish = (g: number) => wishOf({ g, n: null, k: 2, c: 12, P: 0.95 });
    expect(seedsNeeded(wish(1))).toEqual({
      defined: true,
      value: { seedsPerUnit: 2, seeds: 24, chance: 1, thinned: 0 },
    });
    for (const answer of [seedsNeeded(wish(0)), sparesNeeded(wish(0))]) {
      expect(answer).toEqual({ defined: false, reason: 'nothing_germinates' });
    }
    for (const answer of [seedsNeeded(wish(0.001)), sparesNeeded(wish(0.001))]) {
      expect(answer).toEqual({ defined: false, reason: 'too_many_needed' });
    }
  });

  test('the chance is what classes find whose pots have their own luck, and whose rate was only tested', () => {
    const chance = randomGenerator(7);
    const tries = 6000;
    const [classes, spread] = [{ all: 0, thinned: 0 }, randomGenerator(11)];
    const [a, b] = [18, 12];
    for (let index = 0; index < tries; index += 1) {
      const rate = betaDraw(a, b, spread);
      let isAll = true;
      for (let unit = 0; unit < 6; unit += 1) {
        const share = shareInPot(rate, chance.normal());
        const up = [0, 1, 2].filter(() => chance.happens(share)).length;
        isAll = isAll && up >= 1;
        classes.thinned += Math.max(0, up - 1);
      }
      if (isAll) classes.all += 1;
    }
    const found = sowingWith(3, wishOf({ g: a / (a + b), n: a + b, k: 1, c: 6, P: 0.9 }));
    expect(Math.abs(found.chance - classes.all / tries)).toBeLessThan(0.02);
    expect(Math.abs(found.thinned - classes.thinned / tries)).toBeLessThan(0.12);
  });

  test('what one rate would promise is less sure when it was only tested, and pots share their fate', () => {
    const known = sowingWith(3, wishOf({ g: 0.7, n: null, k: 1, c: 12, P: 0.9 }));
    const tested = sowingWith(3, wishOf({ g: 0.7, n: 20, k: 1, c: 12, P: 0.9 }));
    expect(known.chance).toBeLessThan((1 - 0.3 ** 3) ** 12);
    expect(tested.thinned).toBeLessThan(known.thinned + 1);
    expect(tested.chance).not.toBeCloseTo(known.chance, 2);
  });

  test('crops side by side multiply, units that differ have no common spare', () => {
    const one = wishOf({ g: 0.8, n: null, k: 1, c: 6, P: 0.9 });
    const [oat] = one.groups as [(typeof one.groups)[number]];
    const bean = { ...oat, crop: 'bean', rate: { ...oat.rate, share: 0.6 } };
    const both = sowingWith(2, { groups: [oat, bean], plantsPerUnit: 1 });
    const apart = [oat, bean].map((group) => sowingWith(2, { groups: [group], plantsPerUnit: 1 }).chance);
    expect(both.chance).toBeCloseTo((apart[0] as number) * (apart[1] as number), 9);
    expect(sparesNeeded({ ...one, groups: [oat, bean] })).toEqual({ defined: false, reason: 'kinds_differ' });
  });

  test('empty units are the same prediction for one plant', () => {
    const wish = wishOf({ g: 0.5, n: 40, k: 1, c: 12, P: 0.9 });
    const { expected, chanceOfAny } = emptyUnits(2, wish);
    expect(chanceOfAny).toBeCloseTo(1 - sowingWith(2, wish).chance, 7);
    expect(expected).toBeGreaterThan(12 * 0.5 ** 2);
    expect(emptyUnits(2, wishOf({ g: 1, n: null, k: 1, c: 12, P: 0.9 }))).toEqual({
      expected: 0,
      chanceOfAny: 0,
    });
  });
});

/** A draw from Beta(a, b) of whole numbers: the a-th smallest of a + b − 1 uniform ones. */
function betaDraw(a: number, b: number, chance: RandomGenerator): number {
  const draws = Array.from({ length: a + b - 1 }, () => chance.uniform());
  return draws.sort((x, y) => x - y)[a - 1] as number;
}

describe('the depth that is sown', () => {
  const plan = {
    ...startPlan({
      kind: 'one_factor',
      question: 'How deep?',
      crop: OAT,
      otherCrops: [],
      sowOn: calendarDay('2027-03-01'),
      lessonOn: calendarDay('2027-03-22'),
    }),
    lotId: 'lot',
  };
  const depthWith = (changes: Partial<Plan>, depthMm: number | null = null, cropId = OAT.id, lots = [LOT]) =>
    sowingDepth(
      { ...plan, ...changes },
      { cropId, lotId: plan.lotId, depthMm },
      { crops: STARTING_CROPS, lots },
    );
  const byRule = (depthRule: Plan['conditions']['depthRule']) => ({
    conditions: { ...plan.conditions, depthRule },
  });

  test('of a cutting is its stem in the soil, and other plants go as deep as they stood', () => {
    const conditions = { ...plan.conditions, startsAs: 'cuttings' as const, stemMm: 40 };
    const settings = { cropId: 'oat', lotId: null, depthMm: null };
    const known = { crops: STARTING_CROPS, lots: [] };
    expect(sowingDepth({ ...plan, conditions }, settings, known)).toBe(40);
    expect(sowingDepth({ ...plan, conditions }, { ...settings, depthMm: 25 }, known)).toBe(25);
    const bought = { ...conditions, startsAs: 'bought' as const };
    expect(sowingDepth({ ...plan, conditions: bought }, settings, known)).toBeNull();
  });

  test('is the treatment’s, else by the rule, the packet and the crop of the treatment', () => {
    expect(depthWith(byRule('packet'), 40)).toBe(40);
    expect(depthWith(byRule('packet'))).toBe(17);
    expect(depthWith(byRule('surface'))).toBe(0);
    expect(depthWith(byRule('half_inch'))).toBe(12.7);
    expect(depthWith(byRule('packet'), null, OAT.id, [])).toBe(OAT.sowingDepthMm);
    const other = STARTING_CROPS.find(({ id, sowingDepthMm }) => id !== OAT.id && sowingDepthMm !== null)!;
    expect(depthWith(byRule('packet'), null, other.id)).toBe(other.sowingDepthMm);
    expect(depthWith(byRule('packet'), null, 'unknown')).toBeNull();
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
    [{ ...seed, lightToGerminate: 'needs_light' as const }, 'surface', 'needs_light'],
    [{ ...seed, seedThicknessMm: 0.4 }, 'surface', 'tiny'],
    [seed, 'two_and_half', 'no_figure'],
    [{ ...seed, seedThicknessMm: null }, 'quarter_inch', 'no_figure'],
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
    // 5 units × 2 seeds + 5 units × 6 seeds; 10 × 120 mL × 1.1 × 1.1; 5 × 10 mL + 5 × 20 mL; 5 × 5 g × 1.1
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
    expect(found.waterMlAWatering).toBe(150);
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
      { cropId: 'oat', seeds: 10, perPacket: 50, packets: 1 },
      { cropId: 'pea', seeds: 10, perPacket: 50, packets: 1 },
    ]);
    expect([found.packets, found.rowMarkers]).toEqual([2, 6]);
  });

  test('a crop with seeds and a packet of its own is counted by them', () => {
    const lot = { ...LOT, id: 'small', cropId: 'mustard', seedsPerPacket: 30 };
    const crops = [
      { ...PLAIN_LEVEL, name: 'mustard', cropId: 'mustard', seeds: 20, plants: 20, lotId: 'small' },
      { ...PLAIN_LEVEL, name: 'pea', cropId: 'pea', seeds: 3 },
    ];
    const found = materialsOf(plan({ factors: [{ name: 'Crop', aspect: 'crop', levels: crops }] }), {
      lots: [lot],
    });
    // 5 pots of 20 from packets of 30, and 5 pots of 3 from one packet of 50.
    expect(found.seedsByCrop).toEqual([
      { cropId: 'mustard', seeds: 100, perPacket: 30, packets: 4 },
      { cropId: 'pea', seeds: 15, perPacket: 50, packets: 1 },
    ]);
    expect([found.seeds, found.packets]).toEqual([115, 5]);
  });

  test('two factors that both give something keep both, and one material is added up', () => {
    const give = (name: string, material: string, amount: number, unit: 'mL' | 'tablet' = 'mL') => ({
      ...PLAIN_LEVEL,
      name,
      dose: { material, amount, unit },
    });
    const acid = [give('no acid', 'lemon juice', 0), give('acid', 'lemon juice', 10)];
    const lime = [give('no lime', 'chalk', 0, 'tablet'), give('lime', 'chalk', 1, 'tablet')];
    const crossed = plan({
      replicates: 2,
      factors: [
        { name: 'Acid', aspect: 'additive', levels: acid },
        { name: 'Lime', aspect: 'additive', levels: lime },
      ],
    });
    const found = materialsOf(crossed);
    // Each of the two goes into 2 of 4 treatments, 2 pots each, with a tenth as a spare.
    expect(found.doses.map(({ material, total, treatments }) => [material, total, treatments])).toEqual([
      ['chalk', 4.4, ['B', 'D']],
      ['lemon juice', 44, ['C', 'D']],
    ]);
    const twice = plan({
      factors: [acid, [give('none', 'lemon juice', 0), give('more', 'lemon juice', 5)]].map((levels, at) => ({
        name: `Acid ${at}`,
        aspect: 'additive' as const,
        levels,
      })),
    });
    expect(treatmentsOf(twice)[3]!.settings.doses).toEqual([
      { material: 'lemon juice', amount: 15, unit: 'mL' },
    ]);
  });

  test('of bags there is one a unit, of cartons one for all, and each has its lining', () => {
    const levels = ['towel', 'cotton'].map((medium) => ({ ...PLAIN_LEVEL, name: medium, medium }));
    const { conditions } = plan({});
    const found = materialsOf(
      plan({
        replicates: 3,
        conditions: { ...conditions, hasSoil: false },
        factors: [{ name: 'Lining', aspect: 'medium', levels }],
        containers: [usualContainer('bags'), usualContainer('egg_carton')],
      }),
    );
    expect(found.vessels).toEqual([{ kind: 'bags', count: 6 }]);
    expect(found.linings).toEqual(
      expect.arrayContaining([
        { medium: 'towel', count: 3 },
        { medium: 'cotton', count: 3 },
      ]),
    );
    expect(materialsOf(plan({ containers: [usualContainer('egg_carton')] })).vessels).toEqual([
      { kind: 'egg_carton', count: 1 },
    ]);
    expect(materialsOf(plan({})).linings).toEqual([]);
  });

  test('wetting is as the plan says, and plants that are potted on get a pot and mix each', () => {
    const started = plan({});
    const wetter = { ...started, conditions: { ...started.conditions, wetting: 0.5 } };
    expect(materialsOf(wetter).wettingMl).toBeCloseTo(materialsOf(wetter).soilMl / 2);
    expect(materialsOf(started).wettingMl).toBeCloseTo(materialsOf(started).soilMl / 4);
    expect(materialsOf(started).potOn).toBeNull();
    const calendar = { ...started.calendar, potsOn: true, potOnMl: 300 };
    const { potOn, units } = materialsOf({ ...started, plantsPerUnit: 2, calendar });
    expect(potOn?.pots).toBe(units * 2);
    expect(potOn?.mixMl).toBeCloseTo(units * 2 * 300 * 1.1 * 1.1);
  });

  test('without soil there is none to buy', () => {
    const { conditions } = plan({});
    expect(materialsOf(plan({ conditions: { ...conditions, hasSoil: false } }))).toMatchObject({
      soilMl: 0,
      mixes: [],
      liningMl: 100,
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
    expect(householdOf(80)).toEqual({ amount: 1 / 3, measure: 'cup' });
    expect(householdMl(householdOf(80))).toBeCloseTo(80, 9);
    expect(householdOf(600)).toEqual({ amount: 2.5, measure: 'cup' });
    expect(householdOf(20)).toEqual({ amount: 1.5, measure: 'tablespoon' });
    expect(householdOf(5)).toEqual({ amount: 1, measure: 'teaspoon' });
  });
});
