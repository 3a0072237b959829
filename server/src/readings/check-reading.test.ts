import type { ReadingRequest } from '@bright-sprout/contract/readings';
import { describe, expect, test } from '@jest/globals';
import { checkReading } from './check-reading.ts';

const PLACE = {
  status: 'growing',
  sownOn: '2027-03-01',
  name: 'share',
  kind: 'number',
  unit: '%',
  corrected: null,
} as const;

function reading(value: number, unitOfMeasure: string): ReadingRequest {
  return {
    ...{ unitId: 'u', variableId: 'v', observedOn: '2027-03-08', state: 'emerged' },
    ...{ value, entered: String(value), unitOfMeasure, precision: 1 },
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
