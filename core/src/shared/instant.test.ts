import { expect, test } from '@jest/globals';
import { isInstant } from './instant.ts';

test.each([
  '2026-03-02T09:30:00Z',
  '2026-03-02T09:30:00.123Z',
  '2024-02-29T23:59:59+05:30',
  '1999-12-31T00:00:00-11:00',
])('%s is an instant, and Date reads it', (text) => {
  expect(isInstant(text)).toBe(true);
  expect(Number.isFinite(Date.parse(text))).toBe(true);
});

test.each([
  '2026-W10-1',
  '2026-061',
  '20260302T093000Z',
  '2026-03-02',
  '2026-03-02T09:30:00',
  '2026-03-02T09:30Z',
  '2026-02-30T09:30:00Z',
  '2026-03-02T24:00:00Z',
  '9999-12-31T23:59:59Z',
  '0001-01-01T00:00:00Z',
  '2026-03-02T09:30:00+99:00',
  '2026-03-02t09:30:00z',
  ' 2026-03-02T09:30:00Z',
  '',
  20260302,
  null,
])('%p is none', (value) => expect(isInstant(value)).toBe(false));
