import { MEASURE_KINDS, type MeasureKind, PHOTO_VIEWS, type PhotoView } from '@bright-sprout/core/shared';
import { ArrayMaxSize, IsArray, IsInt, IsNumber, IsOptional, Min } from 'class-validator';
import { Type } from 'class-transformer';
import {
  type Day,
  type Id,
  type Instant,
  IsCalendarDay,
  IsId,
  Nested,
  NestedOrNull,
  OneOf,
  Parts,
  Quantities,
  Quantity,
  Whole,
} from '../shared/index.ts';
import { ReadingRequest } from '../readings/index.ts';
import { UploadPart } from '../uploads/index.ts';

/** Points of a stem, at most; each has two coordinates. */
const MOST_MARKS = 400;

/** A photo of a container from above or from the side, or of one pot. */
export class PhotoRequest {
  @OneOf(PHOTO_VIEWS) view: PhotoView;

  /** The container that is seen; `null` for one pot alone. */
  @IsOptional() @IsId() containerId: string | null;

  @IsOptional() @IsId() unitId: string | null;
  @IsCalendarDay('the day the photo was taken') takenOn: string;

  /** The picture, sent before. */
  @NestedOrNull(() => UploadPart) picture: UploadPart | null;
}

/** What a camera says of a photo that it sends: the day, and which container, counted from 1. */
export class DevicePhotoQuery {
  @IsCalendarDay('the day the photo was taken') takenOn: string;
  @Whole(1, 40) @Type(() => Number) container: number;
}

/** Points of a stroke, at most. */
const MOST_POINTS = 600;
const MOST_STROKES = 60;

/** A stroke over the straightened container: what is under it is no plant. All are shares of its width and height. */
export class StrokePart {
  @Quantity(0.002, 0.5) thickness: number;

  /** x and y of each point. */
  @Quantities(2, 2 * MOST_POINTS, 'coordinates', 0, 1) points: number[];
}

/** Inner size of what is seen, between its marked corners. */
export class RealSizePart {
  @Quantity(10, 5000) acrossMm: number;
  @Quantity(10, 5000) downMm: number;
}

/** Where the container is in a photo, and what in it is grey. Coordinates are shares of width and height. */
export class FrameRequest {
  /** x and y of the four corners: top left, top right, bottom right, bottom left. */
  @IsOptional() @Quantities(8, 8, 'coordinates', -0.5, 1.5) corners: number[] | null;

  /** Left, top, width and height of a patch that is grey or white. */
  @IsOptional() @Quantities(4, 4, 'coordinates', 0, 1) greyPatch: number[] | null;

  /** What is left out, such as labels; photos that take the corners over take it over too. */
  @IsOptional() @Parts(() => StrokePart, 0, MOST_STROKES, 'entries') leftOut?: StrokePart[];

  /** How large the container is, where it is known. */
  @IsOptional() @Nested(() => RealSizePart) size?: RealSizePart | null;
}

/** How a reading came from a photo, with its numbers. */
export class MeasureMethodPart {
  @OneOf(MEASURE_KINDS) kind: MeasureKind;

  /** Excess green above which a pixel is plant; of a green cover. */
  @IsOptional() @IsNumber() threshold?: number | null;

  /** What the value would be with the threshold a step higher and lower, or the length less and more its error. */
  @IsNumber() low: number;

  @IsNumber() high: number;

  /** Pixels that were counted, or of the scale's two marks. */
  @IsInt() @Min(0) pixels: number;

  /** Real distance of the scale's two marks in mm; of a length. */
  @IsOptional() @IsNumber() apartMm?: number | null;

  /** x and y of each mark as shares of width and height: the two of the scale, then along the stem. */
  @IsArray() @ArrayMaxSize(MOST_MARKS) @IsNumber({}, { each: true }) marks: number[];
}

/** A reading that was measured on a photo. */
export class MeasureRequest {
  @Nested(() => ReadingRequest) reading: ReadingRequest;
  @Nested(() => MeasureMethodPart) method: MeasureMethodPart;
}

/** A reading that came from a photo, and how. */
export interface MeasureView {
  readingId: Id;
  unitId: Id;
  variableId: Id;
  method: MeasureMethodPart;
}

/** A photo without its picture, which has an address of its own. */
export interface PhotoSummary {
  id: Id;
  view: PhotoView;
  containerId: Id | null;
  unitId: Id | null;
  takenOn: Day;
  width: number;
  height: number;
  corners: number[] | null;
  greyPatch: number[] | null;
  leftOut: StrokePart[];
  size: RealSizePart | null;
  /** False once the picture was deleted for good; what was measured on it stays. */
  hasPicture: boolean;
  observer: string;
  recordedAt: Instant;
  measures: MeasureView[];
}
