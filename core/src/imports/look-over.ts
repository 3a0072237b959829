import { daysBetween } from '../shared/index.ts';
import { meanOf } from '../statistics/index.ts';
import type { TableMapping } from './mapping.ts';
import type { ExchangedExperiment, ExchangedVariable } from './model.ts';
import { readMapped } from './read-mapped.ts';

/** What a table would make of one variable, to be looked at before it is opened. */
export interface Course {
  readonly variable: ExchangedVariable;
  readonly days: readonly string[];
  /** Mean over the pots of each treatment that were read, by day; counts are added up over pots instead. */
  readonly rows: readonly { readonly treatment: string; readonly values: readonly (number | null)[] }[];
}

/** Pots with several values of one variable on one day, which count by their mean. */
export interface Doubled {
  readonly pots: number;
  readonly variable: ExchangedVariable;
  readonly unit: string;
  readonly day: string;
  readonly values: readonly number[];
}

/** Two days of reading that are next to each other and far apart. */
export interface Gap {
  readonly from: string;
  readonly to: string;
  readonly days: number;
}

const MOST_DAYS_SHOWN = 8;
const FAR_APART_DAYS = 400;
const MOST_ROWS_TRIED = 2000;

/** The course of each variable by treatment, at a few of its days. */
export function coursesOf(experiment: ExchangedExperiment): Course[] {
  return experiment.variables.map((variable, index) => {
    const values = valuesByUnitDay(experiment, index);
    const days = pickedOf([...new Set([...values.values()].map(({ day }) => day))].sort());
    const average = variable.kind === 'count' ? sumOf : meanOf;
    const rows = experiment.treatments.map(({ name }, at) => {
      const units = experiment.units.flatMap((unit, place) => (unit.treatment === at ? [place] : []));
      return { treatment: name, values: days.map((day) => valueOf(units, day, values, average)) };
    });
    return { variable, days, rows };
  });
}

/** Pots with several values of one variable on one day; undefined when there are none. */
export function doubledOf(experiment: ExchangedExperiment): Doubled | undefined {
  for (const [index, variable] of experiment.variables.entries()) {
    const doubled = [...valuesByUnitDay(experiment, index).values()].filter((own) => own.values.length > 1);
    const [first] = doubled;
    if (!first) continue;
    return {
      pots: new Set(doubled.map(({ unit }) => unit)).size,
      variable,
      unit: String(experiment.units[first.unit]?.number ?? ''),
      day: first.day,
      values: first.values,
    };
  }
  return undefined;
}

/** Columns without a use by which values of one pot and day would be of pots of their own. */
export function tellingApart(rows: readonly (readonly string[])[], mapping: TableMapping): number[] {
  const some = rows.slice(0, MOST_ROWS_TRIED);
  return mapping.roles.flatMap((role, at) => {
    if (role !== 'ignore') return [];
    const roles = mapping.roles.map((own, index) => (index === at ? 'replicate' : own));
    const read = readMapped(some, { ...mapping, roles }, '');
    return read.ok && !doubledOf(read.experiment) ? [at] : [];
  });
}

/** The longest time without a reading, when it is over a year: a year may be mistyped. */
export function gapOf(experiment: ExchangedExperiment): Gap | undefined {
  const days = [...new Set(experiment.readings.map(({ observedOn }) => observedOn))].sort();
  const gaps = days.slice(1).map((to, index) => {
    const from = days[index] as typeof to;
    return { from, to, days: daysBetween(from, to) };
  });
  const longest = gaps.reduce<Gap | undefined>(
    (most, gap) => (gap.days > (most?.days ?? 0) ? gap : most),
    undefined,
  );
  return longest && longest.days > FAR_APART_DAYS ? longest : undefined;
}

interface UnitDay {
  readonly unit: number;
  readonly day: string;
  readonly values: number[];
}

function valuesByUnitDay(experiment: ExchangedExperiment, variable: number): Map<string, UnitDay> {
  const found = new Map<string, UnitDay>();
  for (const reading of experiment.readings) {
    if (reading.variable !== variable || reading.value === null) continue;
    const key = `${reading.unit} ${reading.observedOn}`;
    const known = found.get(key);
    if (known) known.values.push(reading.value);
    else found.set(key, { unit: reading.unit, day: reading.observedOn, values: [reading.value] });
  }
  return found;
}

function valueOf(
  units: readonly number[],
  day: string,
  values: ReadonlyMap<string, UnitDay>,
  average: (values: readonly number[]) => number,
): number | null {
  const means = units.flatMap((unit) => {
    const own = values.get(`${unit} ${day}`)?.values;
    return own ? [meanOf(own)] : [];
  });
  return means.length === 0 ? null : average(means);
}

function sumOf(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

/** Evenly picked days, the first and the last among them. */
function pickedOf(days: readonly string[]): readonly string[] {
  if (days.length <= MOST_DAYS_SHOWN) return days;
  return Array.from(
    { length: MOST_DAYS_SHOWN },
    (_, index) => days[Math.round((index * (days.length - 1)) / (MOST_DAYS_SHOWN - 1))] as string,
  );
}
