import { say } from '@bright-sprout/words/refusals';
import { guardText, unguardText } from '@bright-sprout/core/imports';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { strFromU8, strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import { ApiError, isConnectionLoss } from '../shared/index.ts';
import { BUNDLE_TABLES, type BundleTable, resourceOf, tidyTable } from './bundle-tables.ts';
import { readCsv } from './read-csv.ts';
import { apart, together } from './tidy-tables.ts';
import type { OpenZip } from './open-zip.ts';

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

const PROFILE = 'data-package';
const MOST_UNPACKED = 120_000_000;
const DESCRIPTION = 'datapackage.json';
const MEDIA_TYPES = { jpg: 'image/jpeg', png: 'image/png' } as const;
const MOST_TABLE_ROWS = 20_000;
const PICTURE = /^photos\/[\w-]+\.(jpg|png)$/;

/**
 * The files of a bundle but its pictures, as a zip that is not packed: related tables, the plan and `datapackage.json`
 * (Data Package v1).
 */
export function bundleTexts(bundle: Bundle): Uint8Array {
  const files: Record<string, string> = {};
  const resources: object[] = [];
  for (const [name, rows] of entries(apart(bundle.readings))) {
    files[`${name}.csv`] = csv(rows);
    resources.push(resourceOf(name, tidyTable(name, rows[0] ?? [])));
  }
  for (const [name, table] of entries(BUNDLE_TABLES)) {
    files[`${name}.csv`] = csv(guarded(table.columns, bundle.tables[name]));
    resources.push(resourceOf(name, table));
  }
  if (bundle.plan !== '') {
    files['plan.json'] = bundle.plan;
    resources.push({
      ...PLAIN,
      name: 'plan',
      path: 'plan.json',
      format: 'json',
      mediatype: 'application/json',
    });
  }
  for (const path of bundle.pictures)
    resources.push({
      ...PLAIN,
      name: path.replaceAll(/[^a-z0-9]+/g, '-'),
      path,
      mediatype: typeOfPicture(path),
    });
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

const PLAIN = { profile: 'data-resource' } as const;

function entries<Name extends string, Value>(of: Readonly<Record<Name, Value>>): [Name, Value][] {
  return Object.entries(of) as [Name, Value][];
}

/** Rows under their header, with texts that no spreadsheet takes for formulas. */
function guarded(columns: Readonly<Record<string, string>>, rows: readonly BundleRow[]): string[][] {
  const types = Object.entries(columns);
  return [
    Object.keys(columns),
    ...rows.map((row) =>
      types.map(([name, type]) => (type === 'string' ? guardText(row[name] ?? '') : (row[name] ?? ''))),
    ),
  ];
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
  const wanted = [DESCRIPTION, 'plan.json', 'readings.csv', 'pots.csv', 'variables.csv'];
  for (const name of [...wanted, ...Object.keys(BUNDLE_TABLES).map((table) => `${table}.csv`)]) {
    const bytes = await zip.read(name, left).catch(refuseBundle);
    if (!bytes) continue;
    left -= bytes.length;
    files.set(name, bytes);
  }
  const readings = files.get('readings.csv');
  const text = (name: string): string => files.get(name)?.toString() ?? '';
  const table = (name: string): string[][] => {
    const bytes = files.get(name);
    return bytes && bytes.length > 0 ? readCsv(bytes) : [];
  };
  const description = parsed(text(DESCRIPTION));
  if (description === undefined || !readings) throw noBundle();
  const rowsOf = (name: BundleTable): BundleRow[] => {
    const [header = [], ...rows] = table(`${name}.csv`);
    if (rows.length > MOST_TABLE_ROWS) throw noBundle();
    return rows.map((row) =>
      Object.fromEntries(header.map((column, at) => [column, unguardText(row[at] ?? '')])),
    );
  };
  return {
    title: textOf(description.title, 'Experiment'),
    status: textOf(description.status, ''),
    hypothesis: textOf(description.hypothesis, ''),
    readings: together(readCsv(readings), table('pots.csv'), table('variables.csv')),
    plan: text('plan.json'),
    tables: {
      care_pots: rowsOf('care_pots'),
      moves: rowsOf('moves'),
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
  return new ApiError('unreadable_file', say('thisIsNotABundle'), {
    rows: [],
    rowCount: 0,
  });
}
