import { describe, expect, test } from '@jest/globals';
import {
  BOARD_KINDS,
  firstsOf,
  LINE_UP_ORDERS,
  NOT_UP_REASONS,
  plantStory,
  type TalkCode,
  type TalkOf,
} from '../lessons/index.ts';
import { evenPot, madeClass, SOWN } from '../lessons/testing.ts';
import { addDays } from '../shared/index.ts';
import {
  boardTitle,
  changeText,
  firstsText,
  lineUpCounts,
  lineUpTitle,
  notUpReasonText,
  notUpText,
  plantText,
  READING_LEVELS,
  storyText,
  talkWords,
} from './index.ts';

const STYLE = { kind: 'length', scale: { unit: 'cm', step: 0.1 }, isHeight: true } as const;
const GROUPS = ['Plain', 'Half', 'Full'].map((name, at) => ({ id: name, name, isControl: at === 0 }));
const day = addDays(SOWN, 9);

/** One of each talking point; the type holds that none is missing. */
const SAMPLES: { readonly [Code in TalkCode]: Omit<TalkOf<Code>, 'code'> } = {
  shrank: { pot: 3, from: 62, to: 55 },
  stood_still: { pots: [3, 5], grew: 6 },
  slowed: { before: 6, now: 2, pots: 5 },
  sped_up: { before: 2, now: 6, pots: 5 },
  late_caught_up: { pot: 4, late: 3 },
  early_fell_behind: { pot: 4 },
  far_from_rest: { pot: 4, value: 90, groupId: 'Half', low: 50, high: 54 },
  tie_tallest: { pots: [2, 7], value: 81 },
  same_height_apart: { pot: 2, other: 7, value: 81, groupId: 'Half', otherGroupId: 'Full' },
  mark_passed: { passed: 2, pots: 9, mark: 80 },
  mark_not_passed: { mark: 80, tallest: 61 },
  none_up: { age: 4, looked: 6 },
  up_together: { pots: 6, age: 6, within: 2 },
  up_spread: { first: 4, last: 10, pots: 8 },
  never_up: { pots: [5], up: 11 },
  died: { pots: [11] },
  removed: { pots: [1, 2] },
  packet_kept: { up: 30, sown: 40, rate: 0.8 },
  packet_differed: { up: 10, sown: 40, rate: 0.8 },
  later_than_usual: { age: 9, usual: 6 },
  earlier_than_usual: { age: 3, usual: 5 },
  overlap: { pot: 3, groupId: 'Half', other: 5, otherGroupId: 'Full' },
  apart: { lowId: 'Half', highId: 'Full' },
  few_pots: { groupId: 'Half', pots: 1 },
  one_pot: { pot: 1 },
  spread_differs: { wideId: 'Half', narrowId: 'Full' },
  middle_most: { groupId: 'Half' },
  control_most: { groupId: 'Plain' },
  survivors_only: { groupId: 'Half', left: 2, of: 4 },
  nearer_the_light: { more: true, near: 3, far: 3 },
  ages_differ: { youngest: 1, oldest: 9 },
  readers_differ: { pot: 3, first: 60, second: 66, day },
  readers_agree: { pairs: 4, within: 1 },
  days_missed: { days: 2, from: day, to: addDays(day, 1) },
  pots_not_read: { pots: [9, 12] },
  round_numbers: { round: 18, readings: 24 },
  guess_other: { choice: 'Half', guesses: 9, groupId: 'Full' },
  guess_came_true: { choice: 'Full', guesses: 9 },
  guess_split: { guesses: 12, most: 5 },
};

const said = (code: TalkCode, level: (typeof READING_LEVELS)[number]) =>
  talkWords({ code, ...SAMPLES[code] } as TalkOf<TalkCode>, {
    level,
    style: STYLE,
    groups: GROUPS,
    dayText: (one) => `day ${one.slice(8)}`,
  });

describe.each(Object.keys(SAMPLES) as TalkCode[])('%s', (code) => {
  test.each(READING_LEVELS)('at %s asks something, claims nothing, and leaves no place open', (level) => {
    const { question, hint } = said(code, level);
    expect(question).toMatch(/\?|Extrapolate|List|Give reasons|Put the possible reasons/);
    for (const text of [question, hint]) {
      expect(text).not.toMatch(/undefined|NaN|null|\{|\}/);
      expect(text).not.toMatch(/\bprove|\bno effect|significan|the result of the treatment/i);
      expect(text).not.toMatch(/^[a-z]/);
    }
    if (level === '5-7') {
      expect(question).not.toMatch(/\bmean\b|median|average|interval|\bSD\b|percent|%|n =/);
      expect(question.length).toBeLessThan(150);
    }
  });

  test('is worded for each age', () => {
    expect(new Set(READING_LEVELS.map((level) => said(code, level).question)).size).toBeGreaterThan(2);
  });
});

describe('boards in words', () => {
  test.each(READING_LEVELS)('each board has a title at %s', (level) => {
    for (const kind of BOARD_KINDS) expect(boardTitle(kind, level)).toMatch(/^[A-Z].{3,}/);
  });

  const facts = madeClass(
    [
      evenPot('a', 6, 4),
      evenPot('a', 8, 5),
      { group: 'b', looks: { 20: 'not_emerged' } },
      { group: 'b', looks: { 10: 21, 18: 'dead' } },
      { group: 'b', looks: { 18: 'removed' } },
      { group: 'b', looks: { 18: 40 } },
      { group: 'b', looks: { 20: 'emerged' } },
    ],
    20,
  );
  const dayText = (one: string): string => `2 March + ${one}`;

  test('a row says its order and day, and counts what is not a height as what it is', () => {
    expect(LINE_UP_ORDERS.map((order) => lineUpTitle(order, 20, 'x'))).toContain(
      'Shortest to tallest, day 20',
    );
    expect(lineUpTitle('age', null, '22 March')).toBe('Youngest to oldest, 22 March');
    expect(lineUpCounts(facts.plants)).toBe(
      '4 of 7 pots read this day, 1 not up yet, 1 dead, 1 removed, 1 not read',
    );
    expect(facts.plants.map((plant) => plantText(plant, STYLE, dayText))).toEqual([
      '6.1 cm',
      '6.5 cm',
      'not up yet',
      'dead',
      'removed',
      '4.0 cm, read 2 March + 2026-03-20',
      'up',
    ]);
  });

  test('a story and the firsts are whole sentences, ties and single pots said so', () => {
    const [one] = facts.units;
    const story = plantStory(one!, facts.histories.get(one!.id) ?? [], facts.day);
    expect(storyText(story!, STYLE, '2 March')).toBe(
      'Pot 1: sown 2 March; first seen up on day 6, not yet on day 4; 0.5 cm on day 6; 3.7 cm on day 14; 6.1 cm on day 20.',
    );
    const firsts = firstsOf(facts.plants, facts.histories, facts.day, 1, 70);
    expect(firstsText(firsts, STYLE, 70)).toEqual([
      'Pot 1 was found up first, on day 6 after sowing, of 5 pots.',
      'Pot 2 has the tallest plant: 6.5 cm, of 2 plants read.',
      'Pot 1 has the shortest plant: 6.1 cm.',
      'Pot 2 has grown most since last time: 1.0 cm.',
      'Pot 2 is nearest to 7.0 cm: 0.5 cm away.',
    ]);
    expect(notUpText(firsts)).toBe('Pot 3 is not up yet. What could be the reason?');
    const single = madeClass([{ group: 'a', looks: { 9: 40 } }], 9);
    expect(firstsText(firstsOf(single.plants, single.histories, single.day, 1, null), STYLE, null)).toEqual([
      'Pot 1 was found up first, on day 9 after sowing, of 1 pot.',
      'Pot 1 is the only one that was read: 4.0 cm.',
    ]);
    const none = madeClass([{ group: 'a', looks: {} }], 9);
    expect(firstsText(firstsOf(none.plants, none.histories, none.day, 1, null), STYLE, null)).toEqual([
      'Nothing was read until this day.',
    ]);
  });

  test('each reason for a pot that is not up is a sentence', () => {
    const about = {
      age: 5,
      usual: { min: 4, max: 9 },
      rate: 0.8,
      temperatureC: 14,
      wantsC: { min: 18, max: 30 },
      hasSoil: true,
    };
    for (const reason of NOT_UP_REASONS) expect(notUpReasonText(reason, about)).toMatch(/^[A-Z].*[.?]$/);
  });
});

describe('a change beside readings', () => {
  const INCH = { kind: 'length', scale: { unit: 'in', step: 0.25 }, isHeight: true } as const;

  test.each([
    [12, STYLE, '+1.2 cm'],
    [-5, STYLE, '−0.5 cm'],
    [0, STYLE, '0.0 cm'],
    [-63.5, INCH, '−2½ in'],
    [-6.35, INCH, '−¼ in'],
    [3, { kind: 'count' }, '+3'],
  ] as const)('of %p', (change, style, words) => {
    expect(changeText(change, style)).toBe(words);
  });
});
