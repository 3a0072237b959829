import { type CalendarDay, daysBetween, type LengthScale, toMillimetres } from '../shared/index.ts';
import { lastValueBefore } from './change.ts';
import type { GrowthFacts } from './growth-facts.ts';
import type { UnitDay } from './unit-day.ts';

/** A value that was just read, and what it is judged against. Lengths in mm. */
export interface JustRead {
  readonly valueMm: number;
  readonly day: CalendarDay;
  readonly today: CalendarDay;
  /** The unit's earlier findings in day order. */
  readonly history: readonly UnitDay[];
  readonly sownOn: CalendarDay | null;
  readonly scale: LengthScale;
  readonly crop: GrowthFacts | null;
  /** How far one reading of this class usually is from the truth; `null` when nobody knows yet. */
  readonly readingErrorMm: number | null;
  /** What the same reader gave the pots before this one, on this day. */
  readonly before: readonly number[];
}

/** What speaks against a value; nothing of it forbids to keep it. Lengths in mm. */
export type Doubt =
  | { readonly code: 'shrank'; readonly byMm: number; readonly since: CalendarDay }
  | { readonly code: 'grew_too_fast'; readonly byMm: number; readonly days: number; readonly mostMm: number }
  | { readonly code: 'too_tall'; readonly mostMm: number }
  | { readonly code: 'ten_times'; readonly likelyMm: number }
  | { readonly code: 'other_unit'; readonly likelyMm: number; readonly readAs: 'in' | 'cm' }
  | { readonly code: 'was_gone'; readonly state: 'dead' | 'removed'; readonly since: CalendarDay }
  | { readonly code: 'too_early'; readonly age: number; readonly earliest: number }
  | { readonly code: 'never_up' }
  | { readonly code: 'other_day'; readonly day: CalendarDay }
  | { readonly code: 'same_for_all'; readonly pots: number };

/** Pots in a row with one value before it is asked about. */
const SAME_IN_A_ROW = 4;
/** A seedling stretches faster than its mean over three weeks: by at most this factor. */
const FASTEST_OVER_MEAN = 3;
/** A crop grows above what its packet says by at most this factor. */
const TALLEST_OVER_USUAL = 1.5;
/** Growth a day that nobody doubts, for crops about which nothing is known. */
const PLAIN_MM_A_DAY = 30;
const CM_IN_INCH = 2.54;

/**
 * The fastest growth in a day that is believed of a crop: three times its mean growth from the earliest
 * emergence to day 21, and 5 mm at least. A rule of thumb; a dark cupboard beats it.
 */
export function fastestGrowthMm(crop: JustRead['crop']): number {
  if (!crop?.heightAtDay21Mm) return PLAIN_MM_A_DAY;
  const days = Math.max(3, 21 - (crop.daysToEmergence?.min ?? 5));
  return Math.max(5, (FASTEST_OVER_MEAN * crop.heightAtDay21Mm) / days);
}

/**
 * How much two readings of an unchanged plant may differ: 2·√2 times the class's own reading error, as the
 * difference of two readings spreads √2 times as far as one; one step of the ruler at least.
 */
export function readingTolerance(scale: LengthScale, readingErrorMm: number | null): number {
  return Math.max(toMillimetres(scale.step, scale.unit), 2 * Math.SQRT2 * (readingErrorMm ?? 0));
}

/** Everything that speaks against a height, what is most likely the matter first; empty when nothing does. */
export function doubts(read: JustRead): Doubt[] {
  const found: Doubt[] = [];
  const gone = read.history.filter((finding) => finding.day < read.day).at(-1);
  if (gone?.state === 'dead' || gone?.state === 'removed') {
    found.push({ code: 'was_gone', state: gone.state, since: gone.day });
  }
  const wasUp = read.history.some(({ day, state }) => day < read.day && state === 'emerged');
  if (read.valueMm === 0 && !wasUp) found.push({ code: 'never_up' });
  const range = believable(read);
  const isBelievable = (mm: number): boolean => mm >= range.least && mm <= range.most;
  if (!isBelievable(read.valueMm)) found.push(...slips(read, isBelievable), ...sizes(read, range));
  const age = read.sownOn === null ? undefined : daysBetween(read.sownOn, read.day);
  const earliest = read.crop?.daysToEmergence?.min;
  if (age !== undefined && earliest !== undefined && age < earliest / 2 && read.valueMm > 0) {
    found.push({ code: 'too_early', age, earliest });
  }
  if (read.day !== read.today) found.push({ code: 'other_day', day: read.day });
  const inARow = [...read.before, read.valueMm].slice(-SAME_IN_A_ROW);
  if (inARow.length === SAME_IN_A_ROW && inARow.every((mm) => mm === read.valueMm && mm > 0)) {
    found.push({ code: 'same_for_all', pots: SAME_IN_A_ROW });
  }
  return found;
}

/** The heights that a plant can have, by its last one and its crop. */
interface Believable {
  readonly least: number;
  readonly most: number;
  readonly tallest: number;
  readonly last: { readonly mm: number; readonly day: CalendarDay; readonly days: number } | undefined;
}

function believable(read: JustRead): Believable {
  const tolerance = readingTolerance(read.scale, read.readingErrorMm);
  const perDay = fastestGrowthMm(read.crop);
  const mature = read.crop?.matureHeightMm ?? null;
  const tallest = mature === null ? Number.POSITIVE_INFINITY : mature * TALLEST_OVER_USUAL;
  const value = lastValueBefore(read.history, read.day);
  const notUp = read.history.filter(({ day, state }) => day < read.day && state === 'not_emerged').at(-1);
  if (value?.value != null) {
    const days = daysBetween(value.day, read.day);
    const last = { mm: value.value, day: value.day, days };
    const most = Math.min(tallest, value.value + perDay * days + tolerance);
    return { least: value.value - tolerance, most, tallest, last };
  }
  const start = notUp?.day ?? (read.crop?.beganElsewhere ? null : read.sownOn);
  const days = start === null ? undefined : Math.max(1, daysBetween(start, read.day));
  const most = days === undefined ? tallest : Math.min(tallest, perDay * days + tolerance);
  return { least: 0, most, tallest, last: notUp && { mm: 0, day: notUp.day, days: days ?? 1 } };
}

/** Slips that would explain the value: the figure is right, its unit or its point is not. */
function slips(read: JustRead, isBelievable: (mm: number) => boolean): Doubt[] {
  const { valueMm, scale } = read;
  for (const likelyMm of [valueMm / 10, valueMm * 10]) {
    if (isBelievable(likelyMm) && likelyMm > 0) return [{ code: 'ten_times', likelyMm }];
  }
  const likelyMm = scale.unit === 'in' ? valueMm / CM_IN_INCH : valueMm * CM_IN_INCH;
  if (scale.unit === 'mm' || !isBelievable(likelyMm) || valueMm === 0) return [];
  return [{ code: 'other_unit', likelyMm, readAs: scale.unit === 'in' ? 'cm' : 'in' }];
}

function sizes(read: JustRead, { least, tallest, last }: Believable): Doubt[] {
  if (read.valueMm > tallest) return [{ code: 'too_tall', mostMm: tallest }];
  if (read.valueMm < least && last) {
    return [{ code: 'shrank', byMm: last.mm - read.valueMm, since: last.day }];
  }
  const days = last?.days ?? (read.sownOn === null ? 1 : Math.max(1, daysBetween(read.sownOn, read.day)));
  const byMm = read.valueMm - (last?.mm ?? 0);
  return [{ code: 'grew_too_fast', byMm, days, mostMm: fastestGrowthMm(read.crop) * days }];
}
