import {
  type FoundWord,
  guessMapping,
  type MappedResult,
  type PreparationChoices,
  type PreparationStep,
  type PreparedTable,
  prepareTable,
  questionsOf,
  readMapped,
  type TableMapping,
  type TableQuestion,
  variablesIn,
  withAnswer,
  wordsIn,
} from '@bright-sprout/core/imports';
import { calendarDay } from '@bright-sprout/core/shared';
import { useMemo, useState } from 'react';
import type { ForeignTable } from './read-picked.ts';
import { questionKey } from './table-questions.tsx';

/** A foreign table as it is read now, with all by which a person can have it read otherwise. */
export interface ReadTable {
  readonly sheetAt: number;
  readonly prepared: PreparedTable;
  readonly mapping: TableMapping;
  readonly result: MappedResult;
  readonly words: readonly FoundWord[];
  readonly questions: readonly TableQuestion[];
  readonly answers: ReadonlyMap<string, string>;
  /** True while a question waits for its answer. */
  readonly isAsking: boolean;
  readonly undone: readonly PreparationStep[];
  readonly chooseSheet: (at: number) => void;
  readonly undo: (steps: readonly PreparationStep[]) => void;
  readonly change: (changes: Partial<TableMapping>) => void;
  readonly answer: (question: TableQuestion, value: string) => void;
}

/** Reads a foreign table, and reads it anew with each answer and change. */
export function useForeignTable(table: ForeignTable): ReadTable {
  const [sheetAt, setSheetAt] = useState(0);
  const [choices, setChoices] = useState<PreparationChoices>(AS_GUESSED);
  const prepared = useMemo(
    () => prepareTable(table.sheets[sheetAt]?.rows ?? [], choices),
    [table, sheetAt, choices],
  );
  const { rows } = prepared;
  const [mapping, setMapping] = useState<TableMapping>(() => guessMapping(rows, today(), prepared));
  const [answers, setAnswers] = useState<ReadonlyMap<string, string>>(new Map());
  const prepare = (
    next: PreparationChoices,
    at = sheetAt,
    kept: ReadonlyMap<string, string> = new Map(),
  ): void => {
    const made = prepareTable(table.sheets[at]?.rows ?? [], next);
    setSheetAt(at);
    setChoices(next);
    setAnswers(kept);
    setMapping(guessMapping(made.rows, today(), made));
  };
  const change = (changes: Partial<TableMapping>): void => {
    const next = { ...mapping, ...changes };
    const isMoved = changes.roles !== undefined || changes.shape !== undefined;
    setMapping(
      isMoved ? { ...next, variables: variablesIn(rows, next, mapping.variables, prepared.titles) } : next,
    );
    setAnswers(new Map([...answers, ...answersIn(changes, mapping)]));
  };
  const result = useMemo(() => readMapped(rows, mapping, table.fileName), [rows, mapping, table.fileName]);
  const words = useMemo(() => wordsIn(rows, mapping), [rows, mapping]);
  const asked = useMemo(() => questionsOf(prepared, mapping, today()), [prepared, mapping]);
  const [questions, setQuestions] = useState(asked);
  const shown = mergedQuestions(questions, asked, answers);
  const answer = (question: TableQuestion, value: string): void => {
    const next = new Map(answers).set(questionKey(question), value);
    setQuestions(shown);
    if (question.id === 'year') return prepare({ ...choices, year: Number(value) }, sheetAt, next);
    if (question.id === 'names') {
      const others = choices.undone.filter((step) => step !== 'split_names');
      return prepare(
        { ...choices, undone: value === 'place' ? [...others, 'split_names'] : others },
        sheetAt,
        next,
      );
    }
    setAnswers(next);
    setMapping(withAnswer(mapping, question, value));
  };
  return {
    sheetAt,
    prepared,
    mapping,
    result,
    words,
    questions: shown,
    answers,
    isAsking: shown.some((question) => !answers.has(questionKey(question))),
    undone: choices.undone,
    chooseSheet: (at) => {
      setQuestions([]);
      prepare(AS_GUESSED, at);
    },
    undo: (undone) => {
      setQuestions([]);
      prepare({ ...choices, undone });
    },
    change,
    answer,
  };
}

const AS_GUESSED: PreparationChoices = { undone: [], year: null };

/** Questions that are answered where something is set by hand, by {@link questionKey}. */
function answersIn(changes: Partial<TableMapping>, before: TableMapping): [string, string][] {
  const set = (changes.variables ?? []).filter((variable) => !before.variables.includes(variable));
  return [
    ...(changes.dateOrder === undefined ? [] : [['date_order ', changes.dateOrder] as [string, string]]),
    ...set.flatMap(({ source, kind, unit, counting }): [string, string][] => [
      [`measured ${source}`, kind === 'length' ? unit : kind === 'count' ? 'seeds_up' : 'number'],
      [`counting ${source}`, counting],
    ]),
  ];
}

/** What is asked now, with what was asked and answered before, so that an answer can be changed. */
function mergedQuestions(
  before: readonly TableQuestion[],
  asked: readonly TableQuestion[],
  answers: ReadonlyMap<string, string>,
): TableQuestion[] {
  const now = new Set(asked.map(questionKey));
  const answered = before.filter(
    (question) => answers.has(questionKey(question)) && !now.has(questionKey(question)),
  );
  return [...answered, ...asked];
}

function today() {
  const now = new Date();
  const two = (part: number): string => String(part).padStart(2, '0');
  return calendarDay(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
}
