import type { ReadingRequest } from '@bright-sprout/contract/readings';
import { describe, expect, test } from '@jest/globals';
import { NEVER_REFUSED_MM } from '@bright-sprout/core/growth';
import { checkPossible, checkReading, isVeryTall, type ReadingPlace } from './check-reading.ts';

const PLACE = {
  status: 'growing',
  sownOn: '2027-03-01',
  name: 'share',
  kind: 'number',
  unit: '%',
  corrected: null,
} as const;

const TODAY = '2027-03-09';

function reading(
  value: number | null,
  unitOfMeasure: string,
  changes: Partial<ReadingRequest> = {},
): ReadingRequest {
  return {
    ...{ unitId: 'u', variableId: 'v', observedOn: '2027-03-08', state: 'emerged' },
    ...{ value, entered: String(value), unitOfMeasure, precision: 1 },
    ...changes,
  };
}

describe('a number in a unit that ends', () => {
  test.each([
    ['%', 0],
    ['%', 100],
    ['°', 180],
    ['mm', 5000],
    ['dB', -1],
  ])('%s: %d is taken', (unit, value) => {
    expect(() => checkReading(reading(value, unit), { ...PLACE, unit }, '2027-03-09')).not.toThrow();
  });

  test.each([
    ['%', 100.1],
    ['%', -1],
    ['°', 181],
    ['pH', 14.1],
  ])('%s: %d is refused', (unit, value) => {
    expect(() => checkReading(reading(value, unit), { ...PLACE, unit }, '2027-03-09')).toThrow(
      expect.objectContaining({ body: expect.objectContaining({ code: 'invalid_fields' }) }),
    );
  });
});

/** What a reading is refused for; `taken` where it is not. */
function refusal(request: ReadingRequest, place: Partial<ReadingPlace>): string {
  try {
    checkReading(request, { ...PLACE, ...place }, TODAY);
    return 'taken';
  } catch (thrown) {
    const { body } = thrown as { body: { code: string; fields: { field: string }[] } };
    return body.code === 'invalid_fields' ? (body.fields[0]?.field ?? '') : body.code;
  }
}

describe('a reading', () => {
  const length = { kind: 'length', unit: 'cm', name: 'height' };
  const count = { kind: 'count', unit: 'seeds', name: 'seeds up' };
  const score = { kind: 'score', unit: 'steps', name: 'stage' };
  const of = { unitId: 'u', variableId: 'v', observedOn: '2027-03-08' };
  const corrects = { supersedesId: 'r' };

  test.each<[string, ReadingRequest, Partial<ReadingPlace>, string]>([
    ['on the day of sowing', reading(1, '%', { observedOn: '2027-03-01' }), {}, 'taken'],
    ['before sowing', reading(1, '%', { observedOn: '2027-02-28' }), {}, 'observedOn'],
    ['today', reading(1, '%', { observedOn: TODAY }), {}, 'taken'],
    ['tomorrow', reading(1, '%', { observedOn: '2027-03-10' }), {}, 'observedOn'],
    ['of a finished experiment', reading(1, '%'), { status: 'finished' }, 'experiment_finished'],
    ['of a pot that is not sown', reading(1, '%'), { sownOn: null }, 'not_planted'],
    ['in another unit of length', reading(5, 'in'), length, 'taken'],
    ['of a length in seeds', reading(5, 'seeds'), length, 'unitOfMeasure'],
    ['of a count in another unit', reading(5, 'leaves'), count, 'unitOfMeasure'],
    ['of no length', reading(0, 'cm'), length, 'taken'],
    ['of a negative length', reading(-1, 'cm'), length, 'value'],
    ['of the longest length', reading(30_000, 'cm'), length, 'taken'],
    ['of a longer one', reading(30_001, 'cm'), length, 'value'],
    ['of no seed', reading(0, 'seeds'), count, 'taken'],
    ['of half a seed', reading(2.5, 'seeds'), count, 'value'],
    ['of a negative count', reading(-1, 'seeds'), count, 'value'],
    ['of many seeds', reading(5000, 'seeds'), count, 'taken'],
    ['of the first step', reading(1, 'steps'), score, 'taken'],
    ['of the last step', reading(20, 'steps'), score, 'taken'],
    ['before the first step', reading(0, 'steps'), score, 'value'],
    ['beyond the last step', reading(21, 'steps'), score, 'value'],
    ['between two steps', reading(3.5, 'steps'), score, 'value'],
    ['without a value', reading(null, '%', { state: 'dead' }), {}, 'taken'],
    ['of a count without a value', reading(null, 'seeds', { state: 'dead' }), count, 'taken'],
    ['of a step without a value', reading(null, 'steps', { state: 'dead' }), score, 'taken'],
    ['that corrects one of its pot and day', reading(1, '%', corrects), { corrected: of }, 'taken'],
    ['that corrects one that is not there', reading(1, '%', corrects), { corrected: null }, 'supersedesId'],
    [
      'that corrects one of another pot',
      reading(1, '%', corrects),
      { corrected: { ...of, unitId: 'x' } },
      'supersedesId',
    ],
    [
      'that corrects one of something else',
      reading(1, '%', corrects),
      { corrected: { ...of, variableId: 'x' } },
      'supersedesId',
    ],
    [
      'that corrects one of another day',
      reading(1, '%', corrects),
      { corrected: { ...of, observedOn: '2027-03-07' } },
      'supersedesId',
    ],
  ])('%s', (_, request, place, expected) => {
    expect(refusal(request, place)).toBe(expected);
  });

  test('of a height beyond all doubt is asked of its crop, and of nothing else', () => {
    const place = { ...PLACE, ...length };
    const more = NEVER_REFUSED_MM + 1;
    expect(isVeryTall({ value: more }, place)).toBe(true);
    expect(isVeryTall({ value: NEVER_REFUSED_MM }, place)).toBe(false);
    expect(isVeryTall({ value: null }, place)).toBe(false);
    expect(isVeryTall({ value: more }, { ...place, name: 'root length' })).toBe(false);
    expect(isVeryTall({ value: more }, { ...place, kind: 'number' })).toBe(false);
    expect(() => checkPossible({ value: null }, null)).not.toThrow();
    expect(() => checkPossible({ value: 29_000 }, null)).not.toThrow();
    const facts = { daysToEmergence: null, heightAtDay21Mm: null, matureHeightMm: 400 };
    expect(() => checkPossible({ value: 1200 }, facts)).not.toThrow();
    expect(() => checkPossible({ value: 1201 }, facts)).toThrow();
  });
});
