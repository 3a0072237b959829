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
export { MOST_TIDY_ROWS, readTidy, type TidyResult } from './read-tidy.ts';
export { writeTidy } from './write-tidy.ts';
