import { describe, expect, test } from '@jest/globals';
import { PlanRequest } from './plan/index.ts';
import { RegisterRequest } from './people/index.ts';
import { ReadingRequest } from './record/index.ts';
import { ROUTES } from './routes/index.ts';
import { check, fillPath, type Route } from './shared/index.ts';

const PLAN = {
  version: 0,
  question: '  Does it?  ',
  hypothesis: '',
  cropId: 'oat',
  factorName: 'Light',
  levels: [
    { name: 'Sun', isControl: true },
    { name: 'Shade', isControl: false },
  ],
  replicates: 5,
  containerKind: 'flat',
  measure: { unit: 'in', step: 0.25 },
  seedsPerUnit: 1,
  sowOn: '2028-02-29',
  lessonOn: '2028-03-20',
  layoutSeed: 4_294_967_295,
};

function fieldsOf(changes: object): string[] {
  const checked = check(PlanRequest, { ...PLAN, ...changes });
  return checked.ok ? [] : checked.fields.map(({ field }) => field);
}

describe('a request is checked once for both sides', () => {
  test('a good plan passes and is trimmed', () => {
    const checked = check(PlanRequest, PLAN);
    expect(checked).toMatchObject({ ok: true, value: { question: 'Does it?' } });
  });

  test.each([
    [{ replicates: Number.NaN }, ['replicates']],
    [{ replicates: '5' }, ['replicates']],
    [{ levels: 'none' }, ['levels']],
    [{ levels: [{ name: '', isControl: true }, { name: 'x' }] }, ['levels.0.name', 'levels.1.isControl']],
    [{ measure: { unit: 'cm', step: Infinity } }, ['measure.step']],
    [{ layoutSeed: -1 }, ['layoutSeed']],
    [{ lessonOn: '2027-02-29' }, ['lessonOn']],
    [{ extra: 1 }, ['extra']],
  ])('%p is refused by field', (changes, fields) => {
    expect(fieldsOf(changes)).toEqual(fields);
  });

  test('an emptied number is asked for as a whole number', () => {
    const checked = check(PlanRequest, { ...PLAN, replicates: Number.NaN });
    expect(checked).toMatchObject({ fields: [{ message: 'Give a whole number of pots.' }] });
  });

  test.each([null, undefined, 'text', 5, []])('%p is no request', (plain) => {
    expect(check(PlanRequest, plain)).toMatchObject({ ok: false });
  });

  test('time zones and dates are checked against the calendar', () => {
    const account = { email: 'a@b.example', displayName: 'A', password: '0123456789' };
    expect(check(RegisterRequest, { ...account, timeZone: 'Asia/Tokyo' }).ok).toBe(true);
    expect(check(RegisterRequest, { ...account, timeZone: '' }).ok).toBe(false);
  });

  test('a reading may leave its value and its correction out', () => {
    const reading = {
      unitId: '01a20970-c851-75ac-9b96-a433a9a00c6b',
      variableId: '01a20970-c851-75ac-9b96-a433a9a00c6b',
      observedOn: '2026-05-04',
      state: 'not_up',
      entered: '',
      unitOfMeasure: 'cm',
      precision: 0.5,
    };
    expect(check(ReadingRequest, reading).ok).toBe(true);
    expect(check(ReadingRequest, { ...reading, value: Number.NaN }).ok).toBe(false);
  });
});

describe('the route table', () => {
  const routes = Object.values(ROUTES) as Route[];

  test('no two operations share method and path', () => {
    const names = routes.map(({ method, path }) => `${method} ${path}`);
    expect(new Set(names).size).toBe(names.length);
  });

  test('paths are filled with names made safe', () => {
    expect(fillPath('/a/:one/b/:two', { one: 'x/y', two: 'ü' })).toBe('/a/x%2Fy/b/%C3%BC');
  });
});
