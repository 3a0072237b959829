/** Units a length can be read in. */
export const LENGTH_UNITS = ['mm', 'cm', 'in'] as const;

/** One of {@link LENGTH_UNITS}. */
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** A ruler as the plan agreed it: its unit and the smallest step that is read, in that unit. */
export interface LengthScale {
  readonly unit: LengthUnit;
  readonly step: number;
}

const MM_PER: Record<LengthUnit, number> = { mm: 1, cm: 10, in: 25.4 };
/** The longest length that is taken for one, in mm. */
export const LONGEST_MM = 30_000;
const UNIT_WORDS: Record<string, LengthUnit> = {
  mm: 'mm',
  cm: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
};
const FRACTION_SIGNS: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const INCHES_A_FOOT = 12;

/** Millimetres in `amount` of `unit`, to the millionth, so that 1.1 cm is 11 mm. 1 in = 25.4 mm exactly. */
export function toMillimetres(amount: number, unit: LengthUnit): number {
  return Number((amount * MM_PER[unit]).toFixed(6));
}

/** `mm` expressed in `unit`, not rounded. */
export function fromMillimetres(mm: number, unit: LengthUnit): number {
  return mm / MM_PER[unit];
}

/** `mm` in `unit` as a plain decimal that {@link toMillimetres} takes back exactly. */
export function amountText(mm: number, unit: LengthUnit): string {
  return String(Number(fromMillimetres(mm, unit).toFixed(8)));
}

/** The nearest mark of the ruler to `mm`, in the ruler's own unit; halves go up. */
export function nearestMark(mm: number, scale: LengthScale): number {
  const marks = Math.round(fromMillimetres(mm, scale.unit) / scale.step + 1e-9);
  return Number((marks * scale.step).toFixed(4));
}

/** What is wrong with a length as typed. */
export type LengthProblem = 'empty' | 'not_a_length' | 'negative' | 'too_long';

/** A length as typed: the amount in the unit it was typed in and the same in millimetres. */
export type ParsedLength =
  | {
      readonly ok: true;
      readonly mm: number;
      readonly amount: number;
      readonly unit: LengthUnit;
      /** True when the amount typed lay between two marks and was moved to the nearer. */
      readonly moved: boolean;
    }
  | { readonly ok: false; readonly problem: LengthProblem };

function readAmount(text: string): number | undefined {
  const fraction = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction) {
    const [, whole = 0, top, bottom] = fraction;
    return Number(bottom) === 0 ? undefined : Number(whole) + Number(top) / Number(bottom);
  }
  return /^\d*[.,]?\d+$/.test(text) || /^\d+[.,]$/.test(text) ? Number(text.replace(',', '.')) : undefined;
}

/**
 * Reads a length as a class writes it: `6.2`, `6,2 cm`, `62mm`, `2 1/4`, `2-1/4`, `2¼ in`, `2'6"`, and ruler spans
 * `30 + 4.5`.
 * Without a unit the scale's unit is meant; an amount in that unit goes to the nearest mark. An amount in
 * another unit is kept as typed. Zero is a length.
 * @param text as typed
 * @param scale the ruler of the plan
 */
export function parseLength(text: string, scale: LengthScale): ParsedLength {
  let rest = text.trim().toLowerCase();
  for (const [sign, plain] of Object.entries(FRACTION_SIGNS)) rest = rest.replaceAll(sign, ` ${plain}`);
  if (rest === '') return { ok: false, problem: 'empty' };
  if (/^[-−–]/.test(rest)) return { ok: false, problem: 'negative' };
  const feet = /^(\d+)\s*(?:'|′|’|ft\.?|feet|foot)\s*(.*)$/.exec(rest);
  if (feet) {
    const inches = (feet[2] ?? '').replace(/\s*(inches|inch|in|"|″)\.?$/, '').trim();
    const above = inches === '' ? 0 : readAmount(inches);
    if (above === undefined) return { ok: false, problem: 'not_a_length' };
    rest = `${INCHES_A_FOOT * Number(feet[1]) + above} in`;
  }
  const suffix = /\s*(mm|cm|inches|inch|in|"|″)\.?$/.exec(rest);
  const unit = suffix ? (UNIT_WORDS[suffix[1] as string] as LengthUnit) : scale.unit;
  if (suffix) rest = rest.slice(0, suffix.index);
  const spans = rest.split('+').map((part) => readAmount(part.trim()));
  let amount = 0;
  for (const span of spans) {
    if (span === undefined || !Number.isFinite(span)) return { ok: false, problem: 'not_a_length' };
    amount += span;
  }
  amount = Number(amount.toFixed(6));
  if (toMillimetres(amount, unit) > LONGEST_MM) return { ok: false, problem: 'too_long' };
  if (unit !== scale.unit) return { ok: true, mm: toMillimetres(amount, unit), amount, unit, moved: false };
  const mark = nearestMark(toMillimetres(amount, unit), scale);
  return {
    ok: true,
    mm: toMillimetres(mark, unit),
    amount: mark,
    unit,
    moved: Math.abs(mark - amount) > 1e-9,
  };
}

const SIXTEENTHS = 16;

/** Inches as their whole and the fraction that rulers print, down to sixteenths: `2¼`, `⅜`, `2 3/16`. */
function fractionText(amount: number): string {
  const sixteenths = Math.round(amount * SIXTEENTHS);
  const whole = Math.floor(sixteenths / SIXTEENTHS);
  let [top, bottom] = [sixteenths % SIXTEENTHS, SIXTEENTHS];
  if (top === 0) return String(whole);
  for (; top % 2 === 0; bottom /= 2) top /= 2;
  const plain = `${top}/${bottom}`;
  const sign = Object.entries(FRACTION_SIGNS).find(([, text]) => text === plain)?.[0];
  const between = sign ? '' : ' ';
  return `${whole === 0 ? '' : `${whole}${between}`}${sign ?? plain}`;
}

/** A reading in the ruler's own marks, without the unit: `6.5`, `62`, `2¼`, `2 3/16`. */
export function markText(mm: number, scale: LengthScale): string {
  const amount = nearestMark(mm, scale);
  if (scale.unit === 'in') return fractionText(amount);
  return amount.toFixed(decimals(scale.step));
}

/** A reading with its unit: `6.5 cm`. */
export function lengthText(mm: number, scale: LengthScale): string {
  return `${markText(mm, scale)} ${scale.unit}`;
}

/**
 * A computed length (a mean, a difference), with one decimal more than the ruler reads: `6.47 cm`.
 * Inches are decimal here, as a mean of quarters is no quarter.
 */
export function computedLengthText(mm: number, scale: LengthScale): string {
  const places = scale.unit === 'in' ? 2 : Math.min(2, decimals(scale.step) + 1);
  return `${fromMillimetres(mm, scale.unit).toFixed(places)} ${scale.unit}`;
}

function decimals(step: number): number {
  const text = String(step);
  const point = text.indexOf('.');
  return point === -1 ? 0 : text.length - point - 1;
}
