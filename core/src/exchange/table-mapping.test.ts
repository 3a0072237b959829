import { describe, expect, test } from '@jest/globals';
import { compareTreatments, grouped } from '../comparison/index.ts';
import { calendarDay, valueOr } from '../shared/index.ts';
import { guessMapping, lookOver, readMapped, type TableMapping, type TidyResult } from './index.ts';

const TODAY = calendarDay('2026-05-29');

function table(text: string): string[][] {
  return text.split('\n').map((line) => line.split(','));
}

function opened(text: string, changes: Partial<TableMapping> = {}) {
  const rows = table(text);
  const mapping = { ...guessMapping(rows, TODAY), ...changes };
  return { mapping, result: readMapped(rows, mapping, 'Foreign') };
}

function experimentOf(result: TidyResult) {
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
    expect(mapping).toMatchObject({ shape: 'pots-in-columns', dateOrder: 'dmy', hasTreatmentRow: false });
    const experiment = experimentOf(result);
    expect(experiment.treatments.map((treatment) => treatment.name)).toEqual(['Shade', 'Sun']);
    expect(experiment.readings.map(({ state, value }) => [state, value])).toEqual([
      ['not_up', null],
      ['up', 0],
      ['up', 15],
      ['up', 20],
      ['up', 22],
      ['up', 10],
      ['dead', null],
    ]);
  });

  test('a pot a column with its treatment in the row below, and days since sowing', () => {
    const { mapping, result } = opened('day,1,2,3,4\n,dry,dry,wet,wet\n5,1,2,3,4\n9,2,3,4,5', {
      sowedOn: calendarDay('2026-05-01'),
    });
    expect(mapping).toMatchObject({
      shape: 'pots-in-columns',
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
    expect(mapping).toMatchObject({ shape: 'pots-in-rows', roles: ['unit', 'treatment', 'value', 'value'] });
    const experiment = experimentOf(result);
    expect(experiment.readings).toHaveLength(4);
    expect(experiment.units.map((unit) => unit.number)).toEqual([1, 2]);
  });

  test('germination counts by day', () => {
    const { mapping, result } = opened(
      'dish,treatment,seeds,day,germinated\n1,warm,20,3,4\n1,warm,20,5,11\n2,cool,20,3,0\n2,cool,20,5,6',
      { sowedOn: calendarDay('2026-05-01') },
    );
    expect(mapping.variable).toEqual({ name: 'seeds up', kind: 'count', unit: 'seeds' });
    const fixed = opened('pot,treatment,seeds,day,germinated\n1,warm,20,3,4\n2,cool,20,3,0', {
      sowedOn: calendarDay('2026-05-01'),
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
        sowedOn: unit.sowedOn,
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
      rule: 'only-up',
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
    expect(mapping.variable).toEqual({ name: 'seeds up', kind: 'count', unit: 'seeds' });
    expect(opened('pot,group,sown,height\n1,a,2026-05-01,3').mapping.roles[2]).toBe('sown');
  });

  test('with a sowing day, counts by day become an experiment', () => {
    const { result } = opened(GERMINATION, { sowedOn: calendarDay('2026-05-01') });
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
    ['two treatments in one pot', 'pot,group,height\n1,a,2\n1,b,3', {}, { row: 3, column: 'treatment' }],
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
    const sowedOn = calendarDay('2026-05-04');
    const { mapping, result } = opened(NEW, { sowedOn });
    expect(mapping.counting).toBe('new');
    const { readings } = experimentOf(result);
    expect(readings.map(({ unit, value }) => [unit, value])).toEqual([
      [0, 3],
      [0, 12],
      [0, 17],
      [1, 1],
      [1, 3],
      [1, 3],
    ]);
    expect(lookOver(experimentOf(result)).rows).toEqual([
      { treatment: 'wet', values: [3, 12, 17] },
      { treatment: 'dry', values: [1, 3, 3] },
    ]);
  });

  test('counts that only rise are what there is, unless somebody says otherwise', () => {
    const rising = NEW.replace('4,5', '4,12').replace('4,0', '4,2');
    const sowedOn = calendarDay('2026-05-04');
    expect(opened(rising, { sowedOn }).mapping.counting).toBe('so_far');
    const last = experimentOf(opened(rising, { sowedOn, counting: 'new' }).result).readings.at(-1);
    expect(last?.value).toBe(5);
  });
});

test('what would be averaged in silence is shown, with an example', () => {
  const { result } = opened('pot,group,date,height\n1,a,2026-05-04,3\n1,a,2026-05-04,5\n2,b,2026-05-04,4');
  const found = lookOver(experimentOf(result));
  expect([found.doubled, found.example]).toEqual([1, { unit: '1', day: '2026-05-04', values: [30, 50] }]);
  const none = lookOver(experimentOf(opened('pot,group,date,height\n1,a,2026-05-04,3').result));
  expect([none.doubled, none.example]).toEqual([0, null]);
});

test('a word for a state that nobody knows is a problem, never a pot that is up', () => {
  const { result } = opened('pot,group,date,height,state\n1,a,2026-05-04,3,eaten\n2,b,2026-05-04,,eaten');
  expect(result.ok ? [] : result.problems.map(({ row, column, found }) => [row, column, found])).toEqual([
    [2, 'state', 'eaten'],
    [3, 'state', 'eaten'],
  ]);
});
