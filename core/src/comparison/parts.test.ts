import { describe, expect, test } from '@jest/globals';
import { type ReadingFact, type UnitDay, unitDays } from '../growth/index.ts';
import { addDays, calendarDay, type Outcome, PICTURE_OBSERVER, type ReadingState } from '../shared/index.ts';
import {
  cellMeans,
  compareTreatments,
  type Design,
  emergencePart,
  type GroupBy,
  grouped,
  growthPart,
  isGroupBy,
  type ObservedFact,
  studyPart,
  type StudyRun,
  type Summary,
  teamsPart,
  treatmentsPart,
} from './index.ts';

const SOWN = calendarDay('2026-04-06');
const LIGHTS = ['window', 'lamp'] as const;
const FEEDS = ['none', '2 mL', '4 mL'] as const;

/** 2 × 3 combinations, 3 pots each, in 3 blocks and 3 teams. */
const DESIGN: Design = {
  factors: [
    { name: 'Feed', levels: FEEDS.map((name, at) => ({ name, isControl: at === 0, amount: 2 * at })) },
    { name: 'Light', levels: LIGHTS.map((name, at) => ({ name, isControl: at === 0, amount: null })) },
  ],
  treatments: FEEDS.flatMap((feed, a) =>
    LIGHTS.map((light, b) => ({
      id: `t${a}${b}`,
      name: `${feed} · ${light}`,
      isControl: a === 0 && b === 0,
      levels: [a, b],
      crop: b === 0 ? 'Oat' : 'Wheat',
      plants: 1,
    })),
  ),
  units: FEEDS.flatMap((_, a) =>
    LIGHTS.flatMap((__, b) =>
      [0, 1, 2].map((pot) => ({
        id: `u${a}${b}${pot}`,
        number: a * 6 + b * 3 + pot + 1,
        treatmentId: `t${a}${b}`,
        sownOn: SOWN,
        block: `row ${pot + 1}`,
        team: ['Newt', 'Heron', 'Otter'][pot]!,
        seedsSown: 1,
      })),
    ),
  ),
};

/** Height in mm: feed helps under the lamp only; rows differ a little. */
function heightOf(unit: string, age: number): number {
  const [a, b, pot] = [1, 2, 3].map((at) => Number(unit[at])) as [number, number, number];
  const end = 60 + (b === 1 ? 10 * a : 0) + 3 * pot + ((a * 7 + b * 5 + pot * 3) % 4);
  return end / (1 + Math.exp(-0.35 * (age - 12)));
}

const AGES = [4, 6, 8, 10, 12, 14, 16, 18, 20, 22];

function fact(unitId: string, age: number, state: ReadingState = 'emerged', value?: number): ReadingFact {
  const known = state === 'emerged' ? (value ?? heightOf(unitId, age)) : null;
  return { unitId, day: addDays(SOWN, age), state, value: known };
}

const READINGS = DESIGN.units.flatMap(({ id }) =>
  AGES.map((age) => (age < 6 ? fact(id, age, 'not_emerged') : fact(id, age))),
);

function compare(by: GroupBy = 'treatment', summary: Summary = 'day', readings = READINGS, age = 22) {
  const { groups, units } = grouped(DESIGN, by);
  return compareTreatments({
    treatments: groups,
    units,
    readings,
    day: addDays(SOWN, age),
    rule: 'only_up',
    summary,
  });
}

function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.defined) throw new Error(`undefined: ${outcome.reason}`);
  return outcome.value;
}

describe('sorting', () => {
  test.each<[GroupBy, string[]]>([
    ['treatment', DESIGN.treatments.map(({ name }) => name)],
    ['factor-0', ['none', '2 mL', '4 mL']],
    ['factor-1', ['window', 'lamp']],
    ['team', ['Heron', 'Newt', 'Otter']],
    ['block', ['row 1', 'row 2', 'row 3']],
    ['crop', ['Oat', 'Wheat']],
    ['factor-7', []],
  ])('by %s', (by, names) => {
    const found = grouped(DESIGN, by);
    expect(found.groups.map((group) => group.name)).toEqual(names);
    expect(found.units).toHaveLength(names.length === 0 ? 0 : 18);
  });

  test('only ways that there are', () => {
    expect(['treatment', 'factor-2', 'crop'].every(isGroupBy)).toBe(true);
    expect(['', 'factor-12', 'moon', 'factor-x'].some(isGroupBy)).toBe(false);
  });
});

describe('one value a pot', () => {
  test('final value, growth a day, relative growth and area of one pot by hand', () => {
    const ofFirst = (summary: Summary): number =>
      compare('treatment', summary).groups[0]!.points.find((point) => point.unitId === 'u000')!.value;
    const [first, last] = [heightOf('u000', 6), heightOf('u000', 22)];
    expect(ofFirst('final')).toBe(last);
    expect(ofFirst('growth_per_day')).toBeCloseTo((last - first) / 16, 12);
    const ages = AGES.slice(1);
    const area = ages
      .slice(1)
      .reduce((sum, age, at) => sum + heightOf('u000', ages[at]!) + heightOf('u000', age), 0);
    expect(ofFirst('area')).toBeCloseTo(area, 9);
    expect(ofFirst('relative_growth')).toBeGreaterThan(0.05);
  });

  test('a figure needs days: pots read once are left out and say so, the day before does not look ahead', () => {
    const early = compare('treatment', 'growth_per_day', READINGS, 6);
    expect(early.groups[0]!.counts.leftOut.map((unit) => unit.reason)).toEqual(
      Array(3).fill('too_few_values'),
    );
    expect(compare('treatment', 'final', READINGS, 10).groups[0]!.points[0]!.value).toBe(
      heightOf('u000', 10),
    );
  });

  test('a value of over three days ago does not stand for a pot, and areas end on one day', () => {
    const late = READINGS.filter(({ unitId, day }) => unitId !== 'u000' || day <= addDays(SOWN, 14));
    const reasonOf = (summary: Summary, age: number): string | undefined =>
      compare('treatment', summary, late, age).groups[0]!.counts.leftOut.find(
        ({ unitId }) => unitId === 'u000',
      )?.reason;
    expect(reasonOf('final', 18)).toBe('read_long_ago');
    expect(reasonOf('final', 14)).toBeUndefined();
    expect(reasonOf('growth_per_day', 18)).toBeUndefined();
    expect(reasonOf('area', 18)).toBe('read_long_ago');
  });

  test('a dead pot has no final value', () => {
    const readings = [...READINGS, fact('u000', 23, 'dead')];
    const found = compare('treatment', 'final', readings, 23);
    expect(found.groups[0]!.counts.leftOut).toEqual([{ unitId: 'u000', number: 1, reason: 'dead' }]);
  });
});

describe('treatments', () => {
  const up = new Map(DESIGN.units.map((unit) => [unit.id, true]));

  test('crossed factors in blocks: the interaction is found, the cells are its means', () => {
    const part = treatmentsPart(compare(), DESIGN, up, 'II');
    const { terms, errorDf } = valueOf(part.factorial);
    expect(terms.map((term) => term.factors.join('×'))).toEqual(['block', 'Feed', 'Light', 'Feed×Light']);
    expect([terms.map((term) => term.df), errorDf]).toEqual([[2, 2, 1, 2], 10]);
    expect(valueOf(terms[3]!.test).p).toBeLessThan(0.01);
    const cells = cellMeans(compare().groups, DESIGN);
    expect(cells).toHaveLength(6);
    expect(cells.every((cell) => cell.n === 3)).toBe(true);
    expect(cellMeans(compare().groups, { ...DESIGN, factors: DESIGN.factors.slice(0, 1) })).toEqual([]);
  });

  test('every pair has every test; against the control only those with it, corrected together', () => {
    const found = compare();
    const part = treatmentsPart(found, DESIGN, up, 'II');
    expect(part.pairs).toHaveLength(15);
    const own = part.pairs.filter((pair) => pair.againstControl !== null);
    expect(own).toHaveLength(5);
    for (const pair of own) {
      expect(valueOf(pair.againstControl!).p).toBeGreaterThanOrEqual(valueOf(pair.welch).p);
      expect(valueOf(pair.permutation).method).toBe('permutation_exact');
    }
    const letters = new Map(part.letters.map((one) => [one.groupId, one.letters]));
    for (const pair of found.pairs) {
      const share = [...letters.get(pair.firstId)!].some((letter) =>
        letters.get(pair.secondId)!.includes(letter),
      );
      expect(share).toBe(!(valueOf(pair.test).p < 0.05));
    }
  });

  test('the dose line is that of the pots, and needs amounts', () => {
    const part = treatmentsPart(compare('factor-0'), DESIGN, up, 'II');
    const slope = valueOf(part.dose).slope;
    const means = [0, 1, 2].map((a) => {
      const own = DESIGN.units.filter((unit) => unit.id[1] === String(a));
      return own.reduce((sum, unit) => sum + heightOf(unit.id, 22), 0) / own.length;
    });
    expect(slope).toBeCloseTo((means[2]! - means[0]!) / 4, 9);
    const named = { ...DESIGN, factors: [DESIGN.factors[1]!, DESIGN.factors[0]!] };
    expect(treatmentsPart(compare(), named, up, 'II').dose).toMatchObject({ defined: false });
  });

  test('up or not counts pots that were looked at', () => {
    const some = new Map(DESIGN.units.map((unit, at) => [unit.id, at >= 3]));
    some.delete('u010');
    const part = treatmentsPart(compare(), DESIGN, some, 'II');
    expect(part.up.groups.slice(0, 2).map(({ up: count, of }) => [count, of])).toEqual([
      [0, 3],
      [2, 2],
    ]);
    expect(part.up.isRough).toBe(true);
    expect(valueOf(part.up.fisher).p).toBeLessThan(0.05);
  });

  test('one factor without blocks is not crossed; nothing read gives reasons, no figures', () => {
    const plain = {
      ...DESIGN,
      factors: [DESIGN.factors[0]!],
      units: DESIGN.units.map((unit) => ({ ...unit, block: '' })),
    };
    expect(treatmentsPart(compare(), plain, up, 'II').factorial).toEqual({
      defined: false,
      reason: 'not_crossed',
    });
    const empty = treatmentsPart(compare('treatment', 'day', []), DESIGN, new Map(), 'III');
    expect(JSON.stringify(empty)).not.toMatch(/NaN|Infinity/);
    expect(empty.letters).toEqual([]);
    expect(empty.factorial).toEqual({ defined: false, reason: 'no_values' });
  });
});

describe('growth', () => {
  const sownOn = new Map(DESIGN.units.map((unit) => [unit.id, unit.sownOn]));

  test('logistic growth is found again, in the group and over its pots', () => {
    const noisy = READINGS.map((reading, at) =>
      reading.value === null ? reading : { ...reading, value: reading.value + ((at % 5) - 2) / 10 },
    );
    const part = growthPart(compare('treatment', 'day', noisy), sownOn, null);
    const [group] = part.groups;
    expect(valueOf(group!.fastestDay.mean)).toBeCloseTo(12, 0);
    expect(valueOf(group!.end.mean)).toBeCloseTo(64, -1);
    expect(group!.best).not.toBeNull();
    expect(part.units[0]!.steps).toHaveLength(8);
  });

  test('nothing after the day compared is used', () => {
    const part = growthPart(compare('treatment', 'day', READINGS, 8), sownOn, null);
    expect(part.units[0]!.steps).toHaveLength(1);
    expect(part.units[0]!.fit).toEqual({ defined: false, reason: 'too_few_points' });
  });

  test('stages: median day of those that reached one, the others as waiting', () => {
    const stages = unitDays(
      DESIGN.units.flatMap((unit, at) => [
        { unitId: unit.id, day: addDays(SOWN, 8), state: 'emerged' as const, value: 1 },
        { unitId: unit.id, day: addDays(SOWN, 12), state: 'emerged' as const, value: at % 3 === 2 ? 1 : 2 },
      ]),
    );
    const found = growthPart(compare(), sownOn, {
      scores: ['seed leaves', 'true leaf', 'bud'],
      histories: stages,
    });
    expect(found.milestones.map((milestone) => milestone.name)).toEqual(['seed leaves', 'true leaf']);
    expect(found.milestones[1]!.groups[0]).toMatchObject({ reached: 2, of: 3, median: { value: 12 } });
  });
});

describe('coming up', () => {
  const states = (changes: Record<string, UnitDay[]> = {}) => {
    const all = unitDays(READINGS);
    for (const [unit, history] of Object.entries(changes)) all.set(unit, history);
    return all;
  };
  const { units } = grouped(DESIGN, 'factor-1');

  test('pots by first sight, against the packet, speeds compared', () => {
    const found = emergencePart(compare('factor-1'), DESIGN, units, {
      histories: states({
        u000: unitDays([fact('u000', 4, 'not_emerged'), fact('u000', 20, 'not_emerged')]).get('u000')!,
      }),
      counts: null,
      packetRate: 0.9,
      isLength: true,
    });
    const [window, lamp] = found.groups;
    expect([window!.indices.up, window!.indices.sown, lamp!.indices.up]).toEqual([8, 9, 9]);
    expect(valueOf(lamp!.indices.meanTime)).toBe(6);
    expect(found.units.find((unit) => unit.unitId === 'u000')).toMatchObject({
      upAt: null,
      after: 20,
      isLost: false,
    });
    expect(valueOf(window!.againstPacket).method).toBe('binomial_exact');
    expect(found.logRank.defined).toBe(true);
  });

  test('seeds are counted where they were read; several seeds a pot are not single seeds', () => {
    const many = { ...DESIGN, units: DESIGN.units.map((unit) => ({ ...unit, seedsSown: 5 })) };
    const counts = unitDays(
      many.units.map((unit) => ({
        unitId: unit.id,
        day: addDays(SOWN, 8),
        state: 'emerged' as const,
        value: 3,
      })),
    );
    const part = emergencePart(compare('factor-1'), many, units, {
      histories: states(),
      counts,
      packetRate: 0.5,
      isLength: true,
    });
    expect(part.groups[0]).toMatchObject({ counted: 'seeds', indices: { up: 27, sown: 45 } });
    expect(part.seedsSharePots).toBe(true);
    const pots = emergencePart(compare('factor-1'), many, units, {
      histories: states(),
      counts: null,
      packetRate: 0.5,
      isLength: true,
    });
    expect(pots.groups[0]!.againstPacket).toEqual({ defined: false, reason: 'seeds_share_pots' });
  });

  test('vigour is reckoned from lengths of plants that are up, and from counted seeds, alone', () => {
    const vigourOf = (changes: object, seedsSown = 1) => {
      const design = { ...DESIGN, units: DESIGN.units.map((unit) => ({ ...unit, seedsSown })) };
      const readings = { histories: states(), counts: null, packetRate: null, isLength: true, ...changes };
      return emergencePart(compare('factor-1'), design, units, readings).groups[0]!.indices.vigour;
    };
    expect(vigourOf({}).defined).toBe(true);
    expect(vigourOf({ isLength: false })).toEqual({ defined: false, reason: 'needs_lengths' });
    expect(vigourOf({}, 5)).toEqual({ defined: false, reason: 'needs_lengths' });
  });

  test('none up and no packet: reasons', () => {
    const none = unitDays(DESIGN.units.map((unit) => fact(unit.id, 4, 'not_emerged')));
    const part = emergencePart(compare('factor-1', 'day', []), DESIGN, units, {
      histories: none,
      counts: null,
      packetRate: null,
      isLength: true,
    });
    expect(part.groups[0]!.againstPacket).toEqual({ defined: false, reason: 'no_packet_rate' });
    expect(part.logRank).toEqual({ defined: false, reason: 'no_spread' });
    expect(JSON.stringify(part)).not.toMatch(/NaN|Infinity/);
  });
});

describe('teams', () => {
  const observed = READINGS.map((reading): ObservedFact => ({ ...reading, observer: 'own' }));

  test('second readers give the error; its share of the spread is that of the variances', () => {
    const again = DESIGN.units.slice(0, 6).map((unit, at): ObservedFact => {
      const first = fact(unit.id, 22);
      return { ...first, value: first.value! + (at % 2 === 0 ? 2 : -2), observer: 'other' };
    });
    const part = teamsPart(compare(), DESIGN, [...observed, ...again]);
    expect(part.agreement.n).toBe(6);
    const error = valueOf(part.agreement.technicalError);
    expect(error).toBeCloseTo(Math.sqrt(2), 12);
    expect(valueOf(part.readingShare)).toBeCloseTo(Math.min(1, 2 / valueOf(part.plantSd) ** 2), 12);
    expect(part.teams.map((team) => team.agreement.n)).toEqual([2, 2, 2]);
  });

  test('each team has the spread that pots have in all teams: two of its own say next to nothing of it', () => {
    const part = teamsPart(compare(), DESIGN, observed);
    for (const { offset } of part.teams) {
      const { low, high } = valueOf(offset.interval);
      // Student's t with 12 degrees of freedom, as 18 pots have 6 treatments.
      expect((high - low) / 2).toBeCloseTo((2.1788128297 * valueOf(part.plantSd)) / Math.sqrt(offset.n), 8);
    }
  });

  test('pictures are compared with people by themselves, picture less person, and are no second reader', () => {
    const pictured = DESIGN.units.slice(0, 4).map((unit, at): ObservedFact => {
      const first = fact(unit.id, 22);
      return { ...first, value: first.value! + [3, 5, 4, 4][at]!, observer: PICTURE_OBSERVER };
    });
    const alone = fact('u000', 21);
    const part = teamsPart(compare(), DESIGN, [
      ...observed,
      ...pictured,
      { ...alone, observer: PICTURE_OBSERVER },
    ]);
    expect(part.agreement.n).toBe(0);
    expect(part.byPicture.n).toBe(4);
    expect(valueOf(part.byPicture.bias)).toBeCloseTo(4, 12);
    // SD of 3, 5, 4, 4 is √(2/3).
    expect(valueOf(part.byPicture.limits).low).toBeCloseTo(4 - 1.96 * Math.sqrt(2 / 3), 3);
    expect(teamsPart(compare(), DESIGN, observed).byPicture.n).toBe(0);
  });

  test('teams that read the same row differ by that row; nobody read twice is said', () => {
    const part = teamsPart(compare(), DESIGN, observed);
    expect(valueOf(part.test).p).toBeLessThan(0.05);
    expect(part.readingShare).toEqual({ defined: false, reason: 'nobody_read_twice' });
    const alone = { ...DESIGN, units: DESIGN.units.map((unit) => ({ ...unit, team: 'Newt' })) };
    expect(teamsPart(compare(), alone, observed).test).toEqual({ defined: false, reason: 'one_team' });
  });
});

describe('a study', () => {
  const run = (id: string, lift: number, ages = AGES): StudyRun => {
    const { groups, units } = grouped(DESIGN, 'factor-0');
    const own = units.map((unit) => ({ ...unit, id: `${id} ${unit.id}` }));
    const readings = units.flatMap((unit) =>
      ages.map((age) => ({
        ...fact(unit.id, age),
        unitId: `${id} ${unit.id}`,
        value: heightOf(unit.id, age) + lift,
      })),
    );
    return { id, name: id, groups, units: own, histories: unitDays(readings) };
  };

  test('each class within itself: a class that is taller altogether changes no difference', () => {
    const flat = studyPart([run('a', 0), run('b', 0)], 22, 'only_up');
    const lifted = studyPart([run('a', 0), run('b', 50)], 22, 'only_up');
    const [one, other] = [flat, lifted].map((study) => valueOf(study.differences[0]!.result));
    expect(other!.difference).toBeCloseTo(one!.difference, 9);
    // Spread may be taken to go with the mean, which the lift changes; what it says stays.
    expect(other!.p).toBeCloseTo(one!.p, 1);
    expect(valueOf(lifted.run).p).toBeLessThan(1e-6);
    expect(valueOf(lifted.interaction).p).toBeCloseTo(1, 6);
  });

  test('the reading nearest to the day counts, a day away at most', () => {
    const study = studyPart([run('a', 0), run('b', 0, [21]), run('c', 0, [19])], 22, 'only_up');
    expect(study.runs.map(({ measured }) => measured)).toEqual([18, 18, 0]);
  });

  test('one class pools nothing; treatments of one class only stay out', () => {
    expect(studyPart([run('a', 0)], 22, 'only_up').treatment).toEqual({
      defined: false,
      reason: 'one_class',
    });
    const other = run('b', 0);
    const renamed = {
      ...other,
      groups: other.groups.map((group) => ({ ...group, name: group.id === '4 mL' ? '5 mL' : group.name })),
    };
    expect(studyPart([run('a', 0), renamed], 22, 'only_up').groups).toEqual(['none', '2 mL']);
    expect(studyPart([], 5, 'only_up').groups).toEqual([]);
  });
});
