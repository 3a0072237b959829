import { guardText, unguardText } from '@bright-sprout/core/imports';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { strFromU8, strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import { ApiError, isConnectionLoss } from '../shared/index.ts';
import { readCsv } from './read-csv.ts';
import type { OpenZip } from './open-zip.ts';

/** The tables of a bundle beside its readings, with the type of each column. */
export const BUNDLE_TABLES = {
  care: {
    description:
      'What was done to the pots. `units` are pot numbers joined by spaces; empty for all. `moves` are places as pot:container/row/column, joined by spaces.',
    columns: {
      happened_on: 'date',
      kind: 'string',
      amount: 'number',
      units: 'string',
      words: 'string',
      reason: 'string',
      moves: 'string',
      observer: 'string',
      is_undone: 'boolean',
    },
  },
  journal: {
    description:
      'Photos, drawings and sentences. `picture` is a file of this package; `drawing` the lines of one, as JSON.',
    columns: {
      happened_on: 'date',
      kind: 'string',
      unit: 'integer',
      words: 'string',
      observer: 'string',
      picture: 'string',
      drawing: 'string',
    },
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
  },
  measures: {
    description: 'How readings by the observer `picture` were measured on photos.',
    columns: {
      photo: 'string',
      unit: 'integer',
      variable: 'string',
      observed: 'date',
      recorded_at: 'datetime',
      kind: 'string',
      threshold: 'number',
      low: 'number',
      high: 'number',
      pixels: 'integer',
      apart_mm: 'number',
      marks: 'string',
    },
  },
  predictions: { description: 'Guesses.', columns: { choice: 'string', made_at: 'datetime' } },
  conclusions: {
    description: 'Claims with their evidence and reasoning.',
    columns: {
      claim: 'string',
      evidence: 'string',
      reasoning: 'string',
      observer: 'string',
      written_at: 'datetime',
    },
  },
} as const;

export type BundleTable = keyof typeof BUNDLE_TABLES;

/** Rows of a table by column. */
export type BundleRow = Readonly<Record<string, string>>;

/** What a bundle holds. */
export interface Bundle {
  readonly title: string;
  /** The tidy table with its header. */
  readonly readings: readonly (readonly string[])[];
  /** The plan as JSON; empty for a design from a file. */
  readonly plan: string;
  readonly status: string;
  readonly hypothesis: string;
  readonly tables: Readonly<Record<BundleTable, readonly BundleRow[]>>;
  /** File names of its pictures, which are read one at a time. */
  readonly pictures: readonly string[];
}

const PROFILE = 'tabular-data-package';
const READING_TYPES: Readonly<Record<string, string>> = {
  unit: 'integer',
  row: 'integer',
  column: 'integer',
  day: 'integer',
  replicate: 'integer',
  seeds_sown: 'integer',
  value: 'number',
  precision: 'number',
  sown: 'date',
  observed: 'date',
  sow_on: 'date',
  lesson_on: 'date',
  recorded_at: 'datetime',
};
const MOST_UNPACKED = 120_000_000;
const DESCRIPTION = 'datapackage.json';
const MEDIA_TYPES = { jpg: 'image/jpeg', png: 'image/png' } as const;
const MOST_TABLE_ROWS = 20_000;
const PICTURE = /^photos\/[\w-]+\.(jpg|png)$/;

/**
 * The files of a bundle but its pictures, as a zip that is not packed: tables, the plan and `datapackage.json` (Data
 * Package v1).
 */
export function bundleTexts(bundle: Bundle): Uint8Array {
  const [header = []] = bundle.readings;
  const files: Record<string, string> = { 'readings.csv': csv(bundle.readings) };
  const resources: object[] = [
    resource(
      'readings',
      'One row a reading, with the plan repeated on each.',
      header.map((name) => [name, READING_TYPES[name] ?? 'string']),
    ),
  ];
  for (const [name, table] of Object.entries(BUNDLE_TABLES) as [
    BundleTable,
    (typeof BUNDLE_TABLES)[BundleTable],
  ][]) {
    const columns = Object.keys(table.columns);
    const types = Object.values(table.columns);
    const rows = bundle.tables[name].map((row) =>
      columns.map((column, at) =>
        types[at] === 'string' ? guardText(row[column] ?? '') : (row[column] ?? ''),
      ),
    );
    files[`${name}.csv`] = csv([columns, ...rows]);
    resources.push(resource(name, table.description, Object.entries(table.columns)));
  }
  if (bundle.plan !== '') {
    files['plan.json'] = bundle.plan;
    resources.push({ name: 'plan', path: 'plan.json', format: 'json', mediatype: 'application/json' });
  }
  for (const path of bundle.pictures)
    resources.push({ name: path.replaceAll(/[^a-z0-9]+/g, '-'), path, mediatype: typeOfPicture(path) });
  const description = {
    profile: PROFILE,
    name: 'bright-sprout-experiment',
    title: bundle.title,
    status: bundle.status,
    hypothesis: bundle.hypothesis,
    resources,
  };
  const all = Object.entries({ [DESCRIPTION]: JSON.stringify(description, null, 2), ...files });
  return zipSync(Object.fromEntries(all.map(([name, text]) => [name, strToU8(text)])), { level: 0 });
}

/** The pictures that the description among a bundle's files names. */
export function picturesOf(files: Readonly<Record<string, Uint8Array>>): string[] {
  const { resources } = JSON.parse(strFromU8(files[DESCRIPTION] as Uint8Array)) as {
    resources: { path: string; mediatype?: string }[];
  };
  return resources.filter(({ mediatype }) => mediatype?.startsWith('image/')).map(({ path }) => path);
}

function typeOfPicture(path: string): string {
  return path.endsWith('.png') ? MEDIA_TYPES.png : MEDIA_TYPES.jpg;
}

function resource(name: string, description: string, fields: readonly (readonly [string, string])[]): object {
  return {
    name,
    path: `${name}.csv`,
    profile: 'tabular-data-resource',
    description,
    encoding: 'utf-8',
    schema: { fields: fields.map(([field, type]) => ({ name: field, type })), missingValues: [''] },
  };
}

function csv(rows: readonly (readonly string[])[]): string {
  return `${Papa.unparse(rows.map((row) => [...row]))}\r\n`;
}

/**
 * Reads a bundle, all but its pictures.
 * @throws ApiError `unreadable_file` for a zip that is no bundle, or whose tables unpack to more than 120 MB
 */
export async function readBundle(zip: OpenZip): Promise<Bundle> {
  const files = new Map<string, Buffer>();
  let left = MOST_UNPACKED;
  const wanted = [DESCRIPTION, 'plan.json', 'readings.csv'];
  for (const name of [...wanted, ...Object.keys(BUNDLE_TABLES).map((table) => `${table}.csv`)]) {
    const bytes = await zip.read(name, left).catch(refuseBundle);
    if (!bytes) continue;
    left -= bytes.length;
    files.set(name, bytes);
  }
  const readings = files.get('readings.csv');
  const text = (name: string): string => files.get(name)?.toString() ?? '';
  const description = parsed(text(DESCRIPTION));
  if (description === undefined || !readings) throw noBundle();
  const rowsOf = (name: BundleTable): BundleRow[] => {
    const bytes = files.get(`${name}.csv`);
    if (!bytes || bytes.length === 0) return [];
    const [header = [], ...rows] = readCsv(bytes);
    if (rows.length > MOST_TABLE_ROWS) throw noBundle();
    return rows.map((row) =>
      Object.fromEntries(header.map((column, at) => [column, unguardText(row[at] ?? '')])),
    );
  };
  return {
    title: textOf(description.title, 'Experiment'),
    status: textOf(description.status, ''),
    hypothesis: textOf(description.hypothesis, ''),
    readings: readCsv(readings),
    plan: text('plan.json'),
    tables: {
      care: rowsOf('care').filter((row) => isCalendarDay(row.happened_on ?? '')),
      journal: rowsOf('journal').filter((row) => isCalendarDay(row.happened_on ?? '')),
      photos: rowsOf('photos'),
      measures: rowsOf('measures'),
      predictions: rowsOf('predictions'),
      conclusions: rowsOf('conclusions'),
    },
    pictures: zip.names.filter((name) => PICTURE.test(name)),
  };
}

function textOf(value: unknown, otherwise: string): string {
  return typeof value === 'string' ? value : otherwise;
}

function parsed(text: string): Record<string, unknown> | undefined {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : undefined;
  } catch {
    return undefined;
  }
}

/** Takes a part of a zip that could not be read for no bundle, unless it was the database that could not. */
export function refuseBundle(thrown: unknown): never {
  throw isConnectionLoss(thrown) ? thrown : noBundle();
}

/** What is said of a zip that is no bundle. */
export function noBundle(): ApiError {
  return new ApiError(
    'unreadable_file',
    'This is not a bundle: choose a zip that was made with “Bundle” in Compare.',
    {
      rows: [],
      rowCount: 0,
    },
  );
}
