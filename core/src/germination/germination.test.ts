import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { type UnitDay, unitDays } from '../growth/index.ts';
import { calendarDay, type ReadingState } from '../shared/index.ts';
import { checksFromCounts, checksFromUnits, emergences, germinationIndices, waitsOf } from './index.ts';

type Reference = Record<string, number | null> & {
  name: string;
  day: number[];
  newly: number[];
  sown: number;
};

// Made by R with core/reference/compare.R from the days of single seeds.
const { germination } = JSON.parse(
  readFileSync(new URL('../../reference/compare.json', import.meta.url), 'utf8'),
) as { germination: Reference[] };

const SAME_NAME = [
  'first',
  'last',
  'meanTime',
  'variance',
  'cv',
  'meanRate',
  'velocity',
  't50',
  't50Coolbear',
  'speed',
  'timson',
  'index',
  'synchrony',
  'uncertainty',
] as const;

describe('germination indices', () => {
  test.each(germination)('against R: $name', ({ day, newly, sown, ...wanted }) => {
    const checks = day.map((at, index) => ({ day: at, newlyUp: newly[index]! }));
    const found = germinationIndices(checks, sown, 40);
    for (const name of SAME_NAME) {
      const outcome = found[name];
      if (wanted[name] === null) {
        expect(outcome).toEqual({ defined: false, reason: 'uneven_checks' });
        continue;
      }
      if (!outcome.defined) throw new Error(`${name}: ${outcome.reason}`);
      expect(Math.abs(outcome.value - wanted[name]!)).toBeLessThanOrEqual(1e-9 * Math.max(1, wanted[name]!));
    }
    if (!found.final.defined || !found.vigour.defined) throw new Error('both are defined');
    expect(found.final.value.share).toBeCloseTo(wanted.final!, 12);
    expect(found.final.value.low).toBeCloseTo(wanted.low!, 9);
    expect(found.final.value.high).toBeCloseTo(wanted.high!, 9);
    expect(found.vigour.value).toBeCloseTo(wanted.final! * 4000, 9);
  });

  test('none up: a final percentage of 0, every time undefined', () => {
    const found = germinationIndices([{ day: 3, newlyUp: 0 }], 10, null);
    expect(found.final).toMatchObject({ defined: true, value: { share: 0 } });
    for (const name of ['first', 'meanTime', 't50', 'speed', 'uncertainty', 'synchrony'] as const) {
      expect(found[name]).toEqual({ defined: false, reason: 'none_up' });
    }
    expect(JSON.stringify(found)).not.toMatch(/NaN|Infinity/);
  });

  test('nobody counted the seeds', () => {
    const found = germinationIndices([{ day: 3, newlyUp: 2 }], null, null);
    expect(found.final).toEqual({ defined: false, reason: 'no_seed_count' });
    expect(found.timson).toEqual({ defined: false, reason: 'no_seed_count' });
    expect(found.meanTime).toEqual({ defined: true, value: 3 });
  });
});

const SOWN = calendarDay('2026-05-04');
const UNITS = ['u1', 'u2', 'u3'].map((id) => ({ id, sownOn: SOWN, seedsSown: 5 }));

function histories(entries: [string, string, ReadingState, number | null][]): Map<string, UnitDay[]> {
  return unitDays(
    entries.map(([unitId, day, state, value]) => ({ unitId, day: calendarDay(day), state, value })),
  );
}

describe('checks from readings', () => {
  test('cumulative counts become newly up; a lost plant is not a seed less', () => {
    const found = checksFromCounts(
      UNITS,
      histories([
        ['u1', '2026-05-08', 'emerged', 2],
        ['u1', '2026-05-10', 'emerged', 1],
        ['u1', '2026-05-12', 'emerged', 4],
        ['u2', '2026-05-08', 'not_emerged', null],
        ['u2', '2026-05-10', 'not_read', null],
        ['u2', '2026-05-12', 'emerged', 3],
      ]),
    );
    expect(found).toEqual([
      { day: 4, newlyUp: 2 },
      { day: 6, newlyUp: 0 },
      { day: 8, newlyUp: 5 },
    ]);
  });

  test('units up or not, with the check before, and waiting ones as waiting', () => {
    const read = histories([
      ['u1', '2026-05-08', 'not_emerged', null],
      ['u1', '2026-05-11', 'emerged', 12],
      ['u2', '2026-05-08', 'emerged', null],
      ['u3', '2026-05-08', 'not_emerged', null],
      ['u3', '2026-05-12', 'not_emerged', null],
    ]);
    expect(checksFromUnits(UNITS, read)).toEqual([
      { day: 4, newlyUp: 1 },
      { day: 7, newlyUp: 1 },
      { day: 8, newlyUp: 0 },
    ]);
    const found = emergences(UNITS, read);
    expect(found).toEqual([
      { unitId: 'u1', upAt: 7, after: 4, isLost: false },
      { unitId: 'u2', upAt: 4, after: 0, isLost: false },
      { unitId: 'u3', upAt: null, after: 8, isLost: false },
    ]);
    expect(waitsOf(found)).toEqual([
      { time: 7, happened: true },
      { time: 4, happened: true },
      { time: 8, happened: false },
    ]);
  });

  test('a pot that was knocked over before it came up is waiting until the last look', () => {
    const read = histories([
      ['u1', '2026-05-08', 'not_emerged', null],
      ['u1', '2026-05-11', 'removed', null],
      ['u2', '2026-05-08', 'not_read', null],
    ]);
    expect(emergences(UNITS, read)).toEqual([{ unitId: 'u1', upAt: null, after: 4, isLost: true }]);
  });
});
