import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { NestedList } from '../shared/index.ts';

/** Lines of a drawing, words on it, and numbers of a line, at most. */
export const MOST_LINES = 600;
export const MOST_LINE_NUMBERS = 2000;
const MOST_LABELS = 30;
const MOST_SHEET = 4000;

/** A line of a drawing, or of its eraser. */
export class LinePart {
  @Matches(/^#[0-9a-f]{6}$/i)
  colour: string;

  @IsInt()
  @Min(1)
  @Max(60)
  thickness: number;

  @IsBoolean()
  erases: boolean;

  /** x and y of each point, in pixels of the sheet. */
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(MOST_LINE_NUMBERS)
  @IsInt({ each: true })
  @Min(-MOST_SHEET, { each: true })
  @Max(2 * MOST_SHEET, { each: true })
  points: number[];
}

/** A word beside a part of a drawing. */
export class LabelPart {
  @IsString()
  @Length(1, 60)
  word: string;

  /** What it points at, as shares of the sheet's width and height. */
  @IsNumber()
  @Min(0)
  @Max(1)
  x: number;

  @IsNumber()
  @Min(0)
  @Max(1)
  y: number;
}

/** A drawing as it was drawn, so that one can go on with it. */
export class DrawingPart {
  /** Size of the sheet in pixels. */
  @IsInt()
  @Min(1)
  @Max(MOST_SHEET)
  width: number;

  @IsInt()
  @Min(1)
  @Max(MOST_SHEET)
  height: number;

  @NestedList(() => LinePart)
  @ArrayMaxSize(MOST_LINES)
  lines: LinePart[];

  @NestedList(() => LabelPart)
  @ArrayMaxSize(MOST_LABELS)
  labels: LabelPart[];
}
