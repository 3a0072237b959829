import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { PlaceGrid } from '@bright-sprout/core/imaging';
import type { Outcome } from '@bright-sprout/core/shared';
import { useEffect, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { imaging, pictureOf } from './imaging.ts';
import type { Frame } from './imaging.worker.ts';
import { frameAlone, frameOf, type Seen } from './series.ts';

/** One picture of a film. */
export interface FilmPicture {
  readonly photo: PhotoSummary;
  readonly picture: ImageBitmap;
}

/** What was made of a series so far, in a grid of places. */
interface Film {
  readonly series: readonly PhotoSummary[];
  readonly rows: number;
  readonly columns: number;
  readonly pictures: readonly FilmPicture[];
  readonly isWhole: boolean;
}

/** Draws a photo straightened; says why where it cannot be. */
export type DrawPhoto = (
  experimentId: string,
  photoId: string,
  frame: Frame,
  grid: PlaceGrid,
) => Promise<Outcome<ImageBitmap>>;

const drawInWorker: DrawPhoto = async (experimentId, photoId, frame, grid) =>
  imaging().draw(await pictureOf(experimentId, photoId), frame, grid, null);

const NONE: readonly FilmPicture[] = [];

/**
 * The straightened photos of a container by day, each as soon as it is made.
 * @param draw the same function each time, as all is drawn anew with another
 */
export function useFilm(seen: Seen, series: readonly PhotoSummary[], draw: DrawPhoto = drawInWorker) {
  const { rows, columns } = seen;
  const { experiment } = useExperiment();
  const [film, setFilm] = useState<Film>();
  const [error, setError] = useState<unknown>();
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const made: FilmPicture[] = [];
    const make = async (): Promise<void> => {
      for (const photo of series) {
        const frame = photo.hasPicture ? frameOf(photo, series) : undefined;
        if (!frame) continue;
        try {
          const drawn = await draw(experiment.id, photo.id, frameAlone(frame), { rows, columns });
          if (isLeft()) return;
          if (!drawn.defined) continue;
          made.push({ photo, picture: drawn.value });
          setFilm({ series, rows, columns, pictures: [...made], isWhole: false });
        } catch (thrown) {
          if (isLeft()) return;
          setError(thrown);
        }
      }
    };
    void make().then(() => {
      if (!isLeft()) setFilm({ series, rows, columns, pictures: [...made], isWhole: true });
    });
    return () => {
      left.abort();
      for (const { picture } of made) picture.close();
    };
  }, [experiment.id, series, rows, columns, draw]);
  // Pictures of another series are closed as this one is shown: nobody may draw them any more.
  const isOfThis = film?.series === series && film.rows === rows && film.columns === columns;
  return isOfThis
    ? { pictures: film.pictures, isWhole: film.isWhole, error }
    : { pictures: NONE, isWhole: false, error };
}
