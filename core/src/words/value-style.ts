import { say } from '@bright-sprout/words/shared';
import type { Summary } from '../comparison/index.ts';
import { scoresOf } from '../design/index.ts';
import {
  computedLengthText,
  fromMillimetres,
  lengthText,
  type LengthScale,
  type LengthUnit,
  toMillimetres,
} from '../shared/index.ts';

/** How values of a variable are written. */
export type ValueStyle =
  | { readonly kind: 'length'; readonly scale: LengthScale; readonly isHeight: boolean }
  | { readonly kind: 'count'; readonly name?: string }
  | { readonly kind: 'score'; readonly scores: readonly string[] }
  | { readonly kind: 'number'; readonly unit: string; readonly name?: string }
  | {
      readonly kind: 'derived';
      /** Base units in one of `unit`. */
      readonly divisor: number;
      readonly unit: string;
      readonly places: number;
    };

/** How values of a variable are written, from what the plan says of it. */
export function variableStyle(variable: {
  readonly name: string;
  readonly kind: 'length' | 'count' | 'number' | 'score';
  readonly unit: string;
  readonly step: number;
}): ValueStyle {
  const { name, kind, unit, step } = variable;
  switch (kind) {
    case 'length':
      return { kind, scale: { unit: unit as LengthUnit, step }, isHeight: name === 'height' };
    case 'score':
      return { kind, scores: scoresOf(name) ?? [] };
    case 'count':
      return { kind, name };
    case 'number':
      return { kind, unit, name };
  }
}

/** How values of a variable are written where it is compared: counts of seeds as shares, where unlike numbers were sown. */
export function comparedStyle(
  variable: Parameters<typeof variableStyle>[0],
  { isShareOfSown }: { readonly isShareOfSown: boolean },
): ValueStyle {
  return isShareOfSown ? { kind: 'number', unit: '%', name: variable.name } : variableStyle(variable);
}

/** How a figure that sums up a unit is written, from how its values are. */
export function summaryStyle(style: ValueStyle, summary: Summary): ValueStyle {
  if (summary === 'day' || summary === 'final') return style;
  if (summary === 'relative_growth') return { kind: 'derived', divisor: 0.01, unit: say('aDay'), places: 1 };
  const isLength = style.kind === 'length';
  const divisor = isLength ? toMillimetres(1, style.scale.unit) : 1;
  const unit = isLength ? style.scale.unit : style.kind === 'number' ? style.unit : '';
  return summary === 'area'
    ? { kind: 'derived', divisor, unit: say('days', { unit }).trim(), places: 1 }
    : { kind: 'derived', divisor, unit: say('aDay2', { unit }).trim(), places: 2 };
}

/** A figure with its unit: `6.4 pH`, `35%`. */
function withUnit(figure: string, unit: string): string {
  return unit.startsWith('%') ? `${figure}${unit}` : `${figure} ${unit}`.trim();
}

/** A computed figure (mean, difference) in words of its unit: `2.31 cm`, `1.5`, `6.42 pH`. */
export function computedText(value: number, style: ValueStyle): string {
  switch (style.kind) {
    case 'length':
      return computedLengthText(value, style.scale);
    case 'count':
    case 'score':
      return value.toFixed(1);
    case 'number':
      return withUnit(value.toFixed(2), style.unit);
    case 'derived':
      return withUnit((value / style.divisor).toFixed(style.places), style.unit);
  }
}

/** A computed figure for the ear, without claiming more than it can be read to: `6.5 cm`, `2¼ in`; others to one decimal. */
export function roundedText(value: number, style: ValueStyle): string {
  if (style.kind !== 'length') return computedText(value, style);
  const { unit } = style.scale;
  const isBelow = isBelowRounding(value, style);
  if (unit === 'in') return isBelow ? say('lessThanIn') : lengthText(value, { unit, step: QUARTER });
  const places = unit === 'cm' ? 1 : 0;
  return isBelow
    ? say('lessThan', { least: 10 ** -places, unit })
    : `${fromMillimetres(value, unit).toFixed(places)} ${unit}`;
}

/** Whether a length is less than half of what it is rounded to. */
function isBelowRounding(value: number, style: ValueStyle): boolean {
  if (style.kind !== 'length') return false;
  const { unit } = style.scale;
  const rounding = unit === 'in' ? QUARTER : unit === 'cm' ? 0.1 : 1;
  return Math.abs(fromMillimetres(value, unit)) < rounding / 2;
}

const QUARTER = 0.25;

/** The size of a difference, without its sign; of shares in percentage points, as a share of a share is something else. */
export function differenceSize(difference: number, style: ValueStyle): string {
  return isShare(style) ? points(difference, 1) : computedText(Math.abs(difference), style);
}

/** The size of a difference for the ear, said to be rounded: `about 2 cm`, or `less than 1 mm`. */
export function aboutText(difference: number, style: ValueStyle): string {
  const size = roundedSize(difference, style);
  return isBelowRounding(difference, style) ? size : say('aboutSize', { size });
}

/** The size of a difference for the ear. */
export function roundedSize(difference: number, style: ValueStyle): string {
  return isShare(style)
    ? points(difference, Math.abs(difference) < 1 ? 1 : 0)
    : roundedText(Math.abs(difference), style);
}

function isShare(style: ValueStyle): boolean {
  return style.kind === 'number' && style.unit === '%';
}

function points(difference: number, places: number): string {
  const text = Math.abs(difference).toFixed(places);
  return text === '1' ? say('n1PercentagePoint') : say('percentagePoints', { text });
}

/** A value as read: `6.5 cm`, `3`, `6.4 pH`, `first true leaf`; a mean between two scores as a figure. */
export function readText(value: number, style: ValueStyle): string {
  switch (style.kind) {
    case 'length':
      return lengthText(value, style.scale);
    case 'count':
      return String(Number(value.toFixed(2)));
    case 'score':
      return style.scores[value - 1] ?? value.toFixed(1);
    case 'number':
      return withUnit(String(Number(value.toFixed(4))), style.unit);
    case 'derived':
      return computedText(value, style);
  }
}

/** A change as it is written beside readings: `+1.2 cm`, `−2½ in`, `0 cm`. */
export function changeText(change: number, style: ValueStyle): string {
  const size = readText(Math.abs(change), style);
  return change === 0 ? size : `${change > 0 ? '+' : '−'}${size}`;
}

/** "taller" or "shorter" for heights, "more" or "fewer" for counts, else "higher" or "lower". */
export function contrastWord(difference: number, style: ValueStyle): string {
  const up = difference > 0;
  if (style.kind === 'length')
    return style.isHeight ? (up ? say('taller') : say('shorter')) : up ? say('longer') : say('shorter');
  if (style.kind === 'count') return up ? say('more') : say('fewer');
  return up ? say('higher') : say('lower');
}

/**
 * A difference as what pots were or had, before "than": `were on average about 2 cm taller`, `had about 1.5 more
 * leaves`, `had on average a weight about 0.4 g lower`.
 * @param size the amount in words, without its sign
 * @param isAverage whether it is said to be an average, which is too hard a word for the youngest
 */
export function differenceText(
  size: string,
  difference: number,
  style: ValueStyle,
  isAverage: boolean,
): string {
  const contrast = contrastWord(difference, style);
  const said = { size, contrast, isAverage: isAverage ? 'yes' : 'no' };
  if (style.kind === 'count' && style.name) return say('hadCount', { ...said, name: style.name });
  if (style.kind === 'number' && style.name) {
    return say('hadValue', {
      ...said,
      name: style.name,
      isVowel: /^[aeiou]/i.test(style.name) ? 'yes' : 'no',
    });
  }
  return say('were', said);
}
