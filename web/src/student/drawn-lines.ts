import { type DrawingPart, MOST_LINE_NUMBERS, MOST_LINES } from '@bright-sprout/contract/journal';
import type { CanvasPath } from 'react-sketch-canvas';
import type { Label } from '../shared/pictures/index.ts';

/** Size of a sheet in pixels. */
export interface SheetSize {
  readonly width: number;
  readonly height: number;
}

/** A picture of a drawing, and its lines where there are not too many to be kept. */
export interface Drawn {
  /** JPEG in base64. */
  readonly picture: string;
  readonly drawing: DrawingPart | null;
}

/** The lines of a sheet as they are kept: each point a whole pixel; `null` where there are too many. */
export function keptDrawing(
  paths: readonly CanvasPath[],
  labels: readonly Label[],
  { width, height }: SheetSize,
): DrawingPart | null {
  const lines = paths
    .map(({ drawMode, paths: points, strokeColor, strokeWidth }) => ({
      colour: strokeColor,
      thickness: Math.round(strokeWidth),
      erases: !drawMode,
      points: points.flatMap(({ x, y }) => [Math.round(x), Math.round(y)]),
    }))
    .filter(({ points }) => points.length > 0);
  const isTooMuch =
    lines.length > MOST_LINES || lines.some(({ points }) => points.length > MOST_LINE_NUMBERS);
  if (isTooMuch || width < 1 || height < 1) return null;
  const size = { width: Math.round(width), height: Math.round(height) };
  return { ...size, lines, labels: labels.map(({ word, x, y }) => ({ word, x, y })) };
}

/** Kept lines as a sheet of another size shows them, none of them beyond its edge. */
export function shownPaths({ width, height, lines }: DrawingPart, sheet: SheetSize): CanvasPath[] {
  const scale = Math.min(sheet.width / width, sheet.height / height);
  return lines.map(({ colour, thickness, erases, points }) => ({
    drawMode: !erases,
    strokeColor: colour,
    strokeWidth: thickness * scale,
    paths: Array.from({ length: points.length / 2 }, (_, index) => ({
      x: (points[2 * index] as number) * scale,
      y: (points[2 * index + 1] as number) * scale,
    })),
  }));
}
