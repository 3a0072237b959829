import { describe, expect, test } from '@jest/globals';
import { compareTreatments, grouped } from '../comparison/index.ts';
import { calendarDay, valueOr } from '../shared/index.ts';
import {
  coursesOf,
  doubledOf,
  gapOf,
  guessMapping,
  type MappedResult,
  readMapped,
  type TableMapping,
  tellingApart,
  wordsIn,
} from './index.ts';

const TODAY = calendarDay('2026-05-29');

function table(text: string): string[][] {
  return text.split('\n').map((line) => line.split(','));
}

function opened(text: string, changes: Partial<TableMapping> = {}) {
  const rows = table(text);
  const mapping = { ...guessMapping(rows, TODAY), ...changes };
  return { mapping, result: readMapped(rows, mapping, 'Foreign') };
}

function experimentOf(result: MappedResult) {
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.experiment;
}

describe('a foreign table by its own columns', () => {
  test('final weights by group, without days and pots: a pot a row', () => {
    const { mapping, result } = opened(
      'weight,group\n4.17,ctrl\n5.58,ctrl\n4.81,trt1\n4.17,trt1\n6.31,trt2\n5.12,trt2',
    );
    expect(mapping).toMatchObject({ shape: 'long', roles: ['value', 'treatment'], control: 'ctrl' });
    const experiment = experimentOf(result);
    expect(experiment.variables).toEqual([{ name: 'weight', kind: 'number', unit: '', step: 0.01 }]);
    expect(experiment.units).toHaveLength(6);
    expect(experiment.treatments.map(({ name, isControl }) => [name, isControl])).toEqual([
      ['ctrl', true],
      ['trt1', false],
      ['trt2', false],
    ]);
    expect(experiment.readings.map((reading) => reading.value)).toEqual([4.17, 5.58, 4.81, 4.17, 6.31, 5.12]);
    expect(new Set(experiment.readings.map((reading) => reading.observedOn))).toEqual(new Set([TODAY]));
  });

  test('two factors and a block become factors and a block', () => {
    const { mapping, result } = opened(
      'block,mix,lime,height (mm)\n1,peat,no,31\n1,peat,yes,44\n1,bark,no,28\n1,bark,yes,39\n2,peat,no,30\n2,peat,yes,47\n2,bark,no,22\n2,bark,yes,35',
    );
    expect(mapping.roles).toEqual(['block', 'factor', 'factor', 'value']);
    const experiment = experimentOf(result);
    expect(experiment.factors).toEqual(['mix', 'lime']);
    expect(experiment.treatments.map((treatment) => treatment.levels)).toContainEqual(['bark', 'yes']);
    expect(experiment.units.map((unit) => unit.block)).toEqual(['1', '1', '1', '1', '2', '2', '2', '2']);
  });

  test('a pot a column, a date a row, with states and gaps', () => {
    const { mapping, result } = opened(
      'date,Shade 1,Shade 2,Sun 1,Sun 2\n4/5/2026,not up,,0,1.5\n8/5/2026,2.0,2.2 cm,1,dead',
    );
    expect(mapping).toMatchObject({ shape: 'pots_in_columns', dateOrder: 'dmy', hasTreatmentRow: false });
    const experiment = experimentOf(result);
    expect(experiment.treatments.map((treatment) => treatment.name)).toEqual(['Shade', 'Sun']);
    expect(experiment.readings.map(({ state, value }) => [state, value])).toEqual([
      ['not_emerged', null],
      ['not_emerged', null],
      ['emerged', 15],
      ['emerged', 20],
      ['emerged', 22],
      ['emerged', 10],
      ['dead', null],
    ]);
  });

  test('a pot a column with its treatment in the row below, and days since sowing', () => {
    const { mapping, result } = opened('day,1,2,3,4\n,dry,dry,wet,wet\n5,1,2,3,4\n9,2,3,4,5', {
      sownOn: calendarDay('2026-05-01'),
    });
    expect(mapping).toMatchObject({
      shape: 'pots_in_columns',
      hasTreatmentRow: true,
      roles: ['day', 'value', 'value', 'value', 'value'],
    });
    const experiment = experimentOf(result);
    expect(experiment.units.map((unit) => [unit.number, unit.treatment])).toEqual([
      [1, 0],
      [2, 0],
      [3, 1],
      [4, 1],
    ]);
    expect(experiment.readings[0]).toMatchObject({ observedOn: '2026-05-06', value: 10 });
  });

  test('a pot a row, a date a column', () => {
    const { mapping, result } = opened('pot,treatment,2026-05-08,2026-05-12\nA,salt,1.5,2\nB,plain,2,3.5');
    expect(mapping).toMatchObject({ shape: 'pots_in_rows', roles: ['unit', 'treatment', 'value', 'value'] });
    const experiment = experimentOf(result);
    expect(experiment.readings).toHaveLength(4);
    expect(experiment.units.map((unit) => unit.number)).toEqual([1, 2]);
  });

  test('germination counts by day', () => {
    const { mapping, result } = opened(
      'dish,treatment,seeds,day,germinated\n1,warm,20,3,4\n1,warm,20,5,11\n2,cool,20,3,0\n2,cool,20,5,6',
      { sownOn: calendarDay('2026-05-01') },
    );
    expect(mapping.variables).toMatchObject([{ name: 'seeds up', kind: 'count', unit: 'seeds' }]);
    const fixed = opened('pot,treatment,seeds,day,germinated\n1,warm,20,3,4\n2,cool,20,3,0', {
      sownOn: calendarDay('2026-05-01'),
    });
    expect(experimentOf(fixed.result).units.map((unit) => unit.seedsSown)).toEqual([20, 20]);
    expect(experimentOf(result).readings).toHaveLength(4);
  });

  test('what is opened can be compared at once', () => {
    const experiment = experimentOf(opened('weight,group\n4,a\n5,a\n4.5,a\n7,b\n8,b\n7.5,b').result);
    const design = {
      factors: [],
      treatments: experiment.treatments.map((treatment, at) => ({
        id: String(at),
        name: treatment.name,
        isControl: treatment.isControl,
        levels: [],
        crop: '',
        plants: 1,
      })),
      units: experiment.units.map((unit, at) => ({
        id: String(at),
        number: unit.number,
        treatmentId: String(unit.treatment),
        sownOn: unit.sownOn,
        block: '',
        team: '',
        seedsSown: null,
      })),
    };
    const { groups, units } = grouped(design, 'treatment');
    const found = compareTreatments({
      treatments: groups,
      units,
      readings: experiment.readings.map((reading) => ({
        unitId: String(reading.unit),
        day: reading.observedOn,
        state: reading.state,
        value: reading.value,
      })),
      day: TODAY,
      rule: 'only_up',
    });
    expect(valueOr(found.pairs[0]!.difference, 0)).toBeCloseTo(3, 9);
  });
});

describe('a column called "sown"', () => {
  const GERMINATION =
    'day,dish,treatment,sown,up\n1,1,dark,20,0\n3,1,dark,20,11\n1,2,light,20,1\n3,2,light,20,17';

  test('holds seeds where there are numbers below it, and the day where there are dates', () => {
    const { mapping } = opened(GERMINATION);
    expect(mapping.roles).toEqual(['day', 'unit', 'treatment', 'seeds_sown', 'value']);
    expect(mapping.variables).toMatchObject([{ name: 'seeds up', kind: 'count', unit: 'seeds' }]);
    expect(opened('pot,group,sown,height\n1,a,2026-05-01,3').mapping.roles[2]).toBe('sown');
  });

  test('with a sowing day, counts by day become an experiment', () => {
    const { result } = opened(GERMINATION, { sownOn: calendarDay('2026-05-01') });
    const experiment = experimentOf(result);
    expect(experiment.units.map(({ seedsSown }) => seedsSown)).toEqual([20, 20]);
    expect(experiment.readings.map(({ value, observedOn }) => [value, observedOn])).toContainEqual([
      17,
      '2026-05-04',
    ]);
  });
});

describe('refused by row and column of the foreign table', () => {
  test.each<[string, string, Partial<TableMapping>, object]>([
    [
      'a word among numbers',
      'pot,group,height\n1,a,3\n2,b,tall',
      {},
      { row: 3, column: 'height', found: 'tall' },
    ],
    ['a date that is none', 'pot,group,date,height\n1,a,31/2/2026,3', {}, { row: 2, column: 'date' }],
    ['days without a sowing', 'pot,group,day,height\n1,a,5,3', {}, { row: 2, column: 'day' }],
    ['no column with values', 'pot,group\n1,a', {}, { row: 1, column: 'value' }],
    ['nothing but gaps', 'pot,group,height\n1,a,\n2,b,-', {}, { row: 0, found: 'no values' }],
    [
      'two treatments in one pot',
      'pot,group,height\n1,a,2\n2,b,2\n1,b,3\n3,a,2',
      {},
      { row: 4, column: 'treatment' },
    ],
    [
      'one bad date of a row of pots, said once',
      'date,A1,A2,B1\n2026-05-04,1,2,3\n2026-02-31,2,3,4',
      {},
      { row: 3, column: 'date', found: '2026-02-31' },
    ],
    ['half a seed', 'pot,group,germinated\n1,a,2.5', {}, { row: 2, column: 'germinated' }],
  ])('%s', (_, text, changes, problem) => {
    const { result } = opened(text, changes);
    expect(result).toMatchObject({ ok: false, problems: [problem] });
  });

  test('months before days are noticed, and can be chosen', () => {
    expect(opened('pot,group,date,height\n1,a,5/14/2026,3').mapping.dateOrder).toBe('mdy');
    const { result } = opened('pot,group,date,height\n1,a,5/4/2026,3', { dateOrder: 'mdy' });
    expect(experimentOf(result).readings[0]?.observedOn).toBe('2026-05-04');
  });
});

describe('counts of what is new at each check', () => {
  const NEW =
    'dish,treatment,day,germinated\n1,wet,2,3\n1,wet,3,9\n1,wet,4,5\n2,dry,2,1\n2,dry,3,2\n2,dry,4,0';

  test('are told by their falling, and added up to what there is by then', () => {
    const sownOn = calendarDay('2026-05-04');
    const { mapping, result } = opened(NEW, { sownOn });
    expect(mapping.variables[0]?.counting).toBe('new');
    const { readings } = experimentOf(result);
    expect(readings.map(({ unit, value }) => [unit, value])).toEqual([
      [0, 3],
      [0, 12],
      [0, 17],
      [1, 1],
      [1, 3],
      [1, 3],
    ]);
    expect(coursesOf(experimentOf(result))[0]?.rows).toEqual([
      { treatment: 'wet', values: [3, 12, 17] },
      { treatment: 'dry', values: [1, 3, 3] },
    ]);
  });

  test('counts that only rise are what there is, unless somebody says otherwise', () => {
    const rising = NEW.replace('4,5', '4,12').replace('4,0', '4,2');
    const sownOn = calendarDay('2026-05-04');
    const { mapping } = opened(rising, { sownOn });
    expect(mapping.variables[0]?.counting).toBe('so_far');
    const variables = mapping.variables.map((variable) => ({ ...variable, counting: 'new' as const }));
    const last = experimentOf(opened(rising, { sownOn, variables }).result).readings.at(-1);
    expect(last?.value).toBe(5);
  });
});

test('what would be averaged in silence is shown, with an example and the column that tells values apart', () => {
  const text = 'pot,group,date,spot,height\n1,a,2026-05-04,1,3\n1,a,2026-05-04,2,5\n2,b,2026-05-04,1,4';
  const { mapping, result } = opened(text);
  expect(doubledOf(experimentOf(result))).toMatchObject({
    pots: 1,
    unit: '1',
    day: '2026-05-04',
    values: [30, 50],
  });
  expect(tellingApart(table(text), mapping)).toEqual([3]);
  expect(doubledOf(experimentOf(opened('pot,group,date,height\n1,a,2026-05-04,3').result))).toBeUndefined();
});

test('a word for a state that nobody knows is a problem, never a pot that is up', () => {
  const { result } = opened('pot,group,date,height,state\n1,a,2026-05-04,3,eaten\n2,b,2026-05-04,,eaten');
  expect(result.ok ? [] : result.problems.map(({ row, column, found }) => [row, column, found])).toEqual([
    [2, 'state', 'eaten'],
    [3, 'state', 'eaten'],
  ]);
});

describe('words in place of values', () => {
  const TABLE =
    'pot,group,date,height\n1,a,2026-05-04,nicht gekeimt\n1,a,2026-05-08,3\n2,b,2026-05-04,Zilch\n2,b,2026-05-08,Mort\n3,b,2026-05-04,\n3,b,2026-05-08,2';

  test('are found with what they usually mean, in several languages, and unknown ones must be told', () => {
    const { mapping, result } = opened(TABLE);
    expect(wordsIn(table(TABLE), mapping)).toEqual([
      { word: 'nicht gekeimt', count: 1, usual: 'not_emerged' },
      { word: 'Zilch', count: 1, usual: undefined },
      { word: 'Mort', count: 1, usual: 'dead' },
      { word: '', count: 1, usual: 'nothing' },
    ]);
    expect(result).toMatchObject({ ok: false, problems: [{ row: 4, column: 'height', found: 'Zilch' }] });
  });

  test('the class’s own words and empty cells get the meaning that is given', () => {
    const words = [
      { word: 'Zilch', meaning: 'not_emerged' as const },
      { word: '', meaning: 'removed' as const },
    ];
    const { readings } = experimentOf(opened(TABLE, { words }).result);
    expect(readings.map(({ unit, state }) => [unit, state])).toEqual([
      [0, 'not_emerged'],
      [0, 'emerged'],
      [1, 'not_emerged'],
      [1, 'dead'],
      [2, 'removed'],
      [2, 'emerged'],
    ]);
  });
});

describe('a height of 0', () => {
  const TABLE =
    'pot,group,date,height\n1,a,2026-05-04,0\n1,a,2026-05-08,3\n1,a,2026-05-11,0\n2,b,2026-05-04,2';

  test('before a pot was up is not up yet, after it is kept; both are counted with an example', () => {
    const { result } = opened(TABLE);
    expect(experimentOf(result).readings.map(({ state, value }) => [state, value])).toEqual([
      ['not_emerged', null],
      ['emerged', 30],
      ['emerged', 0],
      ['emerged', 20],
    ]);
    expect(result.ok && result.taken.zeros).toEqual({
      before: { count: 1, example: { unit: '1', day: '2026-05-04' } },
      after: { count: 1, example: { unit: '1', day: '2026-05-11' } },
    });
  });

  test('means what is said of it', () => {
    const { result } = opened(TABLE, { zeros: { before: 'value', after: 'dead' } });
    expect(experimentOf(result).readings.map(({ state, value }) => [state, value])).toEqual([
      ['emerged', 0],
      ['emerged', 30],
      ['dead', null],
      ['emerged', 20],
    ]);
  });
});

describe('columns of other people’s tables', () => {
  test('replicates that are numbered within their treatment are pots of their own', () => {
    const { mapping, result } = opened(
      'treatment,rep,date,height\nwet,1,2026-05-04,3\nwet,2,2026-05-04,5\ndry,1,2026-05-04,1\ndry,2,2026-05-04,2',
    );
    expect(mapping.roles).toEqual(['treatment', 'replicate', 'date', 'value']);
    expect(experimentOf(result).units.map(({ treatment }) => treatment)).toEqual([0, 0, 1, 1]);
  });

  test('dishes that are numbered through keep their numbers', () => {
    const { mapping, result } = opened('dish,treatment,height\n4,wet,3\n7,dry,5');
    expect(mapping.roles[0]).toBe('unit');
    expect(experimentOf(result).units.map(({ number }) => number)).toEqual([4, 7]);
  });

  test('plants in a pot and readers of a pot are told apart and never pots', () => {
    const { mapping, result } = opened(
      'pot,plant,group,student,date,height\n1,1,a,Ada,2026-05-04,3\n1,2,a,Ada,2026-05-04,5\n1,1,a,Ben,2026-05-04,4\n2,1,b,Ben,2026-05-04,4',
    );
    expect(mapping.roles).toEqual(['unit', 'plant', 'treatment', 'observer', 'date', 'value']);
    const experiment = experimentOf(result);
    expect(experiment.units).toHaveLength(2);
    expect(experiment.readings.map(({ observer }) => observer)).toEqual(['Ada', 'Ada', 'Ben', 'Ben']);
  });

  test('a column that says what was read gives several variables, each with its own unit', () => {
    const { mapping, result } = opened(
      'pot,group,date,variable,value\n1,a,2026-05-04,height (mm),31\n1,a,2026-05-04,leaf count,2\n2,b,2026-05-04,Height (mm),28\n2,b,2026-05-04,leaf count,3',
    );
    expect(mapping.variables).toMatchObject([
      { source: 'height (mm)', name: 'height', kind: 'length', unit: 'mm' },
      { source: 'leaf count', name: 'leaf count', kind: 'count' },
    ]);
    const { readings } = experimentOf(result);
    expect(readings.map(({ variable, value }) => [variable, value])).toEqual([
      [0, 31],
      [1, 2],
      [0, 28],
      [1, 3],
    ]);
  });

  test('a second and a third column of values are variables of their own', () => {
    const { mapping, result } = opened(
      'pot,group,date,height_cm,leaves,weight (g)\n1,a,2026-05-04,3.1,2,0.4\n2,b,2026-05-04,2.5,3,0.6',
    );
    expect(mapping.variables.map(({ name, kind, unit }) => [name, kind, unit])).toEqual([
      ['height', 'length', 'cm'],
      ['leaves', 'count', 'leaves'],
      ['weight', 'number', 'g'],
    ]);
    expect(experimentOf(result).readings.map(({ value }) => value)).toEqual([31, 2, 0.4, 25, 3, 0.6]);
  });

  test('a concentration that sorts pots is their treatment, or crosses it as a factor', () => {
    const alone = opened('pot,concentration,height\n1,0,3\n2,0,4\n3,5,2\n4,5,2\n5,10,1\n6,10,1');
    expect(alone.mapping.roles).toEqual(['unit', 'treatment', 'value']);
    const crossed = opened(
      'pot,light,dose,height\n1,sun,0,3\n2,sun,5,4\n3,shade,0,2\n4,shade,5,2\n5,sun,0,3\n6,shade,5,2',
    );
    expect(crossed.mapping.roles).toEqual(['unit', 'factor', 'factor', 'value']);
    const same = opened('pot,group,dose,height\n1,none,0,3\n2,some,5,4\n3,none,0,2\n4,some,5,2');
    expect(same.mapping.roles).toEqual(['unit', 'treatment', 'ignore', 'value']);
  });

  test('levels that could be words for a state stay levels', () => {
    const { mapping } = opened(
      'pot,mix,extra,height\n1,a,none,3\n2,d,none,4\n3,a,some,2\n4,d,some,5\n5,a,none,3\n6,d,some,4',
    );
    expect(mapping.roles).toEqual(['unit', 'factor', 'factor', 'value']);
  });

  test('without a column for the pot, one value of a treatment and day is followed as one pot', () => {
    const { result } = opened(
      'treatment,date,height\nwet,2026-05-04,3\ndry,2026-05-04,2\nwet,2026-05-08,5\ndry,2026-05-08,3',
    );
    expect(experimentOf(result).units).toHaveLength(2);
  });
});

describe('days of other people’s tables', () => {
  test.each([
    ['2026-05-04 09:30', '2026-05-04'],
    ['2026/5/4', '2026-05-04'],
    ['20260504', '2026-05-04'],
    ['4.5.26', '2026-05-04'],
    ['4 May 2026', '2026-05-04'],
    ['Mon 4 May 2026', '2026-05-04'],
    ['May 4th, 2026', '2026-05-04'],
    ['4. Mai 2026', '2026-05-04'],
    ['4 de mayo de 2026', '2026-05-04'],
    ['04-Sept-2026', '2026-09-04'],
    ['46146', '2026-05-04'],
    ['4 May', undefined],
    ['31 June 2026', undefined],
    ['4 Smarch 2026', undefined],
  ])('%s', (text, expected) => {
    const rows = [
      ['pot', 'group', 'date', 'height'],
      ['1', 'a', text, '3'],
    ];
    const read = readMapped(rows, guessMapping(rows, TODAY), 'Foreign');
    expect(read.ok ? read.experiment.readings[0]?.observedOn : undefined).toBe(expected);
  });

  test('days with a part count on their whole day, weeks are seven days, and long runs are opened', () => {
    const sownOn = calendarDay('2026-05-01');
    const parts = opened('pot,group,day,height\n1,a,2.5,3\n2,b,3.0,4', { sownOn }).result;
    expect(experimentOf(parts).readings.map(({ observedOn }) => observedOn)).toEqual([
      '2026-05-03',
      '2026-05-04',
    ]);
    expect(parts.ok && parts.taken.partDays).toBe(1);
    const weeks = opened('pot,group,week,height\n1,a,1,3\n1,a,2,4', { sownOn }).result;
    expect(experimentOf(weeks).readings.map(({ observedOn }) => observedOn)).toEqual([
      '2026-05-08',
      '2026-05-15',
    ]);
    expect(opened('pot,group,day,height\n1,a,1500,3', { sownOn }).result.ok).toBe(true);
    expect(opened('pot,group,day,height\n1,a,9999,3', { sownOn }).result).toMatchObject({
      ok: false,
      problems: [{ row: 2, column: 'day', found: '9999', expected: 'days since sowing, from 0 to 3660' }],
    });
  });

  test('a year without a reading is told, as a year may be mistyped', () => {
    const { result } = opened('pot,group,date,height\n1,a,2026-05-04,3\n1,a,2062-05-08,4');
    expect(gapOf(experimentOf(result))).toMatchObject({ from: '2026-05-04', to: '2062-05-08' });
    const near = opened('pot,group,date,height\n1,a,2026-05-04,3\n1,a,2026-05-08,4').result;
    expect(gapOf(experimentOf(near))).toBeUndefined();
  });
});
