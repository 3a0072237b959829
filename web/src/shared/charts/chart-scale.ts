import { createContext } from 'react';
import type { FigureData } from './figure-base.ts';

/** How much larger charts are drawn than at a desk. */
export const ChartScale = createContext(1);

const SIZES: ReadonlySet<string> = new Set(['size', 'thickness', 'standoff']);
const WIDTHS_IN: ReadonlySet<string> = new Set(['line', 'error_x', 'error_y']);
const SHIFTS: ReadonlySet<string> = new Set(['xshift', 'yshift']);

/** A chart with its letters, marks, lines and margins larger; what stands for a value stays. */
export function enlarged(figure: FigureData, scale: number): FigureData {
  if (scale === 1) return figure;
  return {
    data: larger(figure.data, '', scale) as object[],
    layout: larger(figure.layout, '', scale) as object,
  };
}

function larger(value: unknown, within: string, scale: number): unknown {
  if (Array.isArray(value)) {
    return typeof value[0] === 'object'
      ? value.map((item) => larger(item, within, scale))
      : (value as unknown[]);
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => {
      const isLength =
        SIZES.has(key) ||
        SHIFTS.has(key) ||
        within === 'margin' ||
        (key === 'width' && WIDTHS_IN.has(within));
      if (isLength && typeof inner === 'number') return [key, inner * scale];
      if (isLength && Array.isArray(inner)) return [key, inner.map((one) => Number(one) * scale)];
      return [key, larger(inner, key, scale)];
    }),
  );
}
