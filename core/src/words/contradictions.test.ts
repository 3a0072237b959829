import { describe, expect, test } from '@jest/globals';
import {
  compareTreatments,
  type Design,
  type EmergencePart,
  emergencePart,
  grouped,
  seedsAnswer,
  verdictBeside,
} from '../comparison/index.ts';
import { type ReadingFact, unitDays } from '../growth/index.ts';
import { addDays, calendarDay, type RandomGenerator, randomGenerator } from '../shared/index.ts';
import { comparisonWords, emergenceWords, READING_LEVELS } from './index.ts';

const SOWN = calendarDay('2026-04-06');
const DAY = addDays(SOWN, 14);
const STYLE = { kind: 'length', scale: { unit: 'mm', step: 1 }, isHeight: true } as const;

interface OddClass {
  readonly design: Design;
  readonly readings: readonly ReadingFact[];
  /** Seeds up of each unit; `null` where nobody counts. */
  readonly counts: readonly ReadingFact[] | null;
}

/** What differs between treatments: kinds, amounts of one thing, or two things crossed. */
type Shape = 'kinds' | 'amounts' | 'crossed';

function designOf(
  pots: readonly number[],
  seedsSown: (unit: number) => number,
  shape: Shape = 'kinds',
): Design {
  const isCrossed = shape === 'crossed';
  const second = pots.length / 2;
  const treatments = pots.map((_, at) => ({
    ...{ id: `t${at}`, name: `Kind ${at + 1}`, isControl: at === 0, crop: 'Oat', plants: 1 },
    levels: isCrossed ? [Math.floor(at / second), at % second] : [at],
  }));
  const levelsOf = (name: string, count: number) => ({
    name,
    levels: Array.from({ length: count }, (_, at) => ({
      ...{ name: `${name} ${at + 1}`, isControl: at === 0, amount: null },
    })),
  });
  const owners = pots.flatMap((count, at) => Array<string>(count).fill(`t${at}`));
  return {
    factors: isCrossed
      ? [levelsOf('Feed', 2), levelsOf('Light', second)]
      : [
          {
            name: 'Kind',
            levels: treatments.map(({ name, isControl }, at) => ({
              ...{ name, isControl, amount: shape === 'amounts' ? at : null },
            })),
          },
        ],
    treatments,
    units: owners.map((treatmentId, at) => ({
      ...{ id: `u${at}`, number: at + 1, treatmentId, sownOn: SOWN },
      ...{ block: '', team: '', seedsSown: seedsSown(at) },
    })),
  };
}

/** Classes as odd as they come: single pots, none up, all dead, all alike, seeds counted or not. */
function oddClass(chance: RandomGenerator, shape: Shape): OddClass {
  const groups = { kinds: [1, 4], amounts: [3, 5], crossed: [2, 3] }[shape] as [number, number];
  const count = chance.integer(...groups) * (shape === 'crossed' ? 2 : 1);
  const pots = Array.from({ length: count }, () => chance.integer(1, 8));
  const isCounted = chance.happens(0.4);
  const seeds = isCounted ? chance.integer(2, 25) : 1;
  const design = designOf(pots, () => seeds, shape);
  const rates = new Map(
    design.treatments.map(({ id }) => [id, [0, 1, chance.integer(0, 100) / 100][chance.integer(0, 2)]!]),
  );
  const dying = new Map(design.treatments.map(({ id }) => [id, [0, 0, 1, 0.3][chance.integer(0, 3)]!]));
  const isAlike = chance.happens(0.2);
  const rising = [0, 0, 15, -4][chance.integer(0, 3)]!;
  const bestId = chance.happens(0.5) ? design.treatments[chance.integer(0, count - 1)]!.id : '';
  const counts: ReadingFact[] = [];
  const readings = design.units.flatMap(({ id, treatmentId }): ReadingFact[] => {
    const upAt = chance.happens(rates.get(treatmentId)!) ? chance.integer(3, 13) : Infinity;
    const diesAt = chance.happens(dying.get(treatmentId)!) ? chance.integer(4, 14) : Infinity;
    return [4, 7, 10, 14].flatMap((age): ReadingFact[] => {
      const day = addDays(SOWN, age);
      if (age >= diesAt) return [{ unitId: id, day, state: 'dead', value: null }];
      if (age < upAt) {
        counts.push({ unitId: id, day, state: 'not_emerged', value: null });
        return [{ unitId: id, day, state: 'not_emerged', value: null }];
      }
      counts.push({ unitId: id, day, state: 'emerged', value: chance.integer(1, seeds) });
      const grown = rising * Number(treatmentId.slice(1)) + 40 * Number(bestId === treatmentId);
      const value = isAlike ? 50 + 10 * Number(treatmentId.slice(1)) : chance.integer(5, 30) + grown;
      return [{ unitId: id, day, state: 'emerged', value }];
    });
  });
  return { design, readings, counts: isCounted ? counts : null };
}

function pageOf({ design, readings, counts }: OddClass) {
  const { groups, units } = grouped(design, 'treatment');
  const comparison = compareTreatments({
    ...{ treatments: groups, units, readings, day: DAY, rule: 'only_up', design },
  });
  const emergence = emergencePart(comparison, design, units, {
    ...{
      histories: unitDays(readings),
      counts: counts && unitDays(counts),
      packetRate: null,
      isLength: true,
    },
  });
  const lines = READING_LEVELS.map((level) => {
    const words = comparisonWords({ comparison, treatments: groups, style: STYLE, level });
    return {
      level,
      answer: [words.headline, ...words.others],
      sure: words.howSure,
      emergence: emergenceWords(emergence, { groups, style: STYLE, level }),
    };
  });
  return { comparison, emergence, lines };
}

function lineOf(lines: readonly string[], name: string): string {
  return lines.find((line) => line.startsWith(`${name}:`)) ?? '';
}

describe('no two sentences of a page contradict each other', () => {
  test.each(['kinds', 'amounts', 'crossed'] as const)('over 60 odd classes of %s, at every age', (shape) => {
    const chance = randomGenerator(4021);
    for (let time = 0; time < 60; time += 1) {
      const { comparison, emergence, lines } = pageOf(oddClass(chance, shape));
      for (const { level, answer, sure, emergence: said } of lines) {
        const where = `class ${time}, ages ${level}`;
        expect([where, [...answer, sure, ...said].join(' ')]).not.toEqual([
          where,
          expect.stringMatching(/NaN|Infinity|undefined|one place|line up with/),
        ]);
        for (const [at, fate] of comparison.fates.groups.entries()) {
          const line = lineOf(said, `Kind ${at + 1}`);
          const isAllDead = fate.looked > 0 && fate.dead.length === fate.looked;
          if (isAllDead)
            expect([where, line]).not.toEqual([where, expect.stringContaining('nothing up yet')]);
          if (line.includes('half of the pots by day'))
            expect(2 * upOf(emergence, fate.groupId)).toBeGreaterThanOrEqual(fate.looked);
        }
        expectOneBar(emergence, comparison.fates.up, said.join(' '), where);
        expect([where, bothWays(answer)]).toEqual([where, []]);
      }
    }
  });

  test('five pots alike against five others alike: as rare as two of 252 arrangements', () => {
    const design = designOf([5, 5], () => 1);
    const readings = design.units.map(({ id, treatmentId }): ReadingFact => ({
      ...{ unitId: id, day: DAY, state: 'emerged', value: treatmentId === 't0' ? 50 : 60 },
    }));
    const { comparison, lines } = pageOf({ design, readings, counts: null });
    expect(comparison.pairs[0]!.test).toMatchObject({
      defined: true,
      value: { p: expect.closeTo(2 / 252, 10), method: 'permutation_exact' },
    });
    for (const { sure } of lines) expect(sure).not.toMatch(/cannot be judged/);
  });

  test.each([
    [52, 0.9, /^52 of 60 seeds had come up by day 14(: 87 of 100)?\. The packet says 90 of 100\. Luck alone/],
    [30, 0.9, /That is fewer than the 90 of 100 that the packet says\.$/],
    [54, 0.9, /That is what the packet says\.$/],
    [52, null, /^52 of 60 seeds had come up by day 14(: 87 of 100)?\.$/],
  ] as const)(
    '%d of 60 seeds of one kind beside a packet of %p are answered as a share',
    (up, rate, headline) => {
      const design = designOf([60], () => 1);
      const counts = design.units.map(({ id }, at): ReadingFact => ({
        ...{ unitId: id, day: DAY, state: 'emerged', value: at < up ? 1 : 0 },
      }));
      const { groups, units } = grouped(design, 'treatment');
      const plain = compareTreatments({
        ...{ treatments: groups, units, readings: counts, day: DAY, rule: 'only_up', design },
        countsSeeds: true,
      });
      const histories = unitDays(counts);
      const part = emergencePart(plain, design, units, {
        ...{ histories, counts: histories, packetRate: rate, isLength: false },
      });
      const comparison = { ...plain, seeds: seedsAnswer(part) };
      for (const level of READING_LEVELS) {
        const style = { kind: 'count', name: 'seeds up' } as const;
        const words = comparisonWords({ comparison, treatments: groups, style, level });
        expect(words.headline).toMatch(headline);
        expect(words.howSure).toMatch(
          rate === null ? /no difference to be sure about/ : /if the packet is right/i,
        );
      }
    },
  );

  test('88 of 100 seeds against 39 of 100 in the same number of pots is something to look into', () => {
    const design = designOf([4, 4], () => 25);
    const up = [22, 23, 21, 22, 9, 11, 10, 9];
    const counts = design.units.map(({ id }, at): ReadingFact => ({
      ...{ unitId: id, day: DAY, state: 'emerged', value: up[at]! },
    }));
    const { emergence, lines } = pageOf({ design, readings: counts, counts });
    expect(emergence.share).toMatchObject({ defined: true, value: { p: expect.closeTo(2 / 70, 6) } });
    for (const { emergence: said } of lines.slice(1)) {
      expect(said[0]).toMatch(/88 of 100 seeds up/);
      expect(said[0]).not.toMatch(/half of the pots/);
      expect(said.join(' ')).toMatch(/something to look into/);
    }
  });
});

const DOUBT = /luck|cannot be sure|do not tell|no clear difference/;
/** Sentences that tell of all amounts at once, and not of two of them. */
const OF_ALL = /tended|mostly|not see that .* matters|not see that it matters|do not show that .* matters/;

/** Pairs that are told in more than one way: surely and in doubt, or as more and as less. */
function bothWays(answer: readonly string[]): string[] {
  const told = new Map<string, Set<string>>();
  for (const line of answer.filter((one) => !OF_ALL.test(one) && one.includes(' than '))) {
    const parts = line.split(/; |, and (?=.* than )/);
    const [first] = parts[0]?.match(NAME) ?? [];
    for (const part of parts) {
      const names: string[] = part.match(NAME) ?? [];
      const [a, b] = names.length === 1 && first ? [first, names[0]] : names.slice(-2);
      if (!a || !b || a === b) continue;
      const isMore = /taller|more|higher|longer/.test(part) === a < b;
      const key = [a, b].sort().join(' and ');
      const ways = told.get(key) ?? new Set();
      told.set(key, ways.add(`${DOUBT.test(line) ? 'perhaps' : 'surely'} ${isMore ? 'more' : 'less'}`));
    }
  }
  return [...told].flatMap(([pair, ways]) => (ways.size > 1 ? [`${pair}: ${[...ways].join(', ')}`] : []));
}

const NAME = /(?:Kind|Feed|Light) \d/g;

function upOf(part: EmergencePart, groupId: string): number {
  return part.units.filter((unit) => unit.groupId === groupId && unit.upAt !== null).length;
}

/** How many pots came up is told by one bar, whether it stands in the answer or beside it. */
function expectOneBar(
  part: EmergencePart,
  up: { defined: boolean; value?: { p: number } },
  said: string,
  where: string,
): void {
  const isPots = part.groups.every(({ counted }) => counted === 'pots');
  if (!isPots || !part.share.defined || !up.defined) return;
  const verdict = verdictBeside(part.share.value, true);
  if (said.includes('How many came up differs')) expect([where, verdict]).toEqual([where, 'found']);
}
