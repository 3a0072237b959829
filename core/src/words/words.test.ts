import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compareTreatments } from '../comparison/index.ts';
import { calendarDay } from '../shared/index.ts';
import {
  comparisonWords,
  contrastWord,
  outOfHundred,
  pText,
  READING_LEVELS,
  readText,
  shuffleWords,
  type ReadingLevel,
  type ValueStyle,
} from './index.ts';

const HEIGHT: ValueStyle = { kind: 'length', scale: { unit: 'cm', step: 0.5 }, isHeight: true };
const TREATMENTS = [
  { id: 'a', name: 'Plain soil', isControl: true },
  { id: 'b', name: 'Gravel on top', isControl: false },
  { id: 'c', name: 'LED lamp', isControl: false },
];

function say(values: Record<string, readonly (number | null)[]>, level: ReadingLevel, style = HEIGHT) {
  const entries = Object.entries(values).flatMap(([groupId, heights]) =>
    heights.map((value) => ({ groupId, value })),
  );
  const units = entries.map(({ groupId }, index) => ({
    id: String(index),
    number: index + 1,
    groupId,
    sownOn: calendarDay('2026-03-02'),
  }));
  const day = calendarDay('2026-03-20');
  const readings = entries.map(({ value }, index) => ({
    unitId: String(index),
    day,
    state: value === null ? ('dead' as const) : ('emerged' as const),
    value,
  }));
  const treatments = TREATMENTS.filter(({ id }) => id in values);
  const comparison = compareTreatments({ treatments, units, readings, day, rule: 'only_up' });
  return comparisonWords({ comparison, treatments, style, level });
}

const CLEAR = { a: [90, 95, 100, 92], b: [50, 55, 48, 52] };
const UNCLEAR = { a: [90, 60, 100, 70], b: [85, 50, 88, 62] };

describe('the answer in words', () => {
  test.each([
    ['5-7', 'Plants with Gravel on top were about 4.3 cm shorter than plants with Plain soil on day 18.'],
    [
      '8-10',
      'Plants with Gravel on top were on average about 4.3 cm shorter than plants with Plain soil on day 18.',
    ],
    [
      '11-13',
      'Plants with Gravel on top were on average about 4.3 cm shorter than plants with Plain soil on day 18.',
    ],
    [
      '14+',
      'Plants with Gravel on top were on average 4.30 cm shorter than plants with Plain soil on day 18 (n = 4 and n = 4).',
    ],
  ] as const)('a clear difference at %s', (level, headline) => {
    expect(say(CLEAR, level).headline).toBe(headline);
  });

  test.each(READING_LEVELS)(
    'an unclear difference at %s names its size and says that it cannot tell',
    (level) => {
      const { headline } = say(UNCLEAR, level);
      expect(headline).toMatch(/\d.*shorter/);
      expect(headline).toMatch(/luck|cannot be sure|do not tell/i);
      expect(headline).not.toMatch(/no (effect|difference)/);
    },
  );

  test.each(READING_LEVELS)('how sure, at %s, is about luck and never about proof', (level) => {
    const all = [say(CLEAR, level), say(UNCLEAR, level)].map((words) => JSON.stringify(words)).join();
    expect(all).not.toMatch(/prove|no effect|significant|NaN|undefined/i);
    expect(say(CLEAR, level).howSure).toMatch(/luck|turn up/);
  });

  test('the oldest are given the interval, in the direction of the difference', () => {
    expect(say(CLEAR, '14+').howSure).toMatch(
      /^The 95% interval of the difference is −4\.97 cm to −3\.63 cm\. p < 0\.001/,
    );
    expect(say(CLEAR, '11-13').howSure).not.toContain('interval');
  });

  test('the other treatments follow, and what was left out is named', () => {
    const words = say({ ...CLEAR, c: [93, 99, null, 95] }, '11-13');
    expect(words.others).toEqual([
      'Living plants with LED lamp were on average about 0.1 cm taller than living plants with Plain soil. Luck alone could make a gap like that, so we cannot be sure yet.',
      '1 of 4 pots with LED lamp had died by day 18, compared with 0 of 4 with Plain soil and 0 of 4 with Gravel on top. That could just be luck.',
    ]);
    expect(words.notKnown[0]).toBe('Left out, dead: pot 11 (LED lamp).');
    expect(words.notKnown.at(-1)).toContain('one class');
  });

  test('a pot that makes the average of its treatment is named, with what it would be without', () => {
    const words = say({ ...CLEAR, a: [60, 62, 61, 140] }, '8-10');
    expect(words.notKnown).toContain(
      'Pot 4 stands apart: without it the average of Plain soil would be 6.1 cm instead of 8.1 cm.',
    );
    const even = say({ ...CLEAR, a: [40, 62, 75, 95] }, '8-10');
    expect(even.notKnown.join(' ')).not.toContain('stands apart');
  });

  test.each<[ValueStyle, string]>([
    [{ kind: 'count', name: 'leaves' }, 'had on average about 1.7 more leaves than pots with Plain soil'],
    [{ kind: 'count' }, 'were on average about 1.7 more than pots with Plain soil'],
    [
      { kind: 'number', unit: 'g', name: 'weight' },
      'had on average a weight about 1.67 g higher than pots with Plain soil',
    ],
    [
      { kind: 'number', unit: '%', name: 'open green' },
      'had on average an open green about 2 percentage points higher than pots with Plain soil',
    ],
    [{ kind: 'score', scores: [] }, 'were on average about 1.7 higher than pots with Plain soil'],
  ])('what is not a length says what pots had: %j', (style, words) => {
    const values = { a: [4, 5, 4], b: [6, 6, 6] };
    expect(say(values, '11-13', style as typeof HEIGHT).headline).toContain(
      `Pots with Gravel on top ${words}`,
    );
    expect(say(values, '5-7', style as typeof HEIGHT).headline).not.toContain('average');
    expect(say(values, '14+', style as typeof HEIGHT).headline).toMatch(/\(n = 3 and n = 3\)/);
  });

  test.each([
    [0, 0, 'Nothing shuffled yet.'],
    [0, 2, '0 of 2 shuffles gave a gap at least as big: too few shuffles yet to say how often that is.'],
    [0, 199, '0 of 199 shuffles gave a gap at least as big: too few shuffles yet to say how often that is.'],
    [1, 200, '1 of 200 shuffles gave a gap at least as big: fewer than 1 of 100.'],
    [199, 2000, '199 of 2,000 shuffles gave a gap at least as big: about 10 of 100.'],
  ])('%i of %i shuffles claim no more than they show', (asLarge, count, words) => {
    expect(shuffleWords(asLarge, count)).toBe(words);
  });

  test('two pots of a treatment are said to be few; three are not remarked upon', () => {
    const few = say({ a: [60, 62, 61], b: [61, 63] }, '11-13').notKnown.join(' ');
    expect(few).toMatch(/Very few pots count \(2 of [^)]+\): with more of them the answer would be surer\./);
    expect(say({ a: [60, 62, 61], b: [61, 63, 60] }, '11-13').notKnown.join(' ')).not.toContain('few pots');
  });

  test('a difference smaller than the ruler reads is not given as 0, nor as a mark of it', () => {
    expect(say({ a: [60, 62, 61], b: [61, 63, 61] }, '8-10').headline).toContain('about 0.1 cm taller');
  });

  test('too few pots: the size, and that no more can be told', () => {
    expect(say({ a: [60], b: [50] }, '8-10').headline).toBe(
      'Plants with Gravel on top were on average about 1.0 cm shorter than plants with Plain soil on day 18, but there are too few pots to tell more.',
    );
    expect(say({ a: [60], b: [] }, '8-10').headline).toContain('nothing to compare them with');
    expect(say({ a: [], b: [] }, '8-10').headline).toBe('No pot has a value on this day yet.');
    expect(say({ a: [null], b: [null] }, '8-10').headline).toBe('Both pots had died by day 18.');
    expect(say({ a: [60, 61], b: [60, 61] }, '8-10').headline).toContain('the same average');
  });

  test('never NaN, Infinity or undefined, whatever the values', () => {
    const heights = fc.array(fc.option(fc.integer({ min: 0, max: 300 })), { minLength: 0, maxLength: 5 });
    fc.assert(
      fc.property(heights, heights, heights, fc.constantFrom(...READING_LEVELS), (a, b, c, level) => {
        const { luck, ...texts } = say({ a, b, c }, level);
        expect(luck === null || (luck >= 0 && luck <= 1)).toBe(true);
        expect(JSON.stringify(texts)).not.toMatch(/NaN|Infinity|undefined|null/);
      }),
    );
  });
});

describe('small words', () => {
  test('p values', () => {
    expect([0.0004, 0.032, 0.2].map(pText)).toEqual(['p < 0.001', 'p = 0.032', 'p = 0.20']);
    expect([0.0004, 0.032, 0.5, 0.999].map(outOfHundred)).toEqual([
      'fewer than 1 of 100',
      'about 3 of 100',
      'about 50 of 100',
      'nearly all of 100',
    ]);
  });

  test('values and contrasts by kind', () => {
    expect(readText(65, HEIGHT)).toBe('6.5 cm');
    expect(readText(3, { kind: 'count' })).toBe('3');
    expect(readText(6.4, { kind: 'number', unit: 'pH' })).toBe('6.4 pH');
    expect(contrastWord(1, HEIGHT)).toBe('taller');
    expect(contrastWord(-1, { kind: 'count' })).toBe('fewer');
    expect(contrastWord(-1, { kind: 'number', unit: '' })).toBe('lower');
  });
});
