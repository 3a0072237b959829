import { describe, expect, test } from '@jest/globals';
import type { ReadingFact } from '../growth/index.ts';
import { calendarDay, type ReadingState, valueOr } from '../shared/index.ts';
import { compareTreatments, type NotUpRule } from './index.ts';

const DAY = '2026-04-20';
const SOWN = calendarDay('2026-04-06');

const TREATMENTS = [
  { id: 'b', name: 'Misted', isControl: false },
  { id: 'a', name: 'As usual', isControl: true },
  { id: 'c', name: 'Flooded', isControl: false },
];

/** Units 1–4 in `a`, 5–8 in `b`, 9–12 in `c`. */
const UNITS = Array.from({ length: 12 }, (_, index) => ({
  id: `u${index + 1}`,
  number: index + 1,
  groupId: ['a', 'b', 'c'][Math.floor(index / 4)]!,
  sownOn: SOWN,
}));

type Entry = readonly [unit: number, value: number | null, state?: ReadingState, day?: string];

function readings(entries: readonly Entry[]): ReadingFact[] {
  return entries.map(([unit, value, state = 'emerged', day = DAY]) => ({
    unitId: `u${unit}`,
    day: calendarDay(day),
    state,
    value,
  }));
}

function compare(entries: readonly Entry[], rule: NotUpRule = 'only_up', day = DAY) {
  return compareTreatments({
    treatments: TREATMENTS,
    units: UNITS,
    readings: readings(entries),
    day: calendarDay(day),
    rule,
  });
}

const FULL: Entry[] = [
  [1, 52],
  [2, 61],
  [3, 58],
  [4, 49],
  [5, 71],
  [6, 66],
  [7, 80],
  [8, 69],
  [9, 40],
  [10, 38],
  [11, 47],
  [12, 43],
];

describe('comparing treatments on a day', () => {
  test('three treatments: Welch analysis of variance, pairs from the control first', () => {
    const found = compare(FULL);
    expect(found.age).toBe(14);
    expect(found.overall).toMatchObject({ defined: true, value: { method: 'design_f', df: 2, df2: 9 } });
    expect(found.pairs.map((pair) => [pair.firstId, pair.secondId])).toEqual([
      ['a', 'b'],
      ['b', 'c'],
      ['a', 'c'],
    ]);
    const main = found.pairs[found.mainPair!]!;
    expect([main.firstId, main.secondId]).toEqual(['a', 'b']);
    expect(valueOr(main.difference, 0)).toBeCloseTo(16.5, 9);
    expect(valueOr(main.relative, 0)).toBeCloseTo(0.3, 9);
  });

  test('two treatments with values: a t test', () => {
    const found = compare(FULL.slice(0, 8));
    expect(found.overall).toMatchObject({ defined: true, value: { method: 'design_t' } });
    expect(found.groups[2]?.counts.leftOut.map((unit) => unit.reason)).toEqual(Array(4).fill('not_read'));
  });

  test('days are never pooled: a reading of another day does not count', () => {
    const found = compare([...FULL.slice(1), [1, 50, 'emerged', '2026-04-17']]);
    expect(found.groups.find((group) => group.groupId === 'a')?.points).toHaveLength(3);
    expect(compare(FULL, 'only_up', '2026-04-18').overall).toEqual({ defined: false, reason: 'no_values' });
  });

  test('two readings of a pot on a day count as one pot', () => {
    const found = compare([...FULL, [1, 54]]);
    const control = found.groups.find((group) => group.groupId === 'a')!;
    expect(control.description.n).toBe(4);
    expect(control.points[0]).toMatchObject({ number: 1, value: 53 });
  });

  test('both rules for pots not up yet, each with its n', () => {
    const entries: Entry[] = [...FULL.slice(0, 11), [12, null, 'not_emerged']];
    const onlyUp = compare(entries).groups[2]!;
    expect([onlyUp.description.n, onlyUp.counts.countedAsZero]).toEqual([3, 0]);
    expect(onlyUp.counts.leftOut).toEqual([{ unitId: 'u12', number: 12, reason: 'not_emerged' }]);
    const asZero = compare(entries, 'not_up_is_zero').groups[2]!;
    expect([asZero.description.n, asZero.counts.countedAsZero]).toEqual([4, 1]);
    expect(asZero.points.at(-1)?.value).toBe(0);
  });

  test('a dead pot is left out under both rules, on the day and after', () => {
    const entries: Entry[] = [...FULL.slice(0, 11), [12, null, 'dead', '2026-04-15']];
    for (const rule of ['only_up', 'not_up_is_zero'] as const) {
      expect(compare(entries, rule).groups[2]?.counts.leftOut).toEqual([
        { unitId: 'u12', number: 12, reason: 'dead' },
      ]);
    }
  });

  test('up but not measured is said, not counted', () => {
    const found = compare([...FULL.slice(0, 11), [12, null, 'emerged']]);
    expect(found.groups[2]?.counts.leftOut[0]?.reason).toBe('up_without_value');
  });

  test.each([
    ['nothing read', [], 'no_values'],
    ['one treatment read', FULL.slice(0, 4), 'too_few_groups'],
    ['none up', FULL.map(([unit]) => [unit, null, 'not_emerged'] as Entry), 'no_values'],
    ['all dead', FULL.map(([unit]) => [unit, null, 'dead'] as Entry), 'no_values'],
  ])('%s: no test, and the reason', (_, entries, reason) => {
    const found = compare(entries);
    expect(found.overall).toEqual({ defined: false, reason });
    expect(found.mainPair).toBeNull();
    expect(JSON.stringify(found)).not.toMatch(/NaN|null,"high"/);
  });

  test('one pot a treatment gives a difference but no test', () => {
    const found = compare([
      [1, 50],
      [5, 60],
    ]);
    expect(found.pairs[0]).toMatchObject({
      difference: { value: 10 },
      test: { defined: false, reason: 'group_too_small' },
    });
    expect(found.mainPair).toBe(0);
  });

  test('a reference of 0 has no percentage', () => {
    const found = compare([
      [1, 0],
      [2, 0],
      [5, 4],
      [6, 6],
    ]);
    expect(found.pairs[0]?.relative).toEqual({ defined: false, reason: 'reference_is_zero' });
  });

  test('units sown on different days share no age', () => {
    const units = UNITS.map((unit, index) =>
      index === 0 ? { ...unit, sownOn: calendarDay('2026-04-08') } : unit,
    );
    const found = compareTreatments({
      treatments: TREATMENTS,
      units,
      readings: readings(FULL),
      day: calendarDay(DAY),
      rule: 'only_up',
    });
    expect(found.age).toBeNull();
    expect(found.unitCurves.find((curve) => curve.unitId === 'u1')?.points[0]?.age).toBe(12);
  });
});

test('a count of no seeds is not up', () => {
  const entries = FULL.map(([unit]) => [unit, unit < 5 ? 0 : 3] as Entry);
  const input = { treatments: TREATMENTS, units: UNITS, readings: readings(entries), day: calendarDay(DAY) };
  const counted = compareTreatments({ ...input, rule: 'only_up', countsSeeds: true }).fates;
  const control = counted.groups.find((fate) => fate.groupId === 'a');
  expect([control?.looked, control?.cameUp]).toEqual([4, 0]);
  expect(counted.up.defined && counted.up.value.p).toBeLessThan(0.01);
});

test('ordered scores are compared by their ranks, without an interval', () => {
  const stages = FULL.map(([unit]) => [unit, unit < 5 ? 1 : unit < 9 ? 3 : 2] as Entry);
  const found = compareTreatments({
    treatments: TREATMENTS,
    units: UNITS,
    readings: readings(stages),
    day: calendarDay(DAY),
    rule: 'only_up',
    isOrdinal: true,
  });
  expect(found.overall).toMatchObject({ defined: true, value: { method: 'ranks_shuffled' } });
  const [pair] = found.pairs;
  expect(pair).toMatchObject({
    difference: { value: 2 },
    test: { value: { interval: null, difference: 2 } },
  });
  // 2 of the 70 ways to deal four and four are as far apart; two pairs with the control.
  expect(pair!.test.defined && pair!.test.value.p).toBeCloseTo((2 * 2) / 70, 10);
});

describe('curves', () => {
  test('means by age with their n; no interval from one value', () => {
    const found = compare([
      ...FULL,
      [1, 20, 'emerged', '2026-04-13'],
      [2, null, 'not_emerged', '2026-04-13'],
    ]);
    const control = found.treatmentCurves.find((curve) => curve.groupId === 'a')!;
    expect(control.points.map(({ age, n, mean }) => [age, n, mean])).toEqual([
      [7, 1, 20],
      [14, 4, 55],
    ]);
    expect(control.points[0]?.interval).toEqual({ defined: false, reason: 'one_value' });
    const asZero = compare([...FULL, [2, null, 'not_emerged', '2026-04-13']], 'not_up_is_zero');
    expect(asZero.unitCurves.find((curve) => curve.unitId === 'u2')?.points[0]).toEqual({ age: 7, value: 0 });
  });

  test('a unit that was never sown has no curve', () => {
    const units = UNITS.map((unit) => ({ ...unit, sownOn: null }));
    const found = compareTreatments({
      treatments: TREATMENTS,
      units,
      readings: readings(FULL),
      day: calendarDay(DAY),
      rule: 'only_up',
    });
    expect(found.unitCurves).toEqual([]);
  });
});
