import { dateOf, isDate } from '../foreign-dates.ts';
import { plainHeading, roleNamed } from '../heading-names.ts';
import type { CalendarDay } from '../../shared/index.ts';
import { isDayHead } from '../guess-columns.ts';
import { cellAt, filledPlaces, isNumber, rowsOf, type Sheet, sheetOf, widthOf } from './sheet.ts';

const MOST_TITLES = 12;

/** What stood above a table. */
export interface Titled {
  readonly sheet: Sheet;
  readonly titles: readonly string[];
}

/** Takes rows away that stand above the headings: a title, whose it is, when it was sown. Undefined without any. */
export function withoutTitles(sheet: Sheet): Titled | undefined {
  const width = widthOf(sheet.rows);
  const rows = rowsOf(sheet);
  const isTitle = (row: readonly string[]): boolean => {
    const filled = filledPlaces(row);
    const isAlone = filled.length <= 1 && (filled[0] ?? 0) === 0;
    const isPair = width >= 4 && filled.length <= 2 && (filled.at(-1) ?? 0) <= 1;
    return isAlone || isPair;
  };
  const first = rows.findIndex(({ cells }) => !isTitle(cells));
  if (width < 2 || first <= 0 || first > MOST_TITLES) return undefined;
  const titles = rows
    .slice(0, first)
    .map(({ cells }) => cells.filter((text) => text.trim() !== '').join(' '));
  return { sheet: sheetOf(rows.slice(first)), titles: titles.filter((text) => text !== '') };
}

/** The sowing day that stands above a table; undefined where none does. */
export function sownIn(titles: readonly string[]): CalendarDay | undefined {
  const [title] = titles.filter((text) =>
    /\b(sown|sowed|sowing|planted|gesat|aussaat|sembrad[oa]s?|siembra|semis|semee?s?)\b/.test(
      plainHeading(text),
    ),
  );
  const [text] = /\d[\d./-]{4,9}\d|\d{1,2}\.? (de )?\p{L}{3,12}\.? (de )?\d{4}/u.exec(title ?? '') ?? [];
  if (text === undefined) return undefined;
  const [one, other] = [dateOf(text, 'dmy'), dateOf(text, 'mdy')];
  return one === undefined || other === undefined || one === other ? (one ?? other) : undefined;
}

/** Puts headings over a table that begins with its values. Undefined where it has headings. */
export function withHeadings(sheet: Sheet): Sheet | undefined {
  const [first = [], ...rest] = sheet.rows;
  const filled = filledPlaces(first);
  const named = filled.filter((at) => roleNamed(cellAt(first, at)) !== undefined).length;
  const numbers = filled.filter((at) => isNumber(cellAt(first, at)) || isDate(cellAt(first, at)));
  const isLike = numbers.every((at) =>
    rest.slice(0, 20).some((row) => isNumber(cellAt(row, at)) || isDate(cellAt(row, at))),
  );
  const hasDays =
    filled.slice(1).filter((at) => isDayHead(cellAt(first, at))).length >= Math.max(2, filled.length - 3);
  const isHeading = named > 0 || numbers.length === 0 || !isLike || hasDays || rest.length === 0;
  if (isHeading) return undefined;
  return {
    rows: [Array.from({ length: widthOf(sheet.rows) }, () => ''), ...sheet.rows],
    sources: [0, ...sheet.sources],
  };
}
