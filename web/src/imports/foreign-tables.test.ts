import { File as NodeFile } from 'node:buffer';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  guessMapping,
  type MappedResult,
  type PreparationChoices,
  prepareTable,
  questionsOf,
  readMapped,
  withAnswer,
} from '@bright-sprout/core/imports';
import { calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { readPicked } from './read-picked.ts';

type Answers = Readonly<Record<string, string>>;

/** A table with the experiment that it holds, made by another program. */
interface MadeFile {
  readonly name: string;
  readonly text: string;
  /** What a person answers to each question that is asked of this table; no other is asked. */
  readonly answers: Answers;
  readonly sownOn?: string;
  readonly pots?: readonly {
    readonly treatment: string;
    readonly readings: readonly (readonly unknown[])[];
  }[];
  /** Part of what is said where the table cannot be read. */
  readonly refused?: string;
}

const TODAY = calendarDay('2026-05-29');
const FILES = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../core/reference/foreign-tables.json'), 'utf8'),
) as MadeFile[];
const OPENED = FILES.filter(({ refused }) => refused === undefined);
const REFUSED = FILES.filter(({ refused }) => refused !== undefined);

/** Reads a table as its dialog does, with answers to what it asks. */
async function read({ name, text, sownOn }: MadeFile, answers: Answers) {
  const picked = await readPicked(
    { id: 'id', file: new NodeFile([text], `${name}.csv`) as unknown as File },
    () => undefined,
  );
  if (!('sheets' in picked)) throw new Error('taken for a file of ours');
  const rows = picked.sheets[0]?.rows ?? [];
  let choices: PreparationChoices = { undone: [], year: null };
  const asked = new Map<string, readonly string[]>();
  const first = prepareTable(rows, choices);
  for (const { id, answers: all } of questionsOf(first, guessMapping(first.rows, TODAY, first), TODAY))
    asked.set(
      id,
      all.map(({ value }) => value),
    );
  if (answers.year) choices = { ...choices, year: Number(answers.year) };
  if (answers.names === 'place') choices = { ...choices, undone: ['split_names'] };
  const table = prepareTable(rows, choices);
  let mapping = guessMapping(table.rows, TODAY, table);
  if (sownOn !== undefined) mapping = { ...mapping, sownOn: calendarDay(sownOn) };
  for (const id of ['decimal_mark', 'date_order', 'measured', 'counting']) {
    for (const question of questionsOf(table, mapping, TODAY)) {
      if (question.id !== id) continue;
      asked.set(
        id,
        question.answers.map(({ value }) => value),
      );
      mapping = withAnswer(mapping, question, answers[id] ?? '');
    }
  }
  return { asked, table, result: readMapped(table.rows, mapping, name) };
}

/** The pots of an experiment by treatment, each with its readings, without their numbers. */
function potsOf(result: MappedResult): string[] {
  if (!result.ok) throw new Error(JSON.stringify(result.problems.slice(0, 3)));
  const { units, treatments, variables, readings } = result.experiment;
  const lines = units.map((): string[] => []);
  for (const { unit, variable, observedOn, value, state } of readings)
    lines[unit]?.push(lineOf(observedOn, variables[variable]?.kind ?? '', value, state));
  return units
    .map(({ treatment }, at) => `${treatments[treatment]?.name}: ${lines[at]?.sort().join(', ')}`)
    .sort();
}

function lineOf(day: string, kind: string, value: number | null, state: string): string {
  return `${day} ${kind} ${value === null ? '' : Number(value.toPrecision(9))} ${state}`;
}

function trueOf({ pots = [] }: MadeFile): string[] {
  return pots
    .map(({ treatment, readings }) => {
      const lines = readings.map(([day, kind, value, state]) =>
        lineOf(String(day), String(kind), value as number | null, String(state)),
      );
      return `${treatment}: ${lines.sort().join(', ')}`;
    })
    .sort();
}

describe('a table as teachers make them', () => {
  test.each(OPENED.map((file) => [file.name, file] as const))(
    '%s opens as what it holds',
    async (_, file) => {
      const { asked, result } = await read(file, file.answers);
      expect(potsOf(result)).toEqual(trueOf(file));
      expect([...asked.keys()].sort()).toEqual(Object.keys(file.answers).sort());
    },
  );

  test.each(REFUSED.map((file) => [file.name, file] as const))('%s is refused in words', async (_, file) => {
    const { result } = await read(file, file.answers);
    const said = result.ok
      ? ''
      : result.problems.map(({ column, expected }) => `${column} ${expected}`).join(' ');
    expect(said).toContain(file.refused);
  });

  test('what is asked changes what is opened', async () => {
    for (const file of OPENED) {
      const { asked } = await read(file, file.answers);
      for (const [id, values] of asked) {
        const found = await Promise.all(
          values.map(async (value) => {
            const { result } = await read(file, { ...file.answers, [id]: value });
            return result.ok
              ? potsOf(result).join('\n') + result.experiment.variables.map(({ name }) => name).join()
              : 'refused';
          }),
        );
        expect([file.name, id, new Set(found).size]).toEqual([file.name, id, values.length]);
      }
    }
  });
});
