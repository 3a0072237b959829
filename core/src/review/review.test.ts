import { describe, expect, test } from '@jest/globals';
import {
  INVESTIGATION_KINDS,
  PLAIN_LEVEL,
  type Plan,
  type PlanLevel,
  plannedUnits,
  startPlan,
  STARTING_CROPS,
  usualContainer,
} from '../design/index.ts';
import { addDays, calendarDay, daysBetween } from '../shared/index.ts';
import { planCalendar, treatmentGrowth } from '../calendar/index.ts';
import { growExperiment, NO_EFFECT } from '../simulate/index.ts';
import { describe as describeSample } from '../statistics/index.ts';
import { findingWords, mendText } from '../words/index.ts';
import { type Finding, reviewPlan, SEVERITIES, visibleDifference } from './index.ts';

const TODAY = calendarDay('2027-02-22');
const SURROUNDINGS = { crops: STARTING_CROPS, lots: [] };
const STYLE = { scale: { unit: 'cm', step: 0.5 }, day: (day: string) => day } as const;

function plan(changes: Partial<Plan> = {}, kind: Plan['kind'] = 'one_factor', cropId = 'oat'): Plan {
  const started = startPlan({
    kind,
    question: 'Why?',
    crop: STARTING_CROPS.find((crop) => crop.id === cropId)!,
    otherCrops: STARTING_CROPS,
    sowOn: calendarDay('2027-03-01'),
    lessonOn: calendarDay('2027-03-29'),
  });
  return { ...started, layoutSeed: 6, ...changes };
}

function review(asked: Plan, today = TODAY, surroundings = SURROUNDINGS): Finding[] {
  const units = plannedUnits(asked).map((unit) => ({ ...unit, team: '' }));
  return reviewPlan({ plan: asked, units, today, ...surroundings });
}

function codes(asked: Plan, today = TODAY): string[] {
  return review(asked, today)
    .filter((finding) => finding.severity !== 'care' && finding.severity !== 'fine')
    .map((finding) => finding.facts.code);
}

/** The finding with a code, and the codes left after its mend. */
function mended(asked: Plan, code: string, today = TODAY): { finding: Finding; after: Plan; left: string[] } {
  const finding = review(asked, today).find((one) => one.facts.code === code);
  if (!finding?.mend) throw new Error(`no mend for ${code}: ${codes(asked, today).join()}`);
  const after = { ...asked, ...finding.mend.changes };
  return { finding, after, left: codes(after, today) };
}

function level(name: string, changes: Partial<PlanLevel> = {}): PlanLevel {
  return { ...PLAIN_LEVEL, name, ...changes };
}

describe('the design check', () => {
  test('a sound plan has nothing to mend', () => {
    expect(
      codes(
        plan({
          replicates: 18,
          seedsPerUnit: 3,
          containers: Array.from({ length: 3 }, () => usualContainer('cups')),
        }),
      ),
    ).toEqual([]);
  });

  test('two differences in one factor, mended by keeping the one it is about', () => {
    const levels = [level('Little', { isControl: true }), level('Much', { waterMl: 20, light: 'dark' })];
    const asked = plan({ factors: [{ name: 'Water', aspect: 'water', levels }] });
    const { finding, after, left } = mended(asked, 'more_than_one_thing');
    expect(finding).toMatchObject({ severity: 'stops', facts: { aspects: ['water', 'light'] } });
    expect(after.factors[0]?.levels[1]).toMatchObject({ waterMl: 20, light: null });
    expect(left).not.toContain('more_than_one_thing');
  });

  test('two differences in two factors are a crossed design, not a fault', () => {
    const factors = [
      {
        name: 'Water',
        aspect: 'water' as const,
        levels: [level('a', { isControl: true }), level('b', { waterMl: 20 })],
      },
      {
        name: 'Light',
        aspect: 'light' as const,
        levels: [level('c', { isControl: true }), level('d', { light: 'shade' })],
      },
    ];
    expect(codes(plan({ factors, replicates: 2 }))).not.toContain('more_than_one_thing');
  });

  test('a level that names two things is worth a look', () => {
    const levels = [level('None', { isControl: true }), level('Sugar and salt')];
    expect(codes(plan({ factors: [{ name: 'Extra', aspect: 'other', levels }] }))).toContain(
      'names_two_things',
    );
  });

  test('no control, mended by the first level; none is asked of crops', () => {
    const levels = [level('A'), level('B')];
    const { after, left } = mended(plan({ factors: [{ name: 'F', aspect: 'other', levels }] }), 'no_control');
    expect(after.factors[0]?.levels.map((one) => one.isControl)).toEqual([true, false]);
    expect(left).not.toContain('no_control');
    expect(codes(plan({}, 'crops'))).not.toContain('no_control');
  });

  test('two pots, and one pot of many seeds', () => {
    const { finding, after } = mended(plan({ replicates: 2 }), 'too_few_units');
    expect(finding.mend?.cost).toEqual({ units: 2, seeds: 4, days: 0 });
    expect(after.replicates).toBe(3);
    expect(codes(plan({ replicates: 1, seedsPerUnit: 1 }))).toContain('too_few_units');
    expect(review(plan({ replicates: 1, seedsPerUnit: 6 }))[0]).toMatchObject({
      severity: 'stops',
      facts: { code: 'seeds_as_replicates', seeds: 6 },
    });
  });

  test('more pots than places, mended by fewer; more pots get another container', () => {
    const { after, left } = mended(plan({ replicates: 8 }), 'cannot_lay_out');
    expect([after.replicates, left.includes('cannot_lay_out')]).toEqual([5, false]);
    const wider = mended(plan({ replicates: 5 }), 'smallest_difference');
    expect(wider.after.containers.length).toBeGreaterThan(1);
    expect(wider.left).not.toContain('cannot_lay_out');
  });

  test('a treatment that owns the bright side, mended by a shuffle', () => {
    const asked = plan();
    const lopsided = plannedUnits(asked).map((unit) => ({ ...unit, treatment: unit.row - 1, team: '' }));
    const found = reviewPlan({ plan: asked, units: lopsided, today: TODAY, ...SURROUNDINGS });
    const finding = found.find((one) => one.facts.code === 'lined_up');
    expect(finding?.facts).toMatchObject({ with: 'bright side', v: 1 });
    expect(codes({ ...asked, ...finding?.mend?.changes })).not.toContain('lined_up');
  });

  test('a treatment that one team owns', () => {
    const asked = plan();
    const units = plannedUnits(asked).map((unit) => ({ ...unit, team: `Team ${unit.treatment}` }));
    const found = reviewPlan({ plan: asked, units, today: TODAY, ...SURROUNDINGS });
    expect(found.map((one) => one.facts)).toContainEqual(
      expect.objectContaining({ code: 'lined_up', with: 'team' }),
    );
  });

  test('layouts of a plan are mixed, whatever the seed', () => {
    for (let layoutSeed = 0; layoutSeed < 40; layoutSeed += 1) {
      const found = review(plan({ layoutSeed })).map(({ facts }) => facts.code);
      expect([layoutSeed, found.includes('layout_mixed')]).toEqual([layoutSeed, true]);
    }
  });

  test.each([
    ['each level of three in the bright row once too often', [3, 3], [0, 0, 0, 1, 1, 2, 1, 2, 2]],
    ['AABB over AABB', [2, 4], [0, 0, 1, 1, 0, 0, 1, 1]],
    ['four crops of two bags, two and two', [4, 2], [0, 0, 1, 1, 2, 2, 3, 3]],
    ['two pots of one treatment on the bright side, two of the other behind', [2, 2], [0, 0, 1, 1]],
  ])('%s is not called mixed, and a shuffle mends it', (_, [levels = 0, replicates = 0], order) => {
    const columns = Math.ceil(order.length / 2);
    const containers = [{ ...plan().containers[0]!, rows: 2, columns }];
    const [factor] = plan().factors;
    const named = Array.from({ length: levels }, (__, at) => ({
      ...factor!.levels[0]!,
      name: `L${at}`,
      isControl: at === 0,
    }));
    const asked = plan({ replicates, containers, factors: [{ ...factor!, levels: named }] });
    const units = plannedUnits(asked).map((unit, at) => ({ ...unit, treatment: order[at]!, team: '' }));
    const found = reviewPlan({ plan: asked, units, today: TODAY, ...SURROUNDINGS });
    const uneven = found.find(({ facts }) => facts.code === 'layout_uneven' || facts.code === 'lined_up');
    expect(uneven).toBeDefined();
    expect(found.map(({ facts }) => facts.code)).not.toContain('layout_mixed');
    const after = review({ ...asked, ...uneven?.mend?.changes }).map(({ facts }) => facts.code);
    expect(after).toContain('layout_mixed');
  });

  test('changes of which only two of four combinations are grown cannot be told from each other', () => {
    const [factor] = plan().factors;
    const two = [factor!, { ...factor!, name: 'Shade', aspect: 'light' as const }];
    const aligned = mended(plan({ factors: two, leftOut: ['0.1', '1.0'] }), 'aligned_changes');
    expect(aligned.left).not.toContain('aligned_changes');
    expect(codes(plan({ factors: two, leftOut: ['0.1'] }))).not.toContain('aligned_changes');
  });

  test('crossed changes of one pot each can be compared by their levels', () => {
    const [factor] = plan().factors;
    const level = factor!.levels[0]!;
    const levels = (count: number) =>
      Array.from({ length: count }, (_, at) => ({ ...level, name: `L${at}`, isControl: at === 0 }));
    const crossed = [3, 2, 2].map((count, at) => ({ ...factor!, name: `F${at}`, levels: levels(count) }));
    const containers = [{ ...plan().containers[0]!, rows: 2, columns: 6 }];
    const found = review(plan({ factors: crossed, replicates: 1, containers })).map(({ facts }) => facts);
    expect(found).toContainEqual({ code: 'too_few_of_combination', replicates: 1, each: 4 });
    expect(found.map(({ code }) => code)).not.toContain('too_few_units');
  });

  test('seeds too few, a packet that is dead, a packet that is certain', () => {
    const { left } = mended(plan({ seedsPerUnit: 1 }), 'pots_stay_empty');
    expect(left).not.toContain('pots_stay_empty');
    const oat = STARTING_CROPS.find((crop) => crop.id === 'oat')!;
    const of = (germinationPercent: number | null) =>
      review(plan({ seedsPerUnit: 1 }), TODAY, { crops: [{ ...oat, germinationPercent }], lots: [] }).map(
        (one) => one.facts.code,
      );
    expect(of(0)).toContain('packet_too_poor');
    expect(of(100)).not.toContain('pots_stay_empty');
    expect(of(null)).toContain('unknown_figures');
  });

  test('nothing up by the lesson, mended by an earlier sowing', () => {
    const asked = plan({ sowOn: calendarDay('2027-03-24') });
    const { finding, left } = mended(asked, 'not_ready_by_lesson');
    expect(finding.severity).toBe('stops');
    expect(left).not.toContain('not_ready_by_lesson');
  });

  test('dates: crossed, past, on a Saturday', () => {
    expect(codes(plan({ lessonOn: calendarDay('2027-03-01') }))).toContain('dates_crossed');
    const past = mended(plan(), 'sowing_is_past', calendarDay('2027-03-06'));
    expect(past.after.sowOn).toBe('2027-03-08');
    const units = plannedUnits(plan()).map((unit) => ({ ...unit, team: '' }));
    const today = calendarDay('2027-03-06');
    const sown = reviewPlan({ plan: plan(), units, today, isSown: true, ...SURROUNDINGS });
    expect(sown.map((one) => one.facts.code)).not.toContain('sowing_is_past');
    const off = mended(plan({ lessonOn: calendarDay('2027-03-27') }), 'off_class_day');
    expect(off.after.lessonOn).toBe('2027-03-29');
  });

  test('an age ladder: a sowing on a Sunday moves back to Friday, a first sowing in the past moves the lesson', () => {
    const ladder = plan({}, 'ages');
    const { after, left } = mended(ladder, 'off_class_day');
    expect(after.factors[0]?.levels.map((one) => one.ageDays)).toEqual([21, 14, 7, 3]);
    expect(left).not.toContain('off_class_day');
    const late = mended(ladder, 'sowing_is_past', calendarDay('2027-03-10'));
    expect(late.after.lessonOn).toBe('2027-03-31');
  });

  test('cold weeks that would have begun before today move sowing and lesson together', () => {
    const { conditions } = plan();
    const cold = plan({ conditions: { ...conditions, coldDays: 30 } });
    const { after, left } = mended(cold, 'preparation_past', calendarDay('2027-02-22'));
    expect(left).not.toContain('preparation_past');
    const moved = daysBetween(cold.sowOn, after.sowOn);
    expect(moved).toBeGreaterThanOrEqual(23);
    expect(daysBetween(cold.lessonOn, after.lessonOn)).toBeGreaterThanOrEqual(moved);
    expect(
      planCalendar(after, SURROUNDINGS).tasks.find(({ code }) => code === 'cold')!.day >= '2027-02-22',
    ).toBe(true);
    expect(codes(plan())).not.toContain('preparation_past');
  });

  test('a mend says the days that sowing moves, once; the lesson stays where there is time', () => {
    const { conditions } = plan();
    const waiting = plan({
      conditions: { ...conditions, reactionDays: 3 },
      lessonOn: calendarDay('2027-05-10'),
    });
    const { finding, after } = mended(waiting, 'preparation_past', calendarDay('2027-02-28'));
    expect(after.lessonOn).toBe(waiting.lessonOn);
    expect(finding.mend!.cost.days).toBe(daysBetween(waiting.sowOn, after.sowOn));
    const cold = plan({ conditions: { ...conditions, coldDays: 30 } });
    const both = mended(cold, 'preparation_past', calendarDay('2027-02-22'));
    expect(both.finding.mend!.cost.days).toBe(daysBetween(cold.sowOn, both.after.sowOn));
  });

  test('water far from what a place takes is said, and mended to a tenth', () => {
    const { conditions } = plan();
    const dry = plan({ conditions: { ...conditions, waterMl: 3 } });
    expect(mended(dry, 'water_far_off').after.conditions.waterMl).toBe(10);
    expect(codes(plan({ conditions: { ...conditions, waterMl: 90 } }))).toContain('water_far_off');
    expect(codes(plan({ conditions: { ...conditions, waterMl: 25 } }))).not.toContain('water_far_off');
  });

  test('what is typed and not known is asked about, and seed that is often treated is said', () => {
    const of = (material: string) => {
      const levels = [
        level('None', { isControl: true }),
        level('Some', { dose: { material, amount: 1, unit: 'g' as const } }),
      ];
      return review(plan({ factors: [{ name: 'It', aspect: 'additive', levels }] })).map((one) => one.facts);
    };
    expect(of('blue powder')).toContainEqual({ code: 'unknown_material', material: 'blue powder' });
    expect(of('sand').some(({ code }) => code === 'unknown_material')).toBe(false);
    expect(of('antacid')).toContainEqual({ code: 'caution', caution: 'alkali' });
    expect(of('antacid')).not.toContainEqual({ code: 'caution', caution: 'acid' });
    expect(of('sand')).toContainEqual({ code: 'caution', caution: 'treated' });
  });

  test('more seeds than sorting left stop a plan, and sorting comes before what follows on it', () => {
    const sorting = plan({}, 'sorting', 'broad-bean');
    const [water] = sorting.factors as [Plan['factors'][number]];
    const found = (sorted: number): Plan => ({
      ...sorting,
      factors: [
        {
          ...water,
          levels: [
            { ...water.levels[0]!, sorted: 24 },
            { ...water.levels[1]!, sorted },
          ],
        },
      ],
    });
    expect(codes(found(24))).not.toContain('more_than_sorted');
    const short = review(found(23)).find(({ facts }) => facts.code === 'more_than_sorted');
    expect(short?.facts).toMatchObject({ wanted: 24, sorted: 23, level: water.levels[1]!.name });
    const late = { ...sorting, sortOn: addDays(sorting.sowOn, 1) };
    const { after, left } = mended(late, 'sorted_too_late');
    expect(after.sortOn).toBeNull();
    expect(left).not.toContain('sorted_too_late');
    expect(codes({ ...late, sortOn: addDays(sorting.sowOn, -5) })).not.toContain('sorted_too_late');
  });

  test('sections of one pan cannot differ in what they share', () => {
    const crops = plan({}, 'sections', 'cress');
    expect(codes(crops)).not.toContain('sections_share');
    const watered = { ...crops, factors: [{ ...crops.factors[0]!, aspect: 'water' as const }] };
    expect(codes(watered)).toContain('sections_share');
    expect(codes({ ...watered, containers: [usualContainer('pots')] })).not.toContain('sections_share');
    const { after, left } = mended(watered, 'sections_share');
    expect(left).not.toContain('sections_share');
    expect(left).not.toContain('cannot_lay_out');
    expect(after.containers[0]?.cellMl).toBe(600 * 6);
  });

  test('what began elsewhere is not judged as seed: no empty pots, no packet, no depth, knives where it is cut', () => {
    const begun = (startsAs: NonNullable<Plan['conditions']['startsAs']>): Plan => {
      const seed = plan({ seedsPerUnit: 1 });
      return { ...seed, conditions: { ...seed.conditions, startsAs, depthRule: 'half_inch' } };
    };
    for (const startsAs of ['seedlings', 'paper_pots', 'bought', 'divided', 'cuttings'] as const) {
      const found = codes(begun(startsAs));
      expect(found).not.toContain('pots_stay_empty');
      expect(found).not.toContain('not_ready_by_lesson');
      expect(found).toContain('unknown_figures');
      const isCut = review(begun(startsAs)).some(
        ({ facts }) => facts.code === 'caution' && facts.caution === 'cutting',
      );
      expect([startsAs, isCut]).toEqual([startsAs, ['divided', 'cuttings'].includes(startsAs)]);
    }
    expect(codes(begun('seed'))).toContain('pots_stay_empty');
  });

  test('watching one crop is a whole plan: nothing in it stops it', () => {
    const watched = review(plan({}, 'watch'));
    expect(watched.filter(({ severity }) => severity === 'stops')).toEqual([]);
    expect(watched.map((one) => one.facts.code)).not.toContain('nothing_compared');
  });

  test('lime without its wait', () => {
    const dose = { material: 'garden lime', amount: 1, unit: 'g' as const };
    const levels = [level('None', { isControl: true }), level('Lime', { dose })];
    const asked = plan({ factors: [{ name: 'Lime', aspect: 'additive', levels }] });
    const { after, left } = mended(asked, 'reaction_wait');
    expect([after.conditions.reactionDays, left.includes('reaction_wait')]).toEqual([3, false]);
    expect(review(asked).map((one) => one.facts)).toContainEqual({ code: 'caution', caution: 'alkali' });
  });

  test('light, temperature and depth wrong for the crop', () => {
    const { conditions } = plan();
    const dark = plan({ conditions: { ...conditions, light: 'dark' } }, 'one_factor', 'lettuce');
    expect(mended(dark, 'light_wrong').left).not.toContain('light_wrong');
    const cold = plan({ conditions: { ...conditions, temperatureC: 2 } });
    expect(mended(cold, 'temperature_wrong').left).not.toContain('temperature_wrong');
    const shallow = plan({ conditions: { ...conditions, depthRule: 'surface' } }, 'one_factor', 'pea');
    expect(mended(shallow, 'depth_wrong').left).not.toContain('depth_wrong');
  });

  test('the tallest of several, where plants in a pot are what is changed', () => {
    expect(codes(plan({}, 'density'))).not.toContain('tallest_of_many');
    expect(mended(plan({ plantRule: 'tallest' }, 'density'), 'tallest_of_many').left).not.toContain(
      'tallest_of_many',
    );
  });

  test('a holiday without a helper', () => {
    const { calendar } = plan();
    const holidays = [{ name: 'Break', from: calendarDay('2027-03-08'), to: calendarDay('2027-03-19') }];
    expect(codes(plan({ calendar: { ...calendar, holidays } }))).toContain('helper_missing');
    expect(codes(plan({ calendar: { ...calendar, holidays, helper: 'Caretaker' } }))).not.toContain(
      'helper_missing',
    );
  });

  test('200 units are checked, and the worst comes first', () => {
    const containers = [{ ...usualContainer('flat'), rows: 10, columns: 20 }];
    const found = review(
      plan({ replicates: 100, containers, lessonOn: addDays(calendarDay('2027-03-01'), 2) }),
    );
    const order = found.map((one) => SEVERITIES.indexOf(one.severity));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });

  test.each(INVESTIGATION_KINDS)('every finding in kind %s has words', (kind) => {
    for (const crop of STARTING_CROPS.filter((_, index) => index % 6 === 0)) {
      for (const finding of review(plan({ replicates: 1 }, kind, crop.id))) {
        const { title, detail, mend } = findingWords(finding.facts, STYLE);
        expect(`${title} ${detail}`).not.toMatch(/NaN|undefined|null|Infinity/);
        if (finding.mend) expect(mend).not.toBe('');
      }
    }
  });
});

test('the smallest difference rests on plants grown as a rehearsal grows them', () => {
  const oat = { ...STARTING_CROPS.find((crop) => crop.id === 'oat')!, germinationPercent: 100 };
  const surroundings = { crops: [oat], lots: [] };
  const asked = plan({ replicates: 6, seedsPerUnit: 1 });
  const [growth] = treatmentGrowth(asked, surroundings);
  const found = visibleDifference(asked, surroundings);
  if (!growth?.setting.defined || !found.defined) throw new Error('not defined');
  const units = Array.from({ length: 20_000 }, (_, number) => ({ number, seeds: 1, effect: NO_EFFECT }));
  const grown = growExperiment(growth.setting.value, units, growth.sowOn, [asked.lessonOn], 9);
  const heights = describeSample(grown.flatMap(({ mm }) => (mm === null ? [] : [mm])));
  if (!heights.sd.defined || !heights.mean.defined) throw new Error('not defined');
  expect(found.value.mm / found.value.more / heights.mean.value).toBeCloseTo(1, 1);
  expect(found.value.less).toBeLessThan(found.value.more);
});

describe('a mend is tried before it is offered', () => {
  test('the combinations left out come back with places for them', () => {
    const [factor] = plan().factors;
    const two = [factor!, { ...factor!, name: 'Shade', aspect: 'light' as const }];
    const { finding, after, left } = mended(
      plan({ factors: two, leftOut: ['0.1', '1.0'] }),
      'aligned_changes',
    );
    expect(left).not.toContain('cannot_lay_out');
    const places = after.containers.reduce((sum, { rows, columns }) => sum + rows * columns, 0);
    expect(places).toBeGreaterThanOrEqual(4 * after.replicates);
    expect(finding.mend!.cost.units).toBe(2 * after.replicates);
  });

  test('a day of sowing that has passed is moved alone where there is time, else with the lesson', () => {
    const today = calendarDay('2027-03-09');
    const inTime = mended(plan({ lessonOn: calendarDay('2027-04-26') }), 'sowing_is_past', today);
    expect(inTime.finding.mend!.changes).toEqual({ sowOn: '2027-03-09' });
    const late = review(plan({ lessonOn: calendarDay('2027-03-11') }), today).find(
      ({ facts }) => facts.code === 'sowing_is_past',
    );
    expect(late!.mend!.changes).toEqual({ sowOn: '2027-03-09', lessonOn: '2027-03-19' });
    expect(mendText(late!, STYLE)).toBe('Sow on 2027-03-09, lesson on 2027-03-19');
    expect(mendText(inTime.finding, STYLE)).toBe('Sow on 2027-03-09');
  });

  test('a change that would leave the lesson without anything to show is not offered', () => {
    const warm = plan({ lessonOn: calendarDay('2027-03-08'), replicates: 30 });
    for (const { mend } of review(warm)) {
      if (mend) expect(codes({ ...warm, ...mend.changes }).length).toBeLessThanOrEqual(codes(warm).length);
    }
  });
});
