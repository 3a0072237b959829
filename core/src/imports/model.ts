import type { CalendarDay, ReadingState } from '../shared/index.ts';

/** What kind of values a variable takes: a length in mm, a whole count, or a number in a unit of its own. */
export const VARIABLE_KINDS = ['length', 'count', 'number', 'score'] as const;
export type VariableKind = (typeof VARIABLE_KINDS)[number];

/** An experiment with its data, free of database ids: what a tidy file holds. */
export interface ExchangedExperiment {
  readonly question: string;
  readonly crop: string;
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
  readonly factors: readonly string[];
  readonly containers: readonly ExchangedContainer[];
  readonly treatments: readonly ExchangedTreatment[];
  readonly units: readonly ExchangedUnit[];
  readonly variables: readonly ExchangedVariable[];
  readonly readings: readonly ExchangedReading[];
}

/** A grid of places. */
export interface ExchangedContainer {
  readonly kind: string;
  readonly rows: number;
  readonly columns: number;
}

/** One combination of levels; `levels` in the order of the experiment's factors. */
export interface ExchangedTreatment {
  readonly name: string;
  readonly isControl: boolean;
  readonly levels: readonly string[];
}

/** One pot, cell or bag. `container` and `treatment` are indices. */
export interface ExchangedUnit {
  readonly number: number;
  readonly container: number;
  readonly row: number;
  readonly column: number;
  readonly treatment: number;
  readonly replicate: number;
  readonly block: string;
  readonly team: string;
  readonly sownOn: CalendarDay | null;
  readonly seedsSown: number | null;
}

/** Something that is read. `unit` and `step` are the plan's; readings keep their own. */
export interface ExchangedVariable {
  readonly name: string;
  readonly kind: VariableKind;
  readonly unit: string;
  readonly step: number;
}

/** One reading; `value` in the base unit (mm, a count, a number). `unit` and `variable` are indices. */
export interface ExchangedReading {
  readonly id: string;
  readonly unit: number;
  readonly variable: number;
  readonly observedOn: CalendarDay;
  readonly state: ReadingState;
  readonly value: number | null;
  readonly unitOfMeasure: string;
  readonly precision: number;
  readonly entered: string;
  readonly observer: string;
  readonly recordedAt: string;
  /** Id of the reading that this one corrects; empty when it corrects none. */
  readonly supersedes: string;
  /** Why it is left out of comparisons; empty when it is not. */
  readonly setAside: string;
}
