import { describe, expect, test } from '@jest/globals';
import { householdOf } from '../amounts/index.ts';
import type { FindingFacts } from '../review/index.ts';
import type { Rehearsal } from '../rehearsal/index.ts';
import { calendarDay, notDefined } from '../shared/index.ts';
import { wilson } from '../statistics/index.ts';
import {
  chanceText,
  costWords,
  depthText,
  findingWords,
  householdText,
  READING_LEVELS,
  rehearsalWords,
  studentWords,
  volumeText,
} from './index.ts';

const STYLE = { scale: { unit: 'cm', step: 0.5 }, day: (day: string) => day } as const;

describe('figures in words', () => {
  test.each([
    [1, 'as good as certain'],
    [0.9996, 'as good as certain'],
    [0.997, '99 in 100'],
    [0.97, '97 in 100'],
    [0.9, '9 in 10'],
    [0.866, '87 in 100'],
    [0.5, '5 in 10'],
    [0.03, '3 in 100'],
    [0.003, '1 in 200'],
    [0.0001, 'almost none'],
    [0, 'almost none'],
  ])('a chance of %p is %p', (chance, words) => {
    expect(chanceText(chance)).toBe(words);
  });

  test('a chance that is neither certain nor impossible is never said to be', () => {
    for (let step = 6; step < 9995; step += 1) {
      const words = chanceText(step / 10_000);
      expect([step, /^(0|100) in|^10 in 10$/.test(words)]).toEqual([step, false]);
    }
  });

  test.each([
    [3.04, '3 mL'],
    [7.26, '7.3 mL'],
    [80, '80 mL'],
    [999.4, '999 mL'],
    [1000, '1 L'],
    [1452, '1.5 L'],
    [12_001, '12.1 L'],
  ])('%p mL is %p, never less', (ml, words) => {
    expect(volumeText(ml)).toBe(words);
  });

  test.each([
    [600, '2½ cups'],
    [60, '¼ cup'],
    [240, '1 cup'],
    [20, '1½ tablespoons'],
    [15, '1 tablespoon'],
    [5, '1 teaspoon'],
    [1, '¼ teaspoon'],
  ])('%p mL in the kitchen is %p', (ml, words) => {
    expect(householdText(householdOf(ml))).toBe(words);
  });

  test('depth and cost', () => {
    expect([depthText(0), depthText(12.7), depthText(4.25)]).toEqual(['on the surface', '12.7 mm', '4.3 mm']);
    expect(costWords({ units: 0, seeds: 0, days: 0 }, 'seed')).toBe('costs nothing');
    expect(costWords({ units: 2, seeds: 4, days: 0 }, 'seed')).toBe('2 pots more and 4 seeds more');
    expect(costWords({ units: -2, seeds: 0, days: -1 }, 'seed')).toBe('2 pots fewer and 1 day earlier');
    expect(costWords({ units: 1, seeds: 1, days: 3 }, 'seed')).toBe(
      '1 pot more, 1 seed more and 3 days later',
    );
  });
});

const day = calendarDay('2027-03-01');
const ALL_FACTS: { [Code in FindingFacts['code']]: FindingFacts & { code: Code } } = {
  cannot_lay_out: { code: 'cannot_lay_out', units: 18, places: 10 },
  nothing_compared: { code: 'nothing_compared' },
  more_than_one_thing: { code: 'more_than_one_thing', factor: 'Water', aspects: ['water', 'light'] },
  names_two_things: { code: 'names_two_things', level: 'Salt and sugar' },
  no_control: { code: 'no_control', factor: 'Water' },
  too_few_units: { code: 'too_few_units', replicates: 2, wanted: 3 },
  seeds_as_replicates: { code: 'seeds_as_replicates', seeds: 5 },
  lined_up: { code: 'lined_up', with: 'bright side', v: 0.876, p: 0.01 },
  smallest_difference: {
    code: 'smallest_difference',
    replicates: 5,
    wanted: 12,
    more: 0.456,
    less: 0.313,
    mm: 48,
    units: 4.93,
  },
  pots_stay_empty: {
    code: 'pots_stay_empty',
    expected: 1,
    chanceOfAny: 0.6,
    seeds: 1,
    single: 'clove',
    spares: 2,
  },
  packet_too_poor: { code: 'packet_too_poor' },
  not_ready_by_lesson: { code: 'not_ready_by_lesson', chance: 0.3, latest: null },
  reads_before_up: { code: 'reads_before_up', up: day },
  no_readings: { code: 'no_readings' },
  tallest_of_many: { code: 'tallest_of_many' },
  reaction_wait: { code: 'reaction_wait', material: 'vinegar' },
  light_wrong: { code: 'light_wrong', crop: 'Lettuce', needs: 'light' },
  temperature_wrong: { code: 'temperature_wrong', crop: 'Oat', temperatureC: 2, min: 4, max: 35 },
  depth_wrong: { code: 'depth_wrong', crop: 'Pea', depthMm: 60, usualMm: 25 },
  off_class_day: { code: 'off_class_day', what: 'lesson', day },
  sowing_is_past: { code: 'sowing_is_past', day },
  more_than_sorted: { code: 'more_than_sorted', level: 'Floated', wanted: 24, sorted: 9 },
  sorted_too_late: { code: 'sorted_too_late', day },
  sections_share: { code: 'sections_share', factor: 'Tea', aspect: 'additive' },
  dates_crossed: { code: 'dates_crossed' },
  preparation_past: { code: 'preparation_past', task: 'cold', day },
  water_far_off: { code: 'water_far_off', waterMl: 8, cellMl: 450, usualMl: 45 },
  helper_missing: { code: 'helper_missing', days: [day] },
  missing_combinations: { code: 'missing_combinations', count: 2 },
  aligned_changes: { code: 'aligned_changes', first: 'Salt', second: 'Shade' },
  stand_has_own_container: { code: 'stand_has_own_container', kinds: ['bags', 'cups'] },
  stands_share_container: { code: 'stands_share_container', stands: 2 },
  stand_is_treatment: { code: 'stand_is_treatment', stands: 2 },
  too_few_of_combination: { code: 'too_few_of_combination', replicates: 1, each: 6 },
  layout_uneven: { code: 'layout_uneven', with: 'row', treatment: 'Salty', count: 3, units: 3 },
  unknown_figures: { code: 'unknown_figures', crop: 'Moonflower', reason: 'no_crop_figures' },
  crop_caution: { code: 'crop_caution', crop: 'Pea', text: 'not to be eaten' },
  unknown_material: { code: 'unknown_material', material: 'blue powder' },
  caution: { code: 'caution', caution: 'acid' },
  layout_mixed: { code: 'layout_mixed' },
};

describe('findings in words', () => {
  test.each(Object.values(ALL_FACTS))('$code says what it is and what it means', (facts) => {
    const { title, detail } = findingWords(facts, STYLE);
    expect(title.length).toBeGreaterThan(2);
    expect(detail).toMatch(/\.$/);
    expect(`${title} ${detail}`).not.toMatch(/\bproves?\b|NaN|undefined|null/);
  });

  test.each([
    [
      ALL_FACTS.smallest_difference,
      'With 5 pots each you would see only large differences: plants 46% taller, about 5.0 cm',
    ],
    [ALL_FACTS.pots_stay_empty, 'About 1 pot is likely to stay empty'],
    [{ ...ALL_FACTS.pots_stay_empty, expected: 0.2 }, 'A pot may stay empty'],
    [{ ...ALL_FACTS.pots_stay_empty, expected: 2.34 }, 'About 2.3 pots are likely to stay empty'],
    [{ ...ALL_FACTS.depth_wrong, depthMm: 5 }, '5 mm is shallow for pea'],
    [{ ...ALL_FACTS.too_few_units, replicates: 1 }, 'One pot of each treatment'],
    [{ ...ALL_FACTS.light_wrong, needs: 'dark' as const }, 'Lettuce needs the dark to come up'],
    [ALL_FACTS.missing_combinations, '2 combinations are not grown'],
    [ALL_FACTS.aligned_changes, '“Salt” and “Shade” always change together'],
    [ALL_FACTS.layout_uneven, '3 of 3 pots with “Salty” share one row'],
    [
      { ...ALL_FACTS.layout_uneven, with: 'bright side' as const },
      '3 of 3 pots with “Salty” are equally far from the bright side',
    ],
    [{ ...ALL_FACTS.helper_missing, days: [day, day] }, '2 days without anybody to water'],
  ])('%j', (facts, title) => {
    expect(findingWords(facts, STYLE).title).toBe(title);
  });

  test('what 8 of 10 classes would see is the difference of the title, taller and shorter each with its own figure', () => {
    const detail = (less: number | null) =>
      findingWords({ ...ALL_FACTS.smallest_difference, less }, STYLE).detail;
    expect(detail(0.313)).toContain('8 of 10 classes would see plants 46% taller or 31% shorter.');
    expect(detail(null)).toContain('8 of 10 classes would see plants 46% taller.');
  });

  test('what is lined up is said with its figures', () => {
    const { detail } = findingWords(ALL_FACTS.lined_up, STYLE);
    expect(detail).toContain('Here: 0.88.');
    expect(detail).toContain('1 in 100');
  });
});

describe('a rehearsal in words', () => {
  const rehearsal = (seen: number, classes = 100, cannot = 0): Rehearsal => ({
    classes,
    counts: { seen, wrong_way: 0, missed: classes - seen - cannot, cannot_tell: cannot },
    seen: wilson(seen, classes),
    typical: 1,
  });

  test.each([
    [rehearsal(90), 'This plan is likely to show it.'],
    [rehearsal(60), 'It may show it, or miss it.'],
    [rehearsal(20), 'finding nothing would not mean that there is nothing'],
  ])('says how likely the plan is to show the effect', (found, words) => {
    expect(rehearsalWords(found, false)).toContain(words);
  });

  test('gives the margin of having grown only so many classes', () => {
    expect(rehearsalWords(rehearsal(28), false)).toContain(
      '28 of 100 classes (20 to 37, as only 100 were grown)',
    );
  });

  test('speaks of false alarms when there is nothing to find, and of nothing when nothing was tested', () => {
    expect(rehearsalWords(rehearsal(5), true)).toContain('About 5 of 100 is what the test allows.');
    expect(rehearsalWords(rehearsal(0, 50, 50), false)).toContain('No class could test anything');
    expect(rehearsalWords({ ...rehearsal(0), seen: notDefined('no_values') }, false)).toBe(
      'No class was rehearsed.',
    );
  });
});

describe('questions for students', () => {
  test.each(READING_LEVELS)('at %s every question and every rule of reading has words', (level) => {
    const words = studentWords(level);
    expect(words.howTo).toHaveLength(3);
    for (const text of [...Object.values(words.howTall), ...words.howTo, words.canYouSee, words.howMany]) {
      expect(text.length).toBeGreaterThan(5);
    }
  });

  test('the youngest read the shortest sentences', () => {
    const length = (level: (typeof READING_LEVELS)[number]): number =>
      studentWords(level).howTo.join(' ').length;
    expect(length('5-7')).toBeLessThan(length('8-10'));
  });
});
