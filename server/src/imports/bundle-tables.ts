/** A table of a bundle: what it holds, the type of each column, and how it hangs on others. */
export interface TableDescription {
  readonly description: string;
  readonly columns: Readonly<Record<string, ColumnType>>;
  readonly primaryKey?: string;
  /** Columns whose values stand in a column of another table, as `table.column`; of this one where no table is named. */
  readonly references?: Readonly<Record<string, string>>;
}

type ColumnType = 'string' | 'integer' | 'number' | 'boolean' | 'date' | 'datetime';

const POT = 'pots.unit';
const PLACE = { container: 'containers.container' } as const;

/** The tables of a bundle beside those of its readings. */
export const BUNDLE_TABLES = {
  care: {
    description: 'What was done to the pots: to those of care_pots, and to all where it names none.',
    columns: {
      care: 'string',
      happened_on: 'date',
      kind: 'string',
      amount: 'number',
      words: 'string',
      reason: 'string',
      observer: 'string',
      is_undone: 'boolean',
    },
    primaryKey: 'care',
  },
  care_pots: {
    description: 'Which pots care was given to.',
    columns: { care: 'string', unit: 'integer' },
    references: { care: 'care.care', unit: POT },
  },
  moves: {
    description: 'Where pots were moved to.',
    columns: { care: 'string', unit: 'integer', container: 'integer', row: 'integer', column: 'integer' },
    references: { care: 'care.care', unit: POT, ...PLACE },
  },
  journal: {
    description:
      'Photos, drawings and sentences. `picture` is a file of this package; `drawing` the lines of one, as JSON.',
    columns: {
      entry: 'string',
      happened_on: 'date',
      kind: 'string',
      unit: 'integer',
      words: 'string',
      observer: 'string',
      picture: 'string',
      drawing: 'string',
    },
    primaryKey: 'entry',
    references: { unit: POT },
  },
  photos: {
    description:
      'Photos of containers and pots. `corners` are x and y of four corners as shares of width and height, `left_out` strokes as JSON over the container straightened, `across_mm` and `down_mm` the size between the corners. `picture` is a file of this package; empty once it was deleted.',
    columns: {
      id: 'string',
      taken_on: 'date',
      view: 'string',
      container: 'integer',
      unit: 'integer',
      corners: 'string',
      grey_patch: 'string',
      left_out: 'string',
      across_mm: 'number',
      down_mm: 'number',
      observer: 'string',
      picture: 'string',
    },
    primaryKey: 'id',
    references: { unit: POT, ...PLACE },
  },
  measures: {
    description: 'How readings by the observer `picture` were measured on photos.',
    columns: {
      reading: 'string',
      photo: 'string',
      kind: 'string',
      threshold: 'number',
      low: 'number',
      high: 'number',
      pixels: 'integer',
      apart_mm: 'number',
      marks: 'string',
    },
    primaryKey: 'reading',
    references: { reading: 'readings.reading', photo: 'photos.id' },
  },
  predictions: {
    description: 'Guesses.',
    columns: { prediction: 'string', choice: 'string', made_at: 'datetime' },
    primaryKey: 'prediction',
  },
  conclusions: {
    description: 'Claims with their evidence and reasoning.',
    columns: {
      conclusion: 'string',
      claim: 'string',
      evidence: 'string',
      reasoning: 'string',
      observer: 'string',
      written_at: 'datetime',
    },
    primaryKey: 'conclusion',
  },
} as const satisfies Record<string, TableDescription>;

export type BundleTable = keyof typeof BUNDLE_TABLES;

const READING_TYPES: Readonly<Record<string, ColumnType>> = {
  container: 'integer',
  container_rows: 'integer',
  container_columns: 'integer',
  unit: 'integer',
  row: 'integer',
  column: 'integer',
  treatment_order: 'integer',
  day: 'integer',
  replicate: 'integer',
  seeds_sown: 'integer',
  variable_order: 'integer',
  planned_precision: 'number',
  value: 'number',
  precision: 'number',
  sown: 'date',
  observed: 'date',
  sow_on: 'date',
  lesson_on: 'date',
  recorded_at: 'datetime',
};

/** The tables that a tidy table is taken apart into, by what is said of them; columns are those that each has. */
export function tidyTable(name: TidyTable, header: readonly string[]): TableDescription {
  return {
    ...TIDY_TABLES[name],
    columns: Object.fromEntries(header.map((column) => [column, READING_TYPES[column] ?? 'string'])),
  };
}

const TIDY_TABLES = {
  containers: { description: 'What the pots stand in.', primaryKey: 'container' },
  pots: {
    description: 'One row a pot: where it stands, what it gets, when it was sown.',
    primaryKey: 'unit',
    references: PLACE,
  },
  variables: { description: 'What is read of the pots, and how finely.', primaryKey: 'variable' },
  readings: {
    description: 'One row a reading, with the plan repeated on each.',
    primaryKey: 'reading',
    references: { unit: POT, variable: 'variables.variable', supersedes: '.reading', ...PLACE },
  },
} as const;

export type TidyTable = keyof typeof TIDY_TABLES;

/** A table as a tabular resource of a Data Package (v1). */
export function resourceOf(
  name: string,
  { columns, primaryKey, references, description }: TableDescription,
): object {
  return {
    name,
    path: `${name}.csv`,
    profile: 'tabular-data-resource',
    description,
    encoding: 'utf-8',
    schema: {
      // Instants are told to the millisecond, which the default format of a datetime does not have.
      fields: Object.entries(columns).map(([column, type]) =>
        type === 'datetime' ? { name: column, type, format: 'any' } : { name: column, type },
      ),
      missingValues: [''],
      ...(primaryKey ? { primaryKey } : {}),
      ...(references ? { foreignKeys: Object.entries(references).map(foreignKey) } : {}),
    },
  };
}

function foreignKey([fields, to]: readonly [string, string]): object {
  const [resource, column] = to.split('.');
  return { fields, reference: { resource, fields: column } };
}
