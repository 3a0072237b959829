import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import {
  coursesOf,
  guessMapping,
  type MappedResult,
  type MeantWord,
  readMapped,
} from '@bright-sprout/core/imports';
import { calendarDay, lengthText, type LengthUnit } from '@bright-sprout/core/shared';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import Papa from 'papaparse';
import { v7 as uuid } from 'uuid';
import { dayFromToday } from '../app/testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

type MappedExperiment = (MappedResult & { ok: true })['experiment'];

interface Foreign {
  readonly file: string;
  /** What its own words mean. */
  readonly words?: readonly MeantWord[];
  readonly gives: string;
  /** Rows of the preview, as reckoned from the file without this application. */
  readonly course: readonly string[];
  readonly answer: string;
}

/** Tables of ten shapes; means and differences were reckoned from the files by a script of another language. */
const TABLES: readonly Foreign[] = [
  {
    file: 'radish-fresh-mass.csv',
    gives: '12 pots in 2 treatments (bare soil, under fleece) and 12 readings of fresh mass',
    course: ['bare soil5.86', 'under fleece9.34'],
    answer: 'under fleece had on average a fresh mass 3.48 g higher than pots with bare soil',
  },
  {
    file: 'basil-pots-in-columns.csv',
    gives: '10 pots in 2 treatments (Fensterbank, Schrank) and 30 readings of height',
    course: ['Fensterbank1.4 cm3.5 cm', 'Schrank2.3 cm6.6 cm'],
    answer: 'Schrank were on average 3.14 cm taller than plants with Fensterbank on day 15',
  },
  {
    file: 'dill-days-in-columns.csv',
    gives: '10 pots in 2 treatments (misted, poured) and 30 readings of height',
    course: ['misted6.4 cm19.2 cm28.4 cm', 'poured9.4 cm29.4 cm46.8 cm'],
    answer: 'poured were on average 18.40 cm taller than plants with misted on day 12',
  },
  {
    file: 'clover-new-counts.csv',
    gives: '8 pots in 2 treatments (scratched, whole) and 32 readings of seeds up',
    course: ['scratched0205771', 'whole051828'],
    answer: 'whole had on average 10.8 fewer seeds up than pots with scratched on day 5',
  },
  {
    file: 'marigold-replicates-in-weeks.csv',
    gives: '10 pots in 2 treatments (deep tray, flat tray) and 30 readings of height',
    course: ['deep tray1½ in3 in4½ in', 'flat tray1 in1¾ in2¾ in'],
    answer: 'flat tray were on average 1.65 in shorter than plants with deep tray on day 21',
  },
  {
    file: 'lettuce-several-things-read.csv',
    gives: '12 pots in 2 treatments (open, mulched) and 48 readings of plant height, number of leaves',
    course: ['open35.0 mm70.3 mm', 'mulched48.7 mm95.2 mm', 'open1230', 'mulched2442'],
    answer: 'mulched were on average 24.8 mm longer than pots with open on day 21',
  },
  {
    file: 'oat-light-by-dose.csv',
    gives:
      '24 pots in 6 treatments (lamp · 0, lamp · 2, lamp · 4, window · 0, window · 2, window · 4) and 48 readings of height, leaf area',
    course: ['lamp · 08.0 cm', 'window · 414.0 cm'],
    answer: 'window were on average 2.92 cm taller than plants with lamp',
  },
  {
    file: 'carrot-two-readers.csv',
    gives: '10 pots in 2 treatments (Early Amber, Late Violet) and 20 readings of length',
    course: ['Early Amber13.9 cm', 'Late Violet19.0 cm'],
    answer: 'Late Violet were on average 5.08 cm longer than pots with Early Amber on day 24',
  },
  {
    file: 'chard-plants-in-pots.csv',
    gives: '10 pots in 2 treatments (crowded, thinned) and 30 readings of height',
    course: ['crowded7.7 cm', 'thinned11.9 cm'],
    answer: 'thinned were on average 4.17 cm taller than plants with crowded on day 23',
  },
  {
    file: 'chives-own-words.csv',
    words: [
      { word: 'sleeping', meaning: 'not_emerged' },
      { word: 'mouldy', meaning: 'dead' },
    ],
    gives: '12 pots in 2 treatments (cold tap, warm tap) and 35 readings of height',
    course: ['cold tap2.4 cm4.9 cm', 'warm tap3.6 cm7.6 cm'],
    answer: 'warm tap were on average 2.64 cm taller than living plants with cold tap on day 21',
  },
];

let server: TestServer;
let teacher: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
afterAll(() => server.close());

/** How many of what a table gives. */
function givenBy({ units, treatments, readings, variables }: MappedExperiment): string {
  const names = treatments.map(({ name }) => name).join(', ');
  const read = variables.map(({ name }) => name).join(', ');
  return `${units.length} pots in ${treatments.length} treatments (${names}) and ${readings.length} readings of ${read}`;
}

/** The means by treatment and day as a preview writes them. */
function courseOf(experiment: MappedExperiment): string[] {
  return coursesOf(experiment).flatMap(({ variable: { kind, unit }, rows }) =>
    rows.map(({ treatment, values }) => {
      const step = unit === 'in' ? 0.25 : 0.1;
      const texts = values.map((value) => {
        if (value === null) return '–';
        return kind === 'length'
          ? lengthText(value, { unit: unit as LengthUnit, step })
          : String(Number(value.toFixed(2)));
      });
      return `${treatment}${texts.join('')}`;
    }),
  );
}

test.each(TABLES)('$file of other people opens to its own figures', async ({ file, words, ...expected }) => {
  const text = readFileSync(join(import.meta.dirname, 'testing', 'foreign-tables', file), 'utf8');
  const rows = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data;
  const guessed = guessMapping(rows, calendarDay(dayFromToday(0)));
  const mapping = { ...guessed, sownOn: calendarDay('2026-04-27'), words: words ?? guessed.words };
  const result = readMapped(rows, mapping, file);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  expect(givenBy(result.experiment)).toBe(expected.gives);
  expect(courseOf(result.experiment)).toEqual(expect.arrayContaining([...expected.course]));
  const sent = await sendFile(teacher, Papa.unparse(rows));
  const opened = await teacher
    .put(`/api/files/${uuid()}/table`)
    .send({ fileName: file, ...sent, mapping })
    .expect(200);
  const { id } = opened.body as ExperimentView;
  const compared = await teacher
    .get(`/api/experiments/${id}/comparison?parts=answer&level=14%2B`)
    .expect(200);
  const { headline, others } = (compared.body as { words: { headline: string; others: string[] } }).words;
  expect([headline, ...others].join(' ')).toContain(expected.answer);
});
