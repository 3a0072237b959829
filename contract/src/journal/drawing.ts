import { IsBoolean, IsString, Length, Matches } from 'class-validator';
import { Parts, Quantity, Whole, Wholes } from '../shared/index.ts';

/** Lines of a drawing, words on it, and numbers of a line, at most. */
export const MOST_LINES = 600;
export const MOST_LINE_NUMBERS = 2000;
const MOST_LABELS = 30;
const MOST_SHEET = 4000;

/** A line of a drawing, or of its eraser. */
export class LinePart {
  @Matches(/^#[0-9a-f]{6}$/i) colour: string;
  @Whole(1, 60) thickness: number;
  @IsBoolean() erases: boolean;

  /** x and y of each point, in pixels of the sheet. */
  @Wholes(2, MOST_LINE_NUMBERS, 'coordinates', -MOST_SHEET, 2 * MOST_SHEET) points: number[];
}

/** A word beside a part of a drawing. */
export class LabelPart {
  @IsString() @Length(1, 60) word: string;

  /** What it points at, as shares of the sheet's width and height. */
  @Quantity(0, 1) x: number;

  @Quantity(0, 1) y: number;
}

/** A drawing as it was drawn, so that one can go on with it. */
export class DrawingPart {
  /** Size of the sheet in pixels. */
  @Whole(1, MOST_SHEET) width: number;

  @Whole(1, MOST_SHEET) height: number;
  @Parts(() => LinePart, 0, MOST_LINES, 'entries') lines: LinePart[];
  @Parts(() => LabelPart, 0, MOST_LABELS, 'entries') labels: LabelPart[];
}
