import { isDayHead } from '../guess-columns.ts';
import { isDate } from '../foreign-dates.ts';
import { plainHeading, roleNamed } from '../heading-names.ts';
import { cellAt, columnTexts, isNumber, rowsOf, type Sheet, sheetOf } from './sheet.ts';

const MOST_TREATMENTS = 12;

/** A table whose pots' names are told from their treatments. */
export interface SplitNames {
  readonly sheet: Sheet;
  /** One of the names, and what it was taken to say. */
  readonly example: { readonly name: string; readonly treatment: string };
  /** True where the letters may as well be places of a tray. */
  readonly isOpen: boolean;
}

/**
 * Where no column says the treatment, tells it from the names of pots: `A1-W` and `B2-W` are of `W`, `Salt 3` is of
 * `Salt`. Undefined where names say no treatment, or a column does.
 */
export function splitNames(sheet: Sheet): SplitNames | undefined {
  const [header = [], ...body] = sheet.rows;
  const roles = header.map((name) => roleNamed(name));
  const at = roles.findIndex((role) => role === 'unit' || role === 'replicate' || role === 'plant');
  const isSorted = header.some(
    (_, place) =>
      roles[place] === 'treatment' || (place !== at && roles[place] === undefined && isSorting(sheet, place)),
  );
  if (at < 0 || isSorted) return undefined;
  const treatmentOf = treatmentsIn(columnTexts(sheet, at));
  if (!treatmentOf) return undefined;
  const rows = rowsOf(sheet).map(({ cells, source }, index) => ({
    cells: [
      ...cells.slice(0, at + 1),
      index === 0 ? 'treatment' : (treatmentOf.of(cellAt(cells, at)) ?? ''),
      ...cells.slice(at + 1),
    ],
    source,
  }));
  const name = cellAt(body[0], at);
  return {
    sheet: sheetOf(rows),
    example: { name, treatment: treatmentOf.of(name) ?? '' },
    isOpen: treatmentOf.isOpen,
  };
}

/** The same for a table with a pot a column: what its headings say becomes a row of treatments. */
export function splitHeadings(sheet: Sheet): SplitNames | undefined {
  const [header = [], first = []] = sheet.rows;
  const isTimed = ['day', 'date'].includes(roleNamed(cellAt(header, 0)) ?? '');
  const names = header
    .slice(1)
    .map((name) => name.trim())
    .filter((name) => name !== '');
  const isNamed = names.every(
    (name) => !isDayHead(name) && (roleNamed(name) === undefined || /\d\s*$/.test(plainHeading(name))),
  );
  const hasRow = header.slice(1).every((_, at) => !isNumber(cellAt(first, at + 1)));
  if (!isTimed || names.length < 3 || !isNamed || hasRow) return undefined;
  const treatmentOf = treatmentsIn(names);
  if (!treatmentOf) return undefined;
  const treatments = header.map((name, at) => (at === 0 ? '' : (treatmentOf.of(name.trim()) ?? '')));
  const [name = ''] = names;
  const made = {
    rows: [header, treatments, ...sheet.rows.slice(1)],
    sources: [sheet.sources[0] ?? 1, ...sheet.sources],
  };
  return {
    sheet: made,
    example: { name, treatment: treatmentOf.of(name) ?? '' },
    isOpen: treatmentOf.isOpen,
  };
}

function isSorting(sheet: Sheet, at: number): boolean {
  const texts = columnTexts(sheet, at).filter((text) => !isNumber(text) && !isDate(text));
  const levels = new Set(texts).size;
  return levels >= 2 && levels < texts.length && levels <= 24;
}

interface Treatments {
  readonly of: (name: string) => string | undefined;
  readonly isOpen: boolean;
}

/** How names say treatments: the part that comes again; undefined where no part does. */
function treatmentsIn(texts: readonly string[]): Treatments | undefined {
  const names = [...new Set(texts)];
  const ways = [
    (name: string) => /[-_/ ]([^\d_/-]+)$/.exec(name)?.[1]?.trim(),
    (name: string) => /^(\D[^-_/]*?)[-_/].*$/.exec(name)?.[1]?.trim(),
    (name: string) =>
      /^(\D*?\D)[\s_#.-]*\d+\s*$/
        .exec(name)?.[1]
        ?.replace(/([\s_]+(pot|dish|plate|plant|rep|cup|cell|topf|schale|maceta|placa))?[\s_#.-]*$/i, ''),
  ];
  for (const [index, of] of ways.entries()) {
    const counts = new Map<string, number>();
    for (const name of names) {
      const treatment = of(name);
      if (treatment !== undefined) counts.set(treatment, (counts.get(treatment) ?? 0) + 1);
    }
    const told = [...counts.values()].reduce((total, count) => total + count, 0);
    const isTelling =
      told === names.length &&
      counts.size >= 2 &&
      counts.size <= MOST_TREATMENTS &&
      [...counts.values()].every((count) => count >= 2);
    const arePots = [...counts.keys()].every(
      (word) => roleNamed(word) !== undefined && roleNamed(word) !== 'treatment',
    );
    if (isTelling && !arePots)
      return { of, isOpen: index === 2 && [...counts.keys()].every((word) => word.length === 1) };
  }
  return undefined;
}
