import { calendarDay } from '../shared/index.ts';
import type { Counting } from './counting.ts';
import { plainHeading } from './heading-names.ts';
import type { MappedVariable, TableMapping } from './mapping.ts';
import { readMapped } from './read-mapped.ts';

type Rows = readonly (readonly string[])[];

const ANY_DAY = calendarDay('1900-01-01');
const MOST_LOOKED_AT = 2000;
/** Plants get lost now and then; counts that fall in so many pots are not counts of what came up by then. */
const OFTEN = 0.25;
/** Counts that rise from check to check so often, and never fall, are hardly of what is new. */
const RISES_THAT_TELL = 6;

/** How a count was taken; `isSure` false where another way fits as well. */
export interface GuessedCounting {
  readonly counting: Counting;
  readonly isSure: boolean;
}

const SAID: readonly (readonly [RegExp, Counting])[] = [
  [/\b(new|newly|today|since|neu|neue|nuev[oa]s?|nouve(au|lles?))\b/, 'new'],
  [
    /\b(cumulative|cumulated|total|so far|altogether|kumuliert|gesamt|insgesamt|acumulad[oa]s?|cumule[es]*|by then)\b/,
    'so_far',
  ],
  [/\b(standing|alive|living|present|lebend|viv[oa]s|vivantes?)\b/, 'standing'],
];

/**
 * How the counts of a variable were taken: by its heading, else by how they go on from check to check.
 * @param heading what stands over its values, and over the table
 */
export function countingOf(
  rows: Rows,
  mapping: TableMapping,
  variable: MappedVariable,
  heading: string,
): GuessedCounting {
  const said = SAID.find(([pattern]) => pattern.test(plainHeading(heading)));
  if (said) return { counting: said[1], isSure: true };
  const sure = (counting: Counting): GuessedCounting => ({ counting, isSure: true });
  if (variable.kind !== 'count' || variable.name !== 'seeds up') return sure('so_far');
  const pots = checksOf(rows, mapping, variable);
  if (pots.length === 0) return sure('so_far');
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  const isTooMany = pots.some(({ values, sown }) => sown !== null && sum(values) > sown);
  const steps = pots.flatMap(({ values }) => values.slice(1).map((value, at) => value - (values[at] ?? 0)));
  const falling = pots.filter(({ values }) =>
    values.some((value, at) => at > 0 && value < (values[at - 1] ?? 0)),
  );
  if (falling.length === 0) {
    return {
      counting: 'so_far',
      isSure: isTooMany || steps.filter((step) => step > 0).length >= RISES_THAT_TELL,
    };
  }
  if (falling.length < OFTEN * pots.length) return sure('so_far');
  if (isTooMany) return sure('standing');
  const endLow = pots.filter(({ values }) => (values.at(-1) ?? 0) <= Math.max(...values) / 2);
  const hasSown = pots.every(({ sown }) => sown !== null);
  return { counting: 'new', isSure: hasSown && endLow.length >= pots.length / 2 };
}

/** The counts of each pot that was checked several times, in order of days, with its seeds sown. */
function checksOf(
  rows: Rows,
  mapping: TableMapping,
  { name }: MappedVariable,
): { readonly values: number[]; readonly sown: number | null }[] {
  const variables = mapping.variables.map((own) => ({ ...own, counting: 'so_far' as const }));
  const read = readMapped(
    rows.slice(0, MOST_LOOKED_AT),
    { ...mapping, variables, sownOn: mapping.sownOn ?? ANY_DAY },
    '',
  );
  if (!read.ok) return [];
  const { units, readings, variables: found } = read.experiment;
  return units.flatMap(({ seedsSown }, unit) => {
    const own = readings
      .filter(
        (reading) =>
          reading.unit === unit && found[reading.variable]?.name === name && reading.value !== null,
      )
      .sort((one, other) => (one.observedOn < other.observedOn ? -1 : 1));
    return own.length > 1 ? [{ values: own.map(({ value }) => value ?? 0), sown: seedsSown }] : [];
  });
}
