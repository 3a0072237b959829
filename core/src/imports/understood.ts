import type { ReadingState } from '../shared/index.ts';
import type { ExchangedExperiment, ExchangedReading, ExchangedVariable } from './model.ts';

/** What a table was taken to say, to be compared with what its class knows of it. */
export interface Understood {
  readonly pots: number;
  readonly treatments: readonly UnderstoodTreatment[];
  readonly days: number;
  readonly firstDay: string;
  readonly lastDay: string;
  readonly variables: readonly Range[];
  /** Pots that were dead, or not up, at their last reading. */
  readonly dead: number;
  readonly notUp: number;
}

/** A treatment with its pots as they were at their last reading of the first variable. */
export interface UnderstoodTreatment {
  readonly name: string;
  readonly pots: readonly LastOfPot[];
}

/** A pot at its last reading; `share` of the greatest last value of all pots, 0 to 1, `null` without a value. */
export interface LastOfPot {
  readonly number: number;
  readonly share: number | null;
  readonly state: ReadingState | null;
}

/** The least and the greatest value of a variable, in its base unit, and the pot of the greatest. */
export interface Range {
  readonly variable: ExchangedVariable;
  readonly count: number;
  readonly low: number;
  readonly high: number;
  readonly highestPot: number;
}

/** What an experiment holds, in a few figures and a drawing's worth of last values. */
export function understoodOf({ units, treatments, variables, readings }: ExchangedExperiment): Understood {
  const days = [...new Set(readings.map(({ observedOn }) => observedOn))].sort();
  const ordered = [...readings].sort((one, other) => (one.observedOn < other.observedOn ? -1 : 1));
  const last = new Map<number, ExchangedReading>();
  for (const reading of ordered) if (reading.variable === 0) last.set(reading.unit, reading);
  const greatest = Math.max(0, ...[...last.values()].map(({ value }) => value ?? 0));
  const lastOf = (unit: number): LastOfPot => {
    const reading = last.get(unit);
    const value = reading?.value ?? null;
    return {
      number: units[unit]?.number ?? 0,
      share: value === null || greatest === 0 ? null : Math.max(0, value) / greatest,
      state: reading?.state ?? null,
    };
  };
  const states = [...last.values()].map(({ state }) => state);
  return {
    pots: units.length,
    treatments: treatments.map(({ name }, at) => ({
      name,
      pots: units.flatMap(({ treatment }, unit) => (treatment === at ? [lastOf(unit)] : [])),
    })),
    days: days.length,
    firstDay: days[0] ?? '',
    lastDay: days.at(-1) ?? '',
    variables: variables.flatMap((variable, at) =>
      rangeOf(
        variable,
        readings.filter((own) => own.variable === at),
        units,
      ),
    ),
    dead: states.filter((state) => state === 'dead').length,
    notUp: states.filter((state) => state === 'not_emerged').length,
  };
}

function rangeOf(
  variable: ExchangedVariable,
  readings: readonly ExchangedReading[],
  units: ExchangedExperiment['units'],
): Range[] {
  const valued = readings.filter((reading) => reading.value !== null);
  const [first] = valued;
  if (!first) return [];
  const valueOf = ({ value }: ExchangedReading): number => value ?? 0;
  const highest = valued.reduce(
    (most, reading) => (valueOf(reading) > valueOf(most) ? reading : most),
    first,
  );
  const low = valued.reduce((least, reading) => Math.min(least, valueOf(reading)), valueOf(first));
  return [
    {
      variable,
      count: valued.length,
      low,
      high: valueOf(highest),
      highestPot: units[highest.unit]?.number ?? 0,
    },
  ];
}
