import type { ExchangedExperiment } from './model.ts';

/** What a table would make, to be looked at before it is opened. */
export interface LookOver {
  /** Mean over the pots of each treatment that were read, by day; counts are added up over pots instead. */
  readonly rows: readonly { readonly treatment: string; readonly values: readonly (number | null)[] }[];
  readonly days: readonly string[];
  /** Pots with several values on one day, which would count by their mean; one of them as an example. */
  readonly doubled: number;
  readonly example: {
    readonly unit: string;
    readonly day: string;
    readonly values: readonly number[];
  } | null;
}

const MOST_DAYS = 8;

/** Looks over an experiment of one variable before it is kept: its course by treatment, and what would be averaged. */
export function lookOver(experiment: ExchangedExperiment): LookOver {
  const isCount = experiment.variables[0]?.kind === 'count';
  const byUnitDay = new Map<string, number[]>();
  for (const { unit, observedOn, value } of experiment.readings) {
    if (value === null) continue;
    const key = `${unit} ${observedOn}`;
    byUnitDay.set(key, [...(byUnitDay.get(key) ?? []), value]);
  }
  const all = [...new Set(experiment.readings.map((reading) => reading.observedOn))].sort();
  const days = all.length <= MOST_DAYS ? all : pickedOf(all);
  const rows = experiment.treatments.map((treatment, index) => ({
    treatment: treatment.name,
    values: days.map((day) => {
      const means = experiment.units.flatMap((unit, at) => {
        const own = unit.treatment === index ? byUnitDay.get(`${at} ${day}`) : undefined;
        return own ? [own.reduce((sum, value) => sum + value, 0) / own.length] : [];
      });
      const sum = means.reduce((total, value) => total + value, 0);
      return means.length === 0 ? null : isCount ? sum : sum / means.length;
    }),
  }));
  const doubled = [...byUnitDay].filter(([, values]) => values.length > 1);
  const [first] = doubled;
  const [unit = '', day = ''] = first?.[0].split(' ') ?? [];
  return {
    rows,
    days,
    doubled: new Set(doubled.map(([key]) => key.split(' ')[0])).size,
    example: first
      ? { unit: String(experiment.units[Number(unit)]?.number ?? ''), day, values: first[1] }
      : null,
  };
}

/** Evenly picked days, the first and the last among them. */
function pickedOf(days: readonly string[]): string[] {
  return Array.from(
    { length: MOST_DAYS },
    (_, index) => days[Math.round((index * (days.length - 1)) / (MOST_DAYS - 1))] as string,
  );
}
