import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  compareTreatments,
  type Design,
  emergencePart,
  grouped,
  growthPart,
  studyPart,
  teamsPart,
  treatmentsPart,
} from '../comparison/index.ts';
import { unitDays } from '../growth/index.ts';
import { addDays, calendarDay, randomGenerator } from '../shared/index.ts';
import { agreementOf } from '../statistics/index.ts';
import {
  claimDoubts,
  claimDoubtWords,
  comparisonWords,
  computedText,
  countingWords,
  emergenceWords,
  growthWords,
  READING_LEVELS,
  studyWords,
  summaryStyle,
  teamsWords,
  testText,
  treatmentsWords,
} from './index.ts';

const SOWN = calendarDay('2026-04-06');
const STYLE = { kind: 'length', scale: { unit: 'cm', step: 0.1 }, isHeight: true } as const;

/** A class by chance: two treatments, some pots not up, some dead, some read twice. */
function speechOf(seed: number) {
  const chance = randomGenerator(seed);
  const pots = chance.integer(1, 5);
  const design: Design = {
    factors: [
      {
        name: 'Salt',
        levels: ['none', 'some'].map((name, at) => ({ name, isControl: at === 0, amount: at })),
      },
    ],
    treatments: ['none', 'some'].map((name, at) => ({
      id: name,
      name,
      isControl: at === 0,
      levels: [at],
      crop: 'Oat',
      plants: 1,
    })),
    units: ['none', 'some'].flatMap((treatmentId, at) =>
      Array.from({ length: pots }, (_, pot) => ({
        id: `${treatmentId}${pot}`,
        number: at * pots + pot + 1,
        treatmentId,
        sownOn: SOWN,
        block: chance.happens(0.5) ? 'a' : 'b',
        team: pot % 2 === 0 ? 'Newt' : 'Heron',
        seedsSown: 1,
      })),
    ),
  };
  const readings = design.units.flatMap((unit) =>
    [5, 8, 11, 14, 17, 20].flatMap((age) => {
      const isUp = chance.happens(age / 14);
      const value = 80 / (1 + Math.exp(-0.4 * (age - 11))) + 5 * chance.normal();
      const reading = {
        unitId: unit.id,
        day: addDays(SOWN, age),
        state: isUp ? ('emerged' as const) : ('not_emerged' as const),
        value: isUp ? Math.max(0, value) : null,
        observer: 'Newt',
      };
      return chance.happens(0.1) ? [reading, { ...reading, observer: 'Heron' }] : [reading];
    }),
  );
  const { groups, units } = grouped(design, 'treatment');
  const day = addDays(SOWN, 20);
  const comparison = compareTreatments({ treatments: groups, units, readings, day, rule: 'only_up', design });
  const histories = unitDays(readings);
  const run = (id: string) => ({ id, name: id, groups, units, histories });
  return {
    groups,
    comparison,
    growth: growthPart(comparison, new Map(units.map((unit) => [unit.id, unit.sownOn])), null),
    emergence: emergencePart(comparison, design, units, {
      histories,
      counts: null,
      packetRate: 0.8,
      isLength: true,
    }),
    treatments: treatmentsPart(comparison, design, new Map(units.map((unit) => [unit.id, true])), 'II'),
    teams: teamsPart(comparison, design, readings),
    study: studyPart([run('a'), run('b')], 20, 'only_up'),
  };
}

describe('words of every part', () => {
  test('never overclaim, never say NaN, and name numbers of pots, for any class and level', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const parts = speechOf(seed);
        for (const level of READING_LEVELS) {
          const speech = { groups: parts.groups, style: STYLE, level };
          const answer = comparisonWords({
            comparison: parts.comparison,
            treatments: parts.groups,
            style: STYLE,
            level,
          });
          const lines = [
            answer.headline,
            ...answer.others,
            answer.howSure,
            ...answer.notKnown,
            ...answer.evidence,
            ...growthWords(parts.growth, speech),
            ...emergenceWords(parts.emergence, speech),
            ...treatmentsWords(parts.treatments, speech, parts.comparison),
            ...teamsWords(parts.teams, speech),
            ...studyWords(parts.study, speech),
          ];
          for (const line of lines) {
            expect(line).not.toMatch(/NaN|Infinity|undefined|null|\bprove|no effect|no difference\b/i);
            expect(line.trim()).toMatch(/[.!]$/);
          }
          if (level === '5-7') expect(lines.join(' ')).not.toMatch(/p [=<]|interval|standard/);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('the same claim at every level: a difference that is not clear is never said plainly', () => {
    for (let seed = 1; seed < 40; seed += 1) {
      const { comparison, groups } = speechOf(seed);
      const pair = comparison.mainPair === null ? undefined : comparison.pairs[comparison.mainPair];
      if (!pair?.test.defined) continue;
      const isClear = pair.test.value.p < 0.05;
      for (const level of READING_LEVELS) {
        const { headline } = comparisonWords({ comparison, treatments: groups, style: STYLE, level });
        expect([seed, level, /luck|cannot be sure|do not tell/i.test(headline)]).toEqual([
          seed,
          level,
          !isClear,
        ]);
      }
    }
  });
});

describe('pictures beside rulers', () => {
  const teams = speechOf(1).teams;
  const words = (values: readonly (readonly [number, number])[], level: (typeof READING_LEVELS)[number]) =>
    teamsWords({ ...teams, byPicture: agreementOf(values) }, { groups: [], style: STYLE, level }).find(
      (line) => line.includes('picture'),
    );

  test('the direction is that of the figures at every level, and none is told without pairs', () => {
    for (const level of READING_LEVELS) {
      expect(words([], level)).toBeUndefined();
      expect(words([[20, 23]], level)).toMatch(/^One pot was .*(3 mm|0\.3\d? cm) more than/);
      expect(
        words(
          [
            [20, 16],
            [30, 28],
          ],
          level,
        ),
      ).toMatch(/^2 pots were .*0\.30? cm less than/);
      expect(words([[20, 20]], level)).toMatch(/the same\.$/);
    }
  });
});

describe('figures in words', () => {
  test('a summary has its own unit', () => {
    expect(computedText(25.4, summaryStyle(STYLE, 'growth_per_day'))).toBe('2.54 cm a day');
    expect(computedText(0.1234, summaryStyle(STYLE, 'relative_growth'))).toBe('12.3% a day');
    expect(computedText(100, summaryStyle(STYLE, 'area'))).toBe('10.0 cm · days');
    expect(summaryStyle(STYLE, 'final')).toBe(STYLE);
    expect(computedText(3, summaryStyle({ kind: 'count' }, 'growth_per_day'))).toBe('3.00 a day');
  });

  test('a test says its name and figures, or why there is none', () => {
    const line = { method: 'welch_anova', statistic: 4.5, df: 2, df2: 7.25, p: 0.0004 } as const;
    expect(testText({ defined: true, value: line })).toBe(
      'Welch’s analysis of variance: F(2, 7.3) = 4.50, p < 0.001',
    );
    expect(testText({ defined: false, reason: 'one_team' })).toBe(
      'no test: no treatment was read by two teams',
    );
  });

  test('why a pot counts once, by the rule of the plan', () => {
    const { comparison } = speechOf(3);
    expect(countingWords(comparison, 'tallest')).toContain('tallest plant');
    expect(countingWords({ ...comparison, summary: 'area' }, null)).toContain('area under its curve');
  });
});

describe('claims', () => {
  test.each<[string, string[]]>([
    ['This proves that salt is bad', ['proof']],
    ['Tea has no effect', ['no_effect']],
    ["It doesn't matter", ['no_effect']],
    ['Plants always grow best in light', ['always']],
    ['It grew more because of the lamp', ['cause']],
    ['Lamp light is the best and it is definitely so', ['proof', 'best']],
    ['Our pots under the lamp were 2 cm taller on average', []],
    ['We could not see a difference with these pots', []],
    ['Waterproof pots are improved', []],
  ])('%s', (claim, doubts) => {
    expect(claimDoubts(claim)).toEqual(doubts);
    for (const doubt of claimDoubts(claim)) expect(claimDoubtWords(doubt).length).toBeGreaterThan(20);
  });
});
