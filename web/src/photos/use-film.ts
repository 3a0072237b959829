import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { useEffect, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { imaging, pictureOf } from './imaging.ts';
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

const NONE: readonly FilmPicture[] = [];

/** The straightened photos of a container by day, each as soon as it is made. */
export function useFilm({ rows, columns }: Seen, series: readonly PhotoSummary[]) {
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
          const blob = await pictureOf(experiment.id, photo.id);
          const drawn = await imaging().draw(blob, frameAlone(frame), { rows, columns }, null);
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
  }, [experiment.id, series, rows, columns]);
  // Pictures of another series are closed as this one is shown: nobody may draw them any more.
  const isOfThis = film?.series === series && film.rows === rows && film.columns === columns;
  return isOfThis
    ? { pictures: film.pictures, isWhole: film.isWhole, error }
    : { pictures: NONE, isWhole: false, error };
}
