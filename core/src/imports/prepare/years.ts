import { dateOf, isDate, type DateOrder } from '../foreign-dates.ts';
import { roleNamed } from '../heading-names.ts';
import { cellAt, rowsOf, type Sheet, sheetOf } from './sheet.ts';

/** True for a table with days that say no year, such as `4 May` or `4/5` below "date". */
export function needsYear(sheet: Sheet): boolean {
  return withYear(sheet, 2000) !== undefined;
}

/** Writes a year to all days that say none, in headings and below headings of dates. Undefined where all say one. */
export function withYear(sheet: Sheet, year: number): Sheet | undefined {
  const [header = [], ...body] = sheet.rows;
  const dates = header.flatMap((name, at) => (['date', 'sown'].includes(roleNamed(name) ?? '') ? [at] : []));
  const heads = header.map((name, at) => (at === 0 ? name : (dated(name, year) ?? name)));
  const headCount = heads.filter((name, at) => name !== header[at]).length;
  let changed = headCount >= 2 ? headCount : 0;
  const rows = rowsOf({ rows: body, sources: sheet.sources.slice(1) }).map(({ cells, source }) => {
    const made = [...cells];
    for (const at of dates) {
      const text = dated(cellAt(cells, at), year);
      if (text === undefined) continue;
      made[at] = text;
      changed += 1;
    }
    return { cells: made, source };
  });
  const head = { cells: headCount >= 2 ? heads : header, source: sheet.sources[0] ?? 1 };
  return changed > 0 ? sheetOf([head, ...rows]) : undefined;
}

/** A day without its year, with it; undefined for anything else. */
function dated(text: string, year: number): string | undefined {
  const day = text.trim().replace(/\.$/, '');
  if (day === '' || isDate(text) || /^\d+[.,]\d+$/.test(text.trim())) return undefined;
  const isNumbers = /^\d{1,2}[./]\d{1,2}$/.test(day);
  const made = isNumbers ? `${day}${day.includes('.') ? '.' : '/'}${year}` : `${day} ${year}`;
  const isDay = (['dmy', 'mdy'] as DateOrder[]).some((order) => dateOf(made, order) !== undefined);
  return isDay && (isNumbers || /\p{L}/u.test(day)) ? made : undefined;
}
