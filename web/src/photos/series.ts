import type { PhotoSummary, StrokePart } from '@bright-sprout/contract/photos';
import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import {
  greenCover,
  type GreenCover,
  otsuThreshold,
  type PlaceGrid,
  pooled,
  type Threshold,
} from '@bright-sprout/core/imaging';
import { notDefined, type Outcome } from '@bright-sprout/core/shared';
import type { Frame, Look } from './imaging.worker.ts';

/** Where four marks begin: a little inside the picture. */
export const FIRST_CORNERS: readonly number[] = [0.1, 0.1, 0.9, 0.1, 0.9, 0.9, 0.1, 0.9];

/** What photos are of: a container with its places, or one pot as its only place. */
export interface Seen extends PlaceGrid {
  readonly id: string;
  readonly unitId?: string;
}

/** One pot alone, photographed from above. */
export function onePot(unitId: string): Seen {
  return { id: unitId, unitId, rows: 1, columns: 1 };
}

/** A pot where it stands in what is seen; row and column from 1. */
export interface PlacedPot {
  readonly unit: UnitView;
  readonly row: number;
  readonly column: number;
}

/** The pots that are seen, each in its place. */
export function potsIn({ units }: ExperimentView, { id, unitId }: Seen): PlacedPot[] {
  if (unitId) return units.filter((unit) => unit.id === unitId).map((unit) => ({ unit, row: 1, column: 1 }));
  return units
    .filter(({ containerId }) => containerId === id)
    .map((unit) => ({ unit, row: unit.row, column: unit.column }));
}

/** The corners of a photo: its own, or those of the last photo before it that has some, or of the first after it. */
export interface FoundFrame extends Frame {
  /** The photo they are from. */
  readonly from: PhotoSummary;
}

/** Where the container is in a photo; undefined as long as no photo of the series was marked. */
export function frameOf(photo: PhotoSummary, series: readonly PhotoSummary[]): FoundFrame | undefined {
  const at = series.findIndex(({ id }) => id === photo.id);
  const from =
    series.slice(0, at + 1).findLast(({ corners }) => corners !== null) ??
    series.slice(at + 1).find(({ corners }) => corners !== null);
  if (!from?.corners) return undefined;
  const { corners, greyPatch, leftOut, size } = from;
  return { corners, greyPatch, leftOut, size, from };
}

/** What a worker needs to straighten a photo. */
export function frameAlone({ corners, greyPatch, leftOut, size }: Frame): Frame {
  return { corners, greyPatch, leftOut, size };
}

/** What is left out, as it is sent. */
export function leftOutOf(frame: Pick<Frame, 'leftOut'> | undefined): StrokePart[] {
  return (frame?.leftOut ?? []).map(({ thickness, points }) => ({ thickness, points: [...points] }));
}

/** The unit in which containers are measured, finely enough for a ruler laid beside them. */
export function rulerOfPhotos({ variables }: Pick<ExperimentView, 'variables'>): {
  unit: 'cm' | 'in';
  step: number;
} {
  const inches = variables.some(({ kind, unit }) => kind === 'length' && unit === 'in');
  return inches ? { unit: 'in', step: 0.125 } : { unit: 'cm', step: 0.1 };
}

/** The photos of a container from above, or of its pots from the side, by day; from above, one pot's are its own. */
export function seriesOf(
  photos: readonly PhotoSummary[],
  view: PhotoSummary['view'],
  { id, unitId }: Pick<Seen, 'id' | 'unitId'>,
): PhotoSummary[] {
  if (unitId) return photos.filter((photo) => photo.view === view && photo.unitId === unitId);
  return photos.filter(
    (photo) => photo.view === view && photo.containerId === id && (view === 'side' || photo.unitId === null),
  );
}

/** One threshold for all that was seen of a container, so that its days compare. */
export function seriesThreshold(looks: Iterable<Outcome<Look>>): Outcome<Threshold> {
  const histograms = [...looks].flatMap((look) => (look.defined ? look.value.histograms : []));
  return otsuThreshold(pooled(histograms));
}

/** A pot with what was measured of it. */
export interface MeasuredPot {
  readonly unit: UnitView;
  readonly cover: Outcome<GreenCover>;
}

/** The green cover of each pot of a container. */
export function coversOf(
  experiment: ExperimentView,
  seen: Seen,
  look: Look,
  threshold: number,
): MeasuredPot[] {
  return potsIn(experiment, seen).map(({ unit, row, column }) => {
    const histogram = look.histograms[(row - 1) * seen.columns + column - 1];
    return { unit, cover: histogram ? greenCover(histogram, threshold) : notDefined('no_values') };
  });
}

/** True of a measure that can become a reading: the pot was sown by then, and its cover could be told. */
export function isKeepable({ takenOn }: PhotoSummary, { unit, cover }: MeasuredPot): boolean {
  return cover.defined && unit.sownOn !== null && takenOn >= unit.sownOn;
}

/** Below this share nothing green is seen: dust and noise are as much. */
export const NOTHING_GREEN = 0.002;
