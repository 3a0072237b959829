import { describe, expect, test } from '@jest/globals';
import { addDays } from '../shared/index.ts';
import {
  BOARD_KINDS,
  draftLesson,
  firstsOf,
  LINE_UP_ORDERS,
  lessonMinutes,
  lineUp,
  notUpReasons,
  plantOnDay,
  plantStory,
  watchedRows,
} from './index.ts';
import { evenPot, madeClass, SOWN } from './testing.ts';

const at = (age: number) => addDays(SOWN, age);
const UNIT = { id: 'u1', number: 1, groupId: 'a', sownOn: SOWN, team: '', fromBright: null };

describe('a plant on a day', () => {
  const { histories } = madeClass(
    [{ group: 'a', looks: { 3: 'not_emerged', 5: 12, 6: 'not_read', 8: 20, 10: 'dead', 12: 'dead' } }],
    12,
  );
  const on = (age: number) => plantOnDay(UNIT, histories.get('u1') ?? [], at(age));

  test('is what its last look found, and says when that was of another day', () => {
    expect(on(1)).toMatchObject({ plant: { state: 'not_read' }, isOfDay: false, age: 1, firstUp: null });
    expect(on(3)).toMatchObject({ plant: { state: 'not_emerged' }, isOfDay: true });
    expect(on(4)).toMatchObject({ plant: { state: 'not_emerged', readOn: at(3) }, isOfDay: false });
    expect(on(5)).toMatchObject({ plant: { state: 'emerged', value: 12 }, isOfDay: true, firstUp: at(5) });
    expect(on(6)).toMatchObject({ plant: { value: 12, readOn: at(5) }, isOfDay: false });
    expect(on(11)).toMatchObject({ plant: { state: 'dead', since: at(10) }, isOfDay: true });
    expect(on(12)).toMatchObject({ plant: { state: 'dead', since: at(10) } });
  });

  test('before its own sowing it is not sown, and never a height of 0', () => {
    expect(plantOnDay({ ...UNIT, sownOn: at(4) }, [], at(2))).toMatchObject({
      plant: { state: 'not_sown' },
      age: null,
    });
    expect(JSON.stringify([on(1), on(3), on(11)])).not.toMatch(/"value"/);
  });
});

describe('a row of plants', () => {
  const facts = madeClass(
    [
      evenPot('a', 6, 4, 20, { team: 'Otter' }),
      evenPot('b', 4, 2, 20, { team: 'Heron' }),
      { group: 'a', looks: { 20: 'not_emerged' } },
      { group: 'b', looks: { 10: 30, 18: 'dead' }, team: 'Heron' },
      { group: 'a', looks: { 18: 50 }, sownAt: 3 },
      evenPot('b', 4, 4, 20),
      { group: 'a', looks: {} },
    ],
    20,
  );
  const numbers = (order: (typeof LINE_UP_ORDERS)[number]) =>
    lineUp(facts.plants, order, facts.groups).map(({ unit }) => unit.number);

  test('by height goes from the shortest to the tallest; what has no height stands after, never as 0', () => {
    expect(numbers('height')).toEqual([2, 5, 1, 6, 3, 7, 4]);
  });

  test('by every order holds each plant once, and equals stand by number', () => {
    expect(numbers('age')).toEqual([5, 1, 2, 3, 4, 6, 7]);
    expect(numbers('first_up')).toEqual([2, 6, 1, 4, 5, 3, 7]);
    expect(numbers('treatment')).toEqual([5, 1, 3, 7, 2, 6, 4]);
    expect(numbers('place')).toEqual([1, 2, 3, 4, 5, 6, 7]);
    expect(numbers('team')).toEqual([2, 4, 1, 3, 5, 6, 7]);
    for (const order of LINE_UP_ORDERS) expect([...numbers(order)].sort()).toEqual([1, 2, 3, 4, 5, 6, 7]);
  });

  test('of two hundred pots is in order', () => {
    const many = madeClass(
      Array.from({ length: 200 }, (_, index) => ({ group: 'a', looks: { 9: 10 + ((index * 37) % 113) } })),
      9,
    );
    const values = lineUp(many.plants, 'height', many.groups).map(({ plant }) =>
      plant.state === 'emerged' ? plant.value : NaN,
    );
    expect(values).toEqual([...values].sort((a, b) => Number(a) - Number(b)));
  });
});

describe('the story of a plant', () => {
  test('tells between which looks it came up, a height a week, and its end', () => {
    const { histories } = madeClass(
      [{ group: 'a', looks: { 3: 'not_emerged', 6: 4, 7: 9, 13: 40, 15: 52, 20: 'removed' } }],
      20,
    );
    expect(plantStory(UNIT, histories.get('u1') ?? [], at(20))).toEqual({
      unit: UNIT,
      firstUp: { age: 6, notUpAt: 3 },
      weeks: [
        { week: 1, age: 7, value: 9 },
        { week: 2, age: 13, value: 40 },
        { week: 3, age: 15, value: 52 },
      ],
      end: { state: 'removed', age: 20 },
    });
    expect(plantStory({ ...UNIT, sownOn: null }, [], at(20))).toBeUndefined();
  });

  test('as a table leaves the first change blank, and the change after a gap is since the last value', () => {
    const { histories } = madeClass(
      [{ group: 'a', looks: { 3: 'not_emerged', 5: 8, 7: 'not_read', 9: 20 } }],
      9,
    );
    expect(watchedRows(histories.get('u1') ?? [], at(9)).map(({ value, change }) => [value, change])).toEqual(
      [
        [null, null],
        [8, null],
        [null, null],
        [20, 12],
      ],
    );
  });
});

describe('firsts', () => {
  const facts = madeClass(
    [
      { group: 'a', looks: { 4: 'not_emerged', 6: 10, 9: 30 } },
      { group: 'a', looks: { 4: 6, 6: 12, 9: 30.2 } },
      { group: 'b', looks: { 4: 5, 6: 11, 9: 22 } },
      { group: 'b', looks: { 4: 'not_emerged', 6: 'not_emerged', 9: 'not_emerged' } },
    ],
    9,
  );
  const firsts = firstsOf(facts.plants, facts.histories, facts.day, 1, 25);
  const of = (found: (typeof firsts)['tallest']) =>
    found.defined ? [found.value.units.map(({ number }) => number), found.value.value] : found.reason;

  test('ties within half a step of the ruler are ties', () => {
    expect(of(firsts.tallest)).toEqual([[1, 2], 30.2]);
    expect(of(firsts.shortest)).toEqual([[3], 22]);
    expect(of(firsts.firstUp)).toEqual([[2, 3], 4]);
    expect(of(firsts.grownMost)).toEqual([[1], 20]);
    expect(of(firsts.nearestMark)).toEqual([[3], 3]);
    expect(firsts.notUp.map(({ number }) => number)).toEqual([4]);
  });

  test('are undefined, not 0, where nothing was read', () => {
    const none = madeClass([{ group: 'a', looks: { 4: 'not_emerged' } }], 4);
    const found = firstsOf(none.plants, none.histories, none.day, 1, null);
    expect(
      [found.tallest, found.firstUp, found.grownMost, found.nearestMark].every(({ defined }) => !defined),
    ).toBe(true);
  });

  test('reasons for a pot that is not up begin with what the record speaks for', () => {
    const facts = {
      age: 5,
      usual: { min: 4, max: 9 },
      rate: 0.8,
      temperatureC: 14,
      wantsC: { min: 18, max: 30 },
    };
    expect(notUpReasons({ ...facts, hasSoil: true })).toEqual([
      'time_to_go',
      'no_warmth',
      'some_never_do',
      'too_deep',
      'covered_by_mix',
      'watering',
    ]);
    const late = { ...facts, age: 30, rate: 0.99, temperatureC: 22, hasSoil: false };
    expect(notUpReasons(late)).toEqual(['watering']);
  });
});

describe('a drafted lesson', () => {
  const idOf = (kind: string) => `id of ${kind}`;
  const FULL = {
    comparedGroups: 3,
    canJudgeLuck: true,
    hasReadings: true,
    hasGuessChoices: true,
    talkPoints: 4,
    pictures: 2,
    isYoungest: false,
  };
  const shown = (changes: object): string[] =>
    draftLesson({ ...FULL, ...changes }, idOf)
      .boards.filter(({ isHidden }) => !isHidden)
      .map(({ kind }) => kind);

  test('holds every board that is not of own words once, and hides those with nothing to show', () => {
    const { boards } = draftLesson(FULL, idOf);
    expect(boards.map(({ kind }) => kind).sort()).toEqual(
      BOARD_KINDS.filter((kind) => kind !== 'own_words').toSorted(),
    );
    expect(new Set(boards.map(({ id }) => id)).size).toBe(boards.length);
    expect(shown({ pictures: 0, hasGuessChoices: false })).not.toContain('pictures');
    expect(
      shown({
        comparedGroups: 0,
        canJudgeLuck: false,
        hasReadings: false,
        talkPoints: 0,
        hasGuessChoices: false,
        pictures: 0,
      }),
    ).toEqual(['question']);
  });

  test('counts the minutes of what is shown, longer for the youngest, who see no shuffle', () => {
    const older = draftLesson(FULL, idOf);
    expect(lessonMinutes(older)).toBe(16);
    expect(shown({ isYoungest: true })).not.toContain('luck');
    expect(lessonMinutes({ boards: older.boards.map((board) => ({ ...board, isHidden: true })) })).toBe(0);
  });
});
