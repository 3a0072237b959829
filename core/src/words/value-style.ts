import { computedLengthText, lengthText, type LengthScale } from '../shared/index.ts';

/** How values of a variable are written. */
export type ValueStyle =
  | { readonly kind: 'length'; readonly scale: LengthScale; readonly isHeight: boolean }
  | { readonly kind: 'count' }
  | { readonly kind: 'number'; readonly unit: string };

/** A computed figure (mean, difference) in words of its unit: `2.31 cm`, `1.5`, `6.42 pH`. */
export function computedText(value: number, style: ValueStyle): string {
  switch (style.kind) {
    case 'length':
      return computedLengthText(value, style.scale);
    case 'count':
      return value.toFixed(1);
    case 'number':
      return `${value.toFixed(2)} ${style.unit}`.trim();
  }
}

/** A computed figure for the ear: rounded as the ruler reads, `6.5 cm`; counts and numbers to one decimal. */
export function roundedText(value: number, style: ValueStyle): string {
  if (style.kind !== 'length') return computedText(value, style);
  const text = lengthText(value, style.scale);
  return text.startsWith('0 ') || text.startsWith('0.0 ')
    ? `less than ${style.scale.step} ${style.scale.unit}`
    : text;
}

/** A value as read: `6.5 cm`, `3`, `6.4 pH`. */
export function readText(value: number, style: ValueStyle): string {
  switch (style.kind) {
    case 'length':
      return lengthText(value, style.scale);
    case 'count':
      return String(Number(value.toFixed(2)));
    case 'number':
      return `${Number(value.toFixed(4))} ${style.unit}`.trim();
  }
}

/** "taller" or "shorter" for heights, "more" or "fewer" for counts, else "higher" or "lower". */
export function contrastWord(difference: number, style: ValueStyle): string {
  const up = difference > 0;
  if (style.kind === 'length')
    return style.isHeight ? (up ? 'taller' : 'shorter') : up ? 'longer' : 'shorter';
  if (style.kind === 'count') return up ? 'more' : 'fewer';
  return up ? 'higher' : 'lower';
}
