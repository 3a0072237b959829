import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView, ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import {
  greenCover,
  type GreenCover,
  otsuThreshold,
  pooled,
  type Threshold,
} from '@bright-sprout/core/imaging';
import { notDefined, type Outcome } from '@bright-sprout/core/shared';
import type { Frame, Look } from './imaging.worker.ts';

/** Where four marks begin: a little inside the picture. */
export const FIRST_CORNERS: readonly number[] = [0.1, 0.1, 0.9, 0.1, 0.9, 0.9, 0.1, 0.9];

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
  return from?.corners ? { corners: from.corners, greyPatch: from.greyPatch, from } : undefined;
}

/** The photos of a container from above, or of its pots from the side, by day. */
export function seriesOf(
  photos: readonly PhotoSummary[],
  view: PhotoSummary['view'],
  containerId: string,
): PhotoSummary[] {
  return photos.filter((photo) => photo.view === view && photo.containerId === containerId);
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
  container: ContainerView,
  look: Look,
  threshold: number,
): MeasuredPot[] {
  return experiment.units
    .filter(({ containerId }) => containerId === container.id)
    .map((unit) => {
      const place = (unit.row - 1) * container.columns + unit.column - 1;
      const histogram = look.histograms[place];
      return { unit, cover: histogram ? greenCover(histogram, threshold) : notDefined('no_values') };
    });
}

/** True of a measure that can become a reading: the pot was sown by then, and its cover could be told. */
export function isKeepable({ takenOn }: PhotoSummary, { unit, cover }: MeasuredPot): boolean {
  return cover.defined && unit.sownOn !== null && takenOn >= unit.sownOn;
}

/** Below this share nothing green is seen: dust and noise are as much. */
export const NOTHING_GREEN = 0.002;
