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
export { DATE_ORDERS, type DateOrder } from './foreign-cells.ts';
export { guessMapping } from './guess-mapping.ts';
export {
  MOST_CELL_CHARACTERS,
  MOST_CELLS,
  MOST_TABLE_COLUMNS,
  MOST_TIDY_ROWS,
  readTidy,
  type TidyResult,
} from './read-tidy.ts';
export { type Counting, COUNTINGS } from './counting.ts';
export { type LookOver, lookOver } from './look-over.ts';
export {
  COLUMN_ROLES,
  type ColumnRole,
  readMapped,
  TABLE_SHAPES,
  type TableMapping,
  type TableShape,
} from './table-mapping.ts';
export { tidyParts, type TidyRowParts, writeTidy } from './write-tidy.ts';
