import { type CalendarDay, isCalendarDay } from '../shared/index.ts';

/** How dates with slashes or dots are meant. */
export const DATE_ORDERS = ['dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const NOTHING = /^(|-|–|na|n\/a|nan|null|\.)$/i;
const STATES: readonly (readonly [RegExp, string])[] = [
  [/^(dead|died|tot)$/i, 'dead'],
  [/^(not up|not up yet|not yet|no sprout|nothing yet)$/i, 'not_up'],
  [/^(removed|thinned|knocked over|gone)$/i, 'removed'],
  [/^(not read|absent|forgot|forgotten|missed)$/i, 'not_read'],
  [/^(up)$/i, 'up'],
];

/** The state that a cell names; undefined for a cell that names none. */
export function stateOf(text: string): string | undefined {
  return STATES.find(([pattern]) => pattern.test(text))?.[1];
}

/** `4.5`, `4,5`, `4.5 cm`; empty for an empty cell, undefined for anything else. */
export function plainNumber(text: string): string | undefined {
  if (NOTHING.test(text) || stateOf(text) !== undefined) return '';
  const [, number] = /^(-?\d*[.,]?\d+(?:[eE][-+]?\d+)?)\s*(?:mm|cm|in|inch|inches|"|g|%)?$/.exec(text) ?? [];
  return number?.replace(',', '.');
}

/** True for an empty cell, or one that says so: `-`, `NA`. */
export function isEmptyText(text: string): boolean {
  return NOTHING.test(text);
}

/** True for a cell that can be a value: a number, with its unit or without, or a word for a state. */
export function isValueText(text: string): boolean {
  return text !== '' && !NOTHING.test(text) && plainNumber(text) !== undefined;
}

/** A date written with year, month and day, or by numbers in the order given; spreadsheets add a time that is dropped. */
export function dateOf(text: string, order: DateOrder): CalendarDay | undefined {
  const iso = text.slice(0, 10);
  if (isCalendarDay(iso) && /^\d{4}-\d{2}-\d{2}([T ].*)?$/.test(text)) return iso;
  const [, first, second, year] = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})$/.exec(text) ?? [];
  if (first === undefined || second === undefined || year === undefined) return undefined;
  const [day, month] = order === 'dmy' ? [first, second] : [second, first];
  const whole = year.length === 2 ? `20${year}` : year;
  const found = `${whole}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isCalendarDay(found) ? found : undefined;
}
