import type { ReadingRequest } from '@bright-sprout/contract/readings';
import { calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { checkReading, type ReadingPlace } from './check-reading.ts';

const TODAY = calendarDay('2026-05-20');

function refused(kind: string, value: number | null, changes: Partial<ReadingRequest> = {}): string {
  const place: ReadingPlace = { status: 'growing', sownOn: '2026-05-01', kind, unit: '', corrected: null };
  const request = {
    unitId: 'u',
    variableId: 'v',
    observedOn: '2026-05-19',
    state: 'emerged',
    value,
    entered: '',
    unitOfMeasure: kind === 'length' ? 'mm' : '',
    precision: 1,
    ...changes,
  } as ReadingRequest;
  try {
    checkReading(request, place, TODAY);
    return '';
  } catch (thrown) {
    return (thrown as { body: { fields: { field: string }[] } }).body.fields[0]?.field ?? 'refused';
  }
}

describe('the value of a reading', () => {
  test.each([
    ['length', -0.1, 'value'],
    ['length', 0, ''],
    ['length', 30_000, ''],
    ['length', 30_000.1, 'value'],
    ['score', 0, 'value'],
    ['score', 1, ''],
    ['score', 20, ''],
    ['score', 21, 'value'],
    ['score', 2.5, 'value'],
    ['count', -1, 'value'],
    ['count', 0, ''],
    ['count', 1.5, 'value'],
    ['number', -3.25, ''],
  ] as const)('%s of %p', (kind, value, field) => {
    expect(refused(kind, value)).toBe(field);
  });

  test('a correction is of a reading of the same pot, thing and day', () => {
    expect(refused('count', 1, { supersedesId: 'r' })).toBe('supersedesId');
  });
});
