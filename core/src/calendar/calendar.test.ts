import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type CalendarRules, type Plan, startPlan, STARTING_CROPS, usualContainer } from '../design/index.ts';
import { addDays, type CalendarDay, calendarDay, daysBetween } from '../shared/index.ts';
import { growExperiment, NO_EFFECT } from '../simulate/index.ts';
import {
  classDayFrom,
  classDayUpTo,
  emergenceWindow,
  isClassDay,
  planCalendar,
  readiness,
  sowingAdvice,
  treatmentGrowth,
} from './index.ts';

const SURROUNDINGS = { crops: STARTING_CROPS, lots: [] };
const day = calendarDay;

function plan(changes: Partial<Plan> = {}, rules: Partial<CalendarRules> = {}, cropId = 'oat'): Plan {
  const started = startPlan({
    kind: 'one_factor',
    question: 'Why?',
    crop: STARTING_CROPS.find((crop) => crop.id === cropId)!,
    otherCrops: STARTING_CROPS,
    sowOn: day('2027-03-01'),
    lessonOn: day('2027-03-29'),
  });
  return { ...started, ...changes, calendar: { ...started.calendar, ...rules } };
}

function daysOf(found: ReturnType<typeof planCalendar>, code: string): string[] {
  return found.tasks.filter((task) => task.code === code).map((task) => task.day);
}

describe('class days', () => {
  const spring = { name: 'Spring', from: day('2028-02-26'), to: day('2028-03-05') };
  const rules = { meetingDays: [2, 4], holidays: [spring] };

  test('skip weekends and holidays, over the leap day', () => {
    expect(isClassDay(day('2028-02-24'), rules)).toBe(true);
    expect(isClassDay(day('2028-02-29'), rules)).toBe(false);
    expect(classDayFrom(day('2028-02-25'), rules)).toBe('2028-03-07');
    expect(classDayUpTo(day('2028-03-06'), rules)).toBe('2028-02-24');
  });

  test('a class that never meets stays where it is', () => {
    expect(classDayFrom(day('2028-02-25'), { meetingDays: [], holidays: [] })).toBe('2028-02-25');
  });
});

describe('emergence', () => {
  const crop = { temperatureC: { min: 5, best: 25, max: 35 } };
  const facts = { daysToEmergence: { min: 4, max: 8 } };

  test.each([
    [21, 1],
    [13, 2],
    [25, 0.8],
    [33, 0.8],
  ])(
    'at %p °C takes %p times as long: thermal time above 5 °C, none beyond the best',
    (temperature, times) => {
      const found = emergenceWindow(crop, facts, temperature);
      expect(found.defined && found.value.min).toBeCloseTo(4 * times, 12);
      expect(found.defined && found.value.max).toBeCloseTo(8 * times, 12);
    },
  );

  // Bierhuizen and Wagenvoort (1974): temperature in °C from which warmth adds up to emergence, by crop.
  test.each([
    ['lettuce', 3.5],
    ['kale', 1],
    ['radish', 1.2],
    ['turnip', 1.4],
    ['carrot', 1.3],
    ['onion', 1.4],
    ['beet', 2.1],
    ['bush-bean', 7.7],
    ['pea', 3.2],
    ['broad-bean', 0.4],
    ['tomato', 8.7],
    ['cucumber', 12.1],
  ])('%s at 18 °C takes as much longer as published degree-days say', (id, base) => {
    const crop = STARTING_CROPS.find((one) => one.id === id)!;
    const facts = { daysToEmergence: crop.daysToEmergence };
    const [room, cool] = [21, 18].map((temperature) => emergenceWindow(crop, facts, temperature));
    if (!room?.defined || !cool?.defined) throw new Error('no window');
    const effective = (temperature: number): number => Math.min(temperature, crop.temperatureC.best) - base;
    expect(cool.value.max / room.value.max).toBeCloseTo(effective(21) / effective(18), 6);
    expect(cool.value.max / room.value.max).toBeLessThan(1.6);
  });

  test('no crop takes twice as long in a room of 18 °C as in one of 21 °C', () => {
    for (const crop of STARTING_CROPS) {
      const facts = { daysToEmergence: crop.daysToEmergence };
      const [room, cool] = [21, 18].map((temperature) => emergenceWindow(crop, facts, temperature));
      if (room?.defined && cool?.defined)
        expect([crop.id, cool.value.max / room.value.max < 1.6]).toEqual([crop.id, true]);
    }
  });

  test('is not defined where nothing comes up, or nothing is known', () => {
    expect(emergenceWindow(crop, facts, 5)).toEqual({ defined: false, reason: 'temperature_outside' });
    expect(emergenceWindow(crop, facts, 36)).toEqual({ defined: false, reason: 'temperature_outside' });
    expect(emergenceWindow(crop, { daysToEmergence: null }, 20)).toEqual({
      defined: false,
      reason: 'no_crop_figures',
    });
  });
});

describe('a forecast', () => {
  const bags = (lessonOn: string): Plan => {
    const started = startPlan({
      ...{ kind: 'soil_free', question: 'Why?', crop: STARTING_CROPS[0]!, otherCrops: [] },
      ...{ sowOn: day('2027-03-01'), lessonOn: day(lessonOn) },
    });
    return { ...started, goal: { ...started.goal, heightMm: 50 } };
  };

  test('says that nobody knows how tall a plant without soil is after four weeks', () => {
    expect(readiness(bags('2027-03-29'), SURROUNDINGS).defined).toBe(true);
    expect(readiness(bags('2027-03-30'), SURROUNDINGS)).toEqual({
      defined: false,
      reason: 'nobody_knows_so_late',
    });
    const advice = sowingAdvice(bags('2027-05-10'), SURROUNDINGS, day('2027-03-01'));
    expect(advice.defined && advice.value.choices[0]!.day >= '2027-04-12').toBe(true);
  });
});

describe('calendar', () => {
  test('moves what is before sowing to an earlier class day, what follows to a later one', () => {
    const base = plan();
    const conditions = { ...base.conditions, reactionDays: 3, soakHours: 12, coldDays: 30 };
    const found = planCalendar(
      plan({ conditions }, { potsOn: true, lastFrostOn: day('2027-04-10') }),
      SURROUNDINGS,
    );
    // 1 March 2027 is a Monday; 30 days before it is Saturday 30 January.
    expect(daysOf(found, 'cold')).toEqual(['2027-01-29']);
    expect(daysOf(found, 'treat_mix')).toEqual(['2027-02-26']);
    expect(daysOf(found, 'soak')).toEqual(['2027-02-26']);
    expect(daysOf(found, 'sow')).toEqual(['2027-03-01']);
    expect(daysOf(found, 'plant_out')).toEqual(['2027-04-12']);
    expect(daysOf(found, 'harden')).toEqual(['2027-04-05']);
    expect(daysOf(found, 'lesson')).toEqual(['2027-03-29']);
  });

  test('reads every class day, every other one, or weekly', () => {
    const reads = (rhythm: CalendarRules['rhythm']): string[] =>
      daysOf(planCalendar(plan({ lessonOn: day('2027-03-19') }, { rhythm }), SURROUNDINGS), 'read');
    const all = reads('class_days');
    expect(all.every((one) => isClassDay(day(one), plan().calendar))).toBe(true);
    expect(reads('every_other')).toEqual(all.filter((_, index) => index % 2 === 0));
    const weekly = reads('weekly').map(day);
    expect(daysBetween(weekly[0]!, weekly[1]!)).toBe(7);
  });

  test('waters before a weekend, and asks for a helper over a holiday', () => {
    const holidays = [{ name: 'Break', from: day('2027-03-08'), to: day('2027-03-12') }];
    const found = planCalendar(plan({}, { holidays, waterEveryDays: 3 }), SURROUNDINGS);
    const waterings = found.tasks.filter((task) => task.code === 'water');
    expect(waterings.map((task) => [task.day, task.needsHelper]).slice(0, 5)).toEqual([
      ['2027-03-04', false],
      ['2027-03-05', false],
      ['2027-03-08', true],
      ['2027-03-11', true],
      ['2027-03-15', false],
    ]);
  });

  test('no gap between waterings is longer than a plant waits, whatever the class’s days', () => {
    const meetings = fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 });
    fc.assert(
      fc.property(
        meetings,
        fc.integer({ min: 1, max: 5 }),
        fc.nat(40),
        (meetingDays, waterEveryDays, shift) => {
          const sowOn = addDays(day('2027-12-20'), shift);
          const holidays = [{ name: 'Winter', from: day('2027-12-24'), to: day('2028-01-09') }];
          const changed = plan(
            { sowOn, lessonOn: addDays(sowOn, 40) },
            { meetingDays, waterEveryDays, holidays },
          );
          const days = [sowOn, ...daysOf(planCalendar(changed, SURROUNDINGS), 'water').map(day)];
          for (let index = 1; index < days.length; index += 1) {
            const gap = daysBetween(days[index - 1]!, days[index]!);
            expect(gap).toBeGreaterThan(0);
            expect(gap).toBeLessThanOrEqual(waterEveryDays + 1);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test('keys differ, stay when the dates move, and a slip in a year ends', () => {
    const keys = (sowOn: CalendarDay): string[] =>
      planCalendar(plan({ sowOn, lessonOn: addDays(sowOn, 28) }), SURROUNDINGS).tasks.map((task) => task.key);
    const first = keys(day('2027-03-01'));
    expect(new Set(first).size).toBe(first.length);
    expect(keys(day('2027-03-08'))).toEqual(first);
    expect(planCalendar(plan({ lessonOn: day('2127-03-01') }), SURROUNDINGS).tasks.length).toBeLessThan(900);
  });

  test('pots on with the first true leaves, or, without soil, three days after the roots show', () => {
    const inSoil = planCalendar(plan({}, { potsOn: true }), SURROUNDINGS);
    expect(daysBetween(inSoil.emergence!.to, day(daysOf(inSoil, 'pot_on')[0]!))).toBeGreaterThanOrEqual(10);
    const base = plan();
    const bags = plan({ conditions: { ...base.conditions, hasSoil: false } }, { potsOn: true });
    const oat = STARTING_CROPS.find((crop) => crop.id === 'oat')!;
    const wanted = addDays(day('2027-03-01'), oat.daysToRadicle!.max + 3);
    expect(daysOf(planCalendar(bags, SURROUNDINGS), 'pot_on')).toEqual([classDayFrom(wanted, base.calendar)]);
  });

  test('closed bags are not watered, and are looked at when roots are due', () => {
    const inSoil = planCalendar(plan({}), SURROUNDINGS);
    const { conditions } = plan({});
    const bags = planCalendar(
      plan({ conditions: { ...conditions, hasSoil: false }, containers: [usualContainer('bags')] }),
      SURROUNDINGS,
    );
    expect(inSoil.tasks.some(({ code }) => code === 'water')).toBe(true);
    expect(bags.tasks.some(({ code }) => code === 'water')).toBe(false);
    expect(bags.emergence!.to < inSoil.emergence!.to).toBe(true);
  });

  test('bags are watered from the day on which their plants are potted on', () => {
    const started = plan({}, {}, 'pea');
    const conditions = { ...started.conditions, hasSoil: false };
    const bags = { ...started, conditions, containers: [usualContainer('bags')] };
    const days = (potsOn: boolean) => {
      const { tasks } = planCalendar({ ...bags, calendar: { ...bags.calendar, potsOn } }, SURROUNDINGS);
      const of = (code: string) => tasks.filter((task) => task.code === code).map(({ day }) => day);
      return { water: of('water'), potted: of('pot_on')[0] };
    };
    expect(days(false).water).toEqual([]);
    const { water, potted } = days(true);
    expect(water.length).toBeGreaterThan(0);
    expect(water.every((day) => potted !== undefined && day > potted)).toBe(true);
  });

  test('seeds are sorted on the day that is set, else before what follows on it', () => {
    const sorting = plan({ kind: 'sorting' }, {}, 'pea');
    const sortDay = (changes: Partial<Plan>) =>
      planCalendar({ ...sorting, ...changes }, SURROUNDINGS).tasks.find(({ code }) => code === 'sort')?.day;
    expect(sortDay({ sortOn: addDays(sorting.sowOn, -20) })).toBe(addDays(sorting.sowOn, -20));
    expect(sortDay({})! < sorting.sowOn).toBe(true);
  });

  test('what began elsewhere is looked at from the next class day, with no band of emergence', () => {
    const seed = plan({}, {}, 'pea');
    const begun = planCalendar(
      { ...seed, conditions: { ...seed.conditions, startsAs: 'bought' } },
      SURROUNDINGS,
    );
    expect(begun.emergence).toBeUndefined();
    const first = begun.tasks.find(({ code }) => code === 'first_check')?.day;
    expect(first).toBe(classDayFrom(addDays(seed.sowOn, 1), seed.calendar));
  });

  test('days to harvest count from planting out where the crop says so', () => {
    const tomato = STARTING_CROPS.find(({ id }) => id === 'tomato')!;
    const harvestOf = (changes: object) => {
      const crops = [{ ...tomato, ...changes }];
      const grown = plan({}, { isHarvested: true }, 'tomato');
      return planCalendar(grown, { crops, lots: [] }).tasks.find(({ code }) => code === 'harvest')!.wantedOn;
    };
    const fromSowing = harvestOf({ harvestFrom: 'sowing' });
    expect(fromSowing).toBe(addDays(plan({}, {}, 'tomato').sowOn, tomato.daysToHarvestOrFlower!.min));
    expect(harvestOf({}) > fromSowing).toBe(true);
  });

  test('a crop without figures still has a calendar', () => {
    const crops = [{ ...STARTING_CROPS[0]!, id: 'oat', daysToEmergence: null, daysToHarvestOrFlower: null }];
    const found = planCalendar(plan(), { crops, lots: [] });
    expect(found.emergence).toBeUndefined();
    expect(daysOf(found, 'first_check')).toEqual(['2027-03-05']);
  });
});

describe('readiness', () => {
  test.each([
    ['oat', 12, 40],
    ['radish', 9, 25],
    ['zinnia', 16, 15],
  ])('of %s after %p days is what growing 4000 pots gives', (cropId, days, heightMm) => {
    const sowOn = day('2027-03-01');
    const asked = plan({ sowOn, lessonOn: addDays(sowOn, days), goal: { share: 0.5, heightMm } }, {}, cropId);
    const found = readiness(asked, SURROUNDINGS);
    const [growth] = treatmentGrowth(asked, SURROUNDINGS);
    if (!found.defined || !growth?.setting.defined) throw new Error('not defined');
    const scale = { unit: 'mm', step: 0.1 } as const;
    const grown = growExperiment(
      { ...growth.setting.value, scale },
      Array.from({ length: 4000 }, (_, index) => ({ number: index, seeds: growth.seeds, effect: NO_EFFECT })),
      sowOn,
      [asked.lessonOn],
      3,
    );
    const share = grown.filter(({ mm }) => mm !== null && mm >= heightMm).length / 4000;
    expect(Math.abs(found.value.expected / found.value.units - share)).toBeLessThan(0.025);
  });

  test('advice: the latest day has the chance, the next class day has not', () => {
    const asked = plan();
    const found = sowingAdvice(asked, SURROUNDINGS, day('2027-02-01'));
    if (!found.defined || !found.value.latest) throw new Error('no advice');
    const { choices, latest, recommended } = found.value;
    const at = choices.findIndex((choice) => choice.day === latest);
    expect(choices[at]!.chance).toBeGreaterThanOrEqual(asked.chance);
    expect(choices[at + 1]!.chance).toBeLessThan(asked.chance);
    expect(daysBetween(recommended!, latest)).toBe(7);
    expect(choices.every((choice) => isClassDay(choice.day, asked.calendar))).toBe(true);
  });

  test('advice when it is too late offers the first day there is', () => {
    const found = sowingAdvice(plan(), SURROUNDINGS, day('2027-03-24'));
    expect(found).toMatchObject({ defined: true, value: { latest: undefined, recommended: '2027-03-24' } });
  });

  test('0 % and 100 % germination, and a crop without figures, are answered', () => {
    const crop = STARTING_CROPS.find((one) => one.id === 'oat')!;
    const with0 = { crops: [{ ...crop, germinationPercent: 0 }], lots: [] };
    const with100 = { crops: [{ ...crop, germinationPercent: 100 }], lots: [] };
    expect(readiness(plan(), with0)).toMatchObject({ value: { chance: 0, expected: 0 } });
    expect(readiness(plan(), with100)).toMatchObject({ defined: true });
    expect(readiness(plan(), { crops: [], lots: [] })).toEqual({ defined: false, reason: 'no_crop_figures' });
  });
});
