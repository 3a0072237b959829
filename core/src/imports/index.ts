export type { RowProblem } from './cells.ts';
export {
  type ExchangedContainer,
  type ExchangedExperiment,
  type ExchangedReading,
  type ExchangedTreatment,
  type ExchangedUnit,
  type ExchangedVariable,
  VARIABLE_KINDS,
  type VariableKind,
} from './model.ts';
export { DATE_ORDERS, type DateOrder } from './foreign-dates.ts';
export {
  type MeantWord,
  type MeantZeros,
  WORD_MEANINGS,
  type WordMeaning,
  ZERO_MEANINGS,
  type ZeroMeaning,
} from './foreign-words.ts';
export { MOST_VARIABLES } from './plan-collector.ts';
export { DECIMAL_MARKS, type DecimalMark } from './foreign-numbers.ts';
export { guessMapping, type TableHints } from './guess-mapping.ts';
export {
  type PreparationChoices,
  type PreparationStep,
  type Prepared,
  type PreparedTable,
  prepareTable,
} from './prepare/prepare-table.ts';
export {
  questionsOf,
  type TableAnswer,
  type TableQuestion,
  type TableQuestionId,
  withAnswer,
} from './table-questions.ts';
export { type LastOfPot, type Understood, understoodOf } from './understood.ts';
export { variablesIn } from './guess-variables.ts';
export {
  MOST_CELL_CHARACTERS,
  MOST_CELLS,
  MOST_TABLE_COLUMNS,
  MOST_TIDY_ROWS,
  readTidy,
  type TidyResult,
} from './read-tidy.ts';
export { type Counting, COUNTINGS } from './counting.ts';
export {
  type Course,
  coursesOf,
  type Doubled,
  doubledOf,
  type Gap,
  gapOf,
  tellingApart,
} from './look-over.ts';
export {
  COLUMN_ROLES,
  type ColumnRole,
  type MappedVariable,
  MOST_MEANT_WORDS,
  TABLE_SHAPES,
  type TableMapping,
  type TableShape,
} from './mapping.ts';
export type { ZeroCount, ZerosFound } from './meant-zeros.ts';
export { type MappedResult, readMapped, type TakenAs } from './read-mapped.ts';
export { type FoundWord, wordsIn } from './words-in.ts';
export { guardText, READING_COLUMNS, unguardText } from './tidy-columns.ts';
export { tidyParts, type TidyRowParts, writeTidy } from './write-tidy.ts';
