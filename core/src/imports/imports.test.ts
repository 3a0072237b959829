import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { calendarDay } from '../shared/index.ts';
import { type ExchangedExperiment, readTidy, writeTidy } from './index.ts';

const SOWN = calendarDay('2026-02-02');

const EXPERIMENT: ExchangedExperiment = {
  question: 'Does a draught slow oats?',
  crop: 'Oat',
  sowOn: SOWN,
  lessonOn: calendarDay('2026-03-02'),
  factors: ['Draught', 'Cover'],
  containers: [{ kind: 'flat', rows: 2, columns: 5 }],
  treatments: [
    { name: 'Still + open', isControl: true, levels: ['Still', 'Open'] },
    { name: 'Windy + film', isControl: false, levels: ['Windy', 'Film'] },
  ],
  units: [
    {
      number: 1,
      container: 0,
      row: 1,
      column: 1,
      treatment: 0,
      replicate: 1,
      block: '',
      team: '=Otter',
      sownOn: SOWN,
      seedsSown: 2,
    },
    {
      number: 2,
      container: 0,
      row: 1,
      column: 2,
      treatment: 1,
      replicate: 1,
      block: 'x',
      team: 'Heron',
      sownOn: SOWN,
      seedsSown: null,
    },
    {
      number: 3,
      container: 0,
      row: 2,
      column: 4,
      treatment: 1,
      replicate: 2,
      block: '',
      team: '',
      sownOn: null,
      seedsSown: 0,
    },
  ],
  variables: [
    { name: 'height', kind: 'length', unit: 'in', step: 0.25 },
    { name: 'leaves', kind: 'count', unit: '', step: 1 },
  ],
  readings: [
    reading('r1', { value: 57.15, unitOfMeasure: 'in', precision: 0.25, entered: '2¼' }),
    reading('r2', {
      value: 60.96,
      unitOfMeasure: 'in',
      precision: 0.25,
      entered: '2.4',
      supersedes: 'r1',
      setAside: '=bent',
    }),
    reading('r3', { unit: 1, state: 'not_emerged' }),
    reading('r4', { unit: 1, variable: 1, value: 3, unitOfMeasure: '', precision: 1, entered: '3' }),
    reading('r5', { unit: 1, value: 61, unitOfMeasure: 'mm', precision: 1, entered: '61' }),
  ],
};

function reading(id: string, changes: object): ExchangedExperiment['readings'][number] {
  return {
    id,
    unit: 0,
    variable: 0,
    observedOn: calendarDay('2026-02-12'),
    state: 'emerged',
    value: null,
    unitOfMeasure: 'in',
    precision: 0.25,
    entered: '',
    observer: 'Team Otter',
    recordedAt: '2026-02-12T09:00:00.000Z',
    supersedes: '',
    setAside: '',
    ...changes,
  };
}

/** Rows of a small hand-made file. */
function file(lines: string): string[][] {
  return lines
    .trim()
    .split('\n')
    .map((line) => line.split(',').map((cell) => cell.trim()));
}

function problemsOf(lines: string) {
  const result = readTidy(file(lines), 'file');
  return result.ok ? [] : result.problems.map(({ row, column }) => `${row} ${column}`);
}

describe('a written experiment', () => {
  test('is read back exactly', () => {
    const result = readTidy(writeTidy(EXPERIMENT), 'file');
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    const order = (readings: ExchangedExperiment['readings']) =>
      [...readings].sort((a, b) => a.id.localeCompare(b.id));
    expect(order(result.experiment.readings)).toEqual(order(EXPERIMENT.readings));
    expect({ ...result.experiment, readings: [] }).toEqual({ ...EXPERIMENT, readings: [] });
  });

  test('keeps the order of treatments and variables whatever comes first in the file', () => {
    const [first, , ...rest] = EXPERIMENT.units;
    const units = [{ ...first!, treatment: 1 }, ...rest, { ...first!, number: 9, column: 5 }];
    const readings = [
      reading('r1', { variable: 1, value: 2, unitOfMeasure: '', precision: 1, entered: '2' }),
    ];
    const result = readTidy(writeTidy({ ...EXPERIMENT, units, readings }), 'file');
    expect(result).toMatchObject({
      ok: true,
      experiment: { treatments: EXPERIMENT.treatments, variables: EXPERIMENT.variables, units, readings },
    });
  });

  test('has one row a reading and one for a pot without any', () => {
    expect(writeTidy(EXPERIMENT)).toHaveLength(1 + 5 + 1);
  });

  test('holds no cell that a spreadsheet would run', () => {
    for (const cell of writeTidy(EXPERIMENT).flat()) expect(cell).not.toMatch(/^[=+@\t\r]/);
  });

  test('survives any text in names', () => {
    const text = fc
      .string({ minLength: 1, maxLength: 40 })
      .map((raw) => raw.trim())
      .filter((raw) => raw !== '');
    fc.assert(
      fc.property(text, text, (question, name) => {
        const [first, second] = EXPERIMENT.treatments;
        const treatments = [
          { ...first!, name: `a${name}` },
          { ...second!, name },
        ];
        const result = readTidy(writeTidy({ ...EXPERIMENT, question, treatments }), 'file');
        expect(result).toMatchObject({ ok: true, experiment: { question, treatments } });
      }),
    );
  });
});

describe('a hand-made file', () => {
  test('needs few columns: units, treatments, sowing and places are worked out', () => {
    const result = readTidy(
      file(`
        unit,treatment,observed,day,value,unit_of_measure
        1,dry,2026-05-11,7,3.2,cm
        2,wet,2026-05-11,7,4.1,cm
        1,dry,2026-05-12,8,3.6,cm`),
      'oats in may',
    );
    expect(result).toMatchObject({
      ok: true,
      experiment: {
        question: 'oats in may',
        sowOn: '2026-05-04',
        lessonOn: '2026-05-12',
        factors: ['Treatment'],
        treatments: [{ name: 'dry', levels: ['dry'] }, { name: 'wet' }],
        units: [
          { number: 1, row: 1, column: 1, sownOn: '2026-05-04' },
          { number: 2, row: 1, column: 2 },
        ],
        variables: [{ name: 'height', kind: 'length', unit: 'cm' }],
        readings: [{ value: 32 }, { value: 41 }, { value: 36 }],
      },
    });
  });

  test('reads dates from sowing and day number, and comma decimals', () => {
    const result = readTidy(
      [
        ['unit', 'treatment', 'sown', 'day', 'value', 'unit_of_measure'],
        ['4', 'x', '2026-05-04', '9', '3,5', 'mm'],
      ],
      'f',
    );
    expect(result).toMatchObject({
      ok: true,
      experiment: { readings: [{ observedOn: '2026-05-13', value: 3.5 }] },
    });
  });
});

describe('bad rows are listed, and nothing is half read', () => {
  const HEAD = 'unit,treatment,sown,observed,state,value,unit_of_measure';

  test.each([
    ['a missing column', 'unit,observed,value\n1,2026-05-11,3', ['1 treatment']],
    ['no columns at all', 'a,b\n1,2', ['1 unit', '1 treatment', '1 observed', '1 value']],
    ['a column twice', 'unit,unit,treatment,observed,value\n1,1,x,2026-05-11,3', ['1 unit']],
    ['a date that does not exist', `${HEAD}\n1,x,2026-05-04,2026-02-31,,3,cm`, ['2 observed']],
    ['a reading before sowing', `${HEAD}\n1,x,2026-05-04,2026-05-01,,3,cm`, ['2 observed']],
    ['a word for a number', `${HEAD}\n1,x,2026-05-04,2026-05-11,,tall,cm`, ['2 value']],
    ['a negative height', `${HEAD}\n1,x,2026-05-04,2026-05-11,,-2,cm`, ['2 value']],
    ['a value beside a state', `${HEAD}\n1,x,2026-05-04,2026-05-11,dead,3,cm`, ['2 value']],
    ['an unknown state', `${HEAD}\n1,x,2026-05-04,2026-05-11,sleepy,,cm`, ['2 state']],
    ['neither value nor state', `${HEAD}\n1,x,2026-05-04,2026-05-11,,,cm`, ['2 value']],
    ['a pot in two treatments', `${HEAD}\n1,x,,2026-05-11,,3,cm\n1,y,,2026-05-12,,3,cm`, ['3 treatment']],
    [
      'a pot sown twice',
      `${HEAD}\n1,x,2026-05-04,2026-05-11,,3,cm\n1,x,2026-05-05,2026-05-12,,3,cm`,
      ['3 sown'],
    ],
    ['a pot without a number', `${HEAD}\n,x,,2026-05-11,,3,cm\nB2,x,,2026-05-11,,3,cm`, ['2 unit', '3 unit']],
    ['no treatment', `${HEAD}\n1,,,2026-05-11,,3,cm`, ['2 treatment']],
    ['a ragged row', `${HEAD}\n1,x,2026-05-04`, ['2 all']],
    ['no rows', HEAD, ['0 unit']],
  ])('%s', (_, lines, problems) => {
    expect(problemsOf(lines)).toEqual(problems);
  });

  test('a day number that does not fit its dates', () => {
    expect(
      problemsOf('unit,treatment,sown,observed,day,value,unit_of_measure\n1,x,2026-05-04,2026-05-11,8,3,cm'),
    ).toEqual(['2 day']);
  });

  test('two controls', () => {
    expect(
      problemsOf(
        'unit,treatment,control,observed,value,unit_of_measure\n1,x,yes,2026-05-11,3,cm\n2,y,yes,2026-05-11,3,cm',
      ),
    ).toEqual(['3 control']);
  });

  test.each([
    ['of a reading that is not there', 'r1,r9', ['2 supersedes']],
    ['of itself', 'r1,r1', ['2 supersedes']],
  ])('a correction %s', (_, cells, problems) => {
    expect(
      problemsOf(
        `unit,treatment,observed,value,unit_of_measure,reading,supersedes\n1,x,2026-05-11,3,cm,${cells}`,
      ),
    ).toEqual(problems);
  });

  test('corrections in a circle, which would leave no reading standing', () => {
    const lines =
      'unit,treatment,observed,value,unit_of_measure,reading,supersedes\n1,x,2026-05-11,3,cm,r1,r2\n1,x,2026-05-11,4,cm,r2,r1';
    expect(problemsOf(lines)).toEqual(['2 supersedes', '3 supersedes']);
  });

  test('the same reading id twice', () => {
    const lines =
      'unit,treatment,observed,value,unit_of_measure,reading\n1,x,2026-05-11,3,cm,r1\n1,x,2026-05-12,4,cm,r1';
    expect(problemsOf(lines)).toEqual(['3 reading']);
  });

  test('says what was found and what was expected', () => {
    const result = readTidy(file(`${HEAD}\n1,x,2026-05-04,2026-05-11,,tall,cm`), 'f');
    expect(result).toMatchObject({
      ok: false,
      problems: [{ row: 2, column: 'value', found: 'tall', expected: 'a number from 0 to 3000' }],
    });
  });
});

test('several corrections of one reading, as older files hold, become a row of corrections', () => {
  const HEAD = 'unit,treatment,sown,observed,value,unit_of_measure,recorded_at,reading,supersedes';
  const row = (value: number, minute: number, id: string, supersedes: string): string =>
    `1,a,2026-03-02,2026-03-09,${value},cm,2026-03-09T09:0${minute}:00Z,${id},${supersedes}`;
  const lines = [HEAD, row(1, 0, 'r', ''), row(4, 3, '', 'r'), row(2, 1, 's', 'r'), row(3, 2, 't', 's')];
  const read = readTidy(
    lines.map((line) => line.split(',')),
    'Twice',
  );
  const links = read.ok ? read.experiment.readings.map(({ value, supersedes }) => [value, supersedes]) : read;
  expect(links).toEqual([
    [10, ''],
    [40, 't'],
    [20, 'r'],
    [30, 's'],
  ]);
});
