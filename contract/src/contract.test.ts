import { INVESTIGATION_KINDS, startPlan, STARTING_CROPS } from '@bright-sprout/core/design';
import { calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { PlanRequest } from './plans/index.ts';
import { RegisterRequest } from './accounts/index.ts';
import { ReadingRequest } from './readings/index.ts';
import { ROUTES } from './routes/index.ts';
import { check, fillPath, type Route } from './shared/index.ts';

const PLAN = {
  ...startPlan({
    kind: 'one_factor',
    question: '  Does it?  ',
    crop: STARTING_CROPS[0]!,
    otherCrops: [],
    sowOn: calendarDay('2028-02-29'),
    lessonOn: calendarDay('2028-03-20'),
  }),
  version: 0,
  layoutSeed: 4_294_967_295,
};

function factorNamed(name: string) {
  const [factor] = PLAN.factors;
  return {
    ...factor,
    levels: factor!.levels.map((level, index) => (index === 1 ? { ...level, name } : level)),
  };
}

function fieldsOf(changes: object): string[] {
  const checked = check(PlanRequest, { ...PLAN, ...changes });
  return checked.ok ? [] : checked.fields.map(({ field }) => field);
}

describe('a request is checked once for both sides', () => {
  test('a good plan passes and is trimmed', () => {
    const checked = check(PlanRequest, PLAN);
    expect(checked).toMatchObject({ ok: true, value: { question: 'Does it?' } });
  });

  test.each(INVESTIGATION_KINDS)('the starting plan of kind %s passes', (kind) => {
    const started = startPlan({
      kind,
      question: 'Does it?',
      crop: STARTING_CROPS[3]!,
      otherCrops: STARTING_CROPS,
      sowOn: calendarDay('2028-02-29'),
      lessonOn: calendarDay('2028-03-29'),
    });
    expect(check(PlanRequest, { ...started, version: 0 })).toMatchObject({ ok: true });
  });

  test.each([
    [{ replicates: Number.NaN }, ['replicates']],
    [{ replicates: '5' }, ['replicates']],
    [{ factors: 'none' }, ['factors']],
    [{ factors: [{ ...PLAN.factors[0], levels: [] }] }, ['factors.0.levels']],
    [{ factors: [factorNamed('')] }, ['factors.0.levels.1.name']],
    [{ measure: { ...PLAN.measure, step: Infinity } }, ['measure.step']],
    [{ conditions: { ...PLAN.conditions, temperatureC: NaN } }, ['conditions.temperatureC']],
    [{ steps: [{ ...PLAN.steps[0], minutes: 0 }] }, ['steps.0.minutes']],
    [{ constants: ['x'.repeat(121)] }, ['constants']],
    [{ layoutSeed: -1 }, ['layoutSeed']],
    [{ lessonOn: '2027-02-29' }, ['lessonOn']],
    [{ extra: 1 }, ['extra']],
  ])('%p is refused by field', (changes, fields) => {
    expect(fieldsOf(changes)).toEqual(fields);
  });

  test('an emptied number is asked for as a whole number', () => {
    const checked = check(PlanRequest, { ...PLAN, replicates: Number.NaN });
    expect(checked).toMatchObject({ fields: [{ message: 'Give a whole number of pots from 1 to 200.' }] });
  });

  test.each([null, undefined, 'text', 5, []])('%p is no request', (plain) => {
    expect(check(PlanRequest, plain)).toMatchObject({ ok: false });
  });

  test('time zones and dates are checked against the calendar', () => {
    const account = { email: 'a@b.example', displayName: 'A', password: '0123456789ab' };
    expect(check(RegisterRequest, { ...account, timeZone: 'Asia/Tokyo' }).ok).toBe(true);
    expect(check(RegisterRequest, { ...account, timeZone: '' }).ok).toBe(false);
  });

  test('a reading may leave its value and its correction out', () => {
    const reading = {
      unitId: '01a20970-c851-75ac-9b96-a433a9a00c6b',
      variableId: '01a20970-c851-75ac-9b96-a433a9a00c6b',
      observedOn: '2026-05-04',
      state: 'not_emerged',
      entered: '',
      unitOfMeasure: 'cm',
      precision: 0.5,
    };
    expect(check(ReadingRequest, reading).ok).toBe(true);
    expect(check(ReadingRequest, { ...reading, value: Number.NaN }).ok).toBe(false);
    const older = check(ReadingRequest, { ...reading, state: 'not_up', value: null });
    expect(older.ok && older.value.state).toBe('not_emerged');
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

describe('what cannot be seen', () => {
  const named = (displayName: string) =>
    check(RegisterRequest, { email: 'a@b.example', password: 'long enough!', timeZone: 'UTC', displayName });

  test.each(['', ' ', '\u200b', '\u2060\u00ad\u202e', '\u0000\u0007'])('is no name: %j', (name) => {
    expect(named(name).ok).toBe(false);
  });

  test('goes at both ends, and a flag at the end stays whole', () => {
    const flag = '\u{1F3F4}\u{E0067}\u{E0062}\u{E0073}\u{E0063}\u{E0074}\u{E007F}';
    const checked = named(`\u200b Ada ${flag}\u00a0`);
    expect(checked.ok && checked.value.displayName).toBe(`Ada ${flag}`);
  });
});
