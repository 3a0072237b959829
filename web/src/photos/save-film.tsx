import { say } from '@bright-sprout/words/photos';
import { useMutation } from '@tanstack/react-query';
import { proxy, transfer } from 'comlink';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { FailureNote } from '../shared/ui/index.ts';
import { imaging } from './imaging.ts';
import type { FilmPicture } from './use-film.ts';

/** Saves a film as a GIF, or its pictures as a zip of PNGs; made in the worker, with its progress, and stopped at will. */
export function SaveFilm({
  pictures,
  pace,
  isWhole,
}: {
  pictures: readonly FilmPicture[];
  pace: number;
  /** False while pictures are still made: a file would lack them. */
  isWhole: boolean;
}) {
  const [share, setShare] = useState(0);
  const isStopped = useRef(false);
  const making = useMutation({
    mutationFn: async (kind: 'gif' | 'zip') => {
      isStopped.current = false;
      const frames = await Promise.all(
        pictures.map(async ({ photo, picture }, index) => ({
          name: `${String(index + 1).padStart(3, '0')}-${photo.takenOn}`,
          picture: await createImageBitmap(picture),
        })),
      );
      const goesOn = proxy((done: number) => {
        setShare(done);
        return !isStopped.current;
      });
      const bitmaps = frames.map(({ picture }) => picture);
      const file = await imaging().film(kind, transfer(frames, bitmaps), pace, goesOn);
      if (file) save(file, `film.${kind}`);
    },
    onSettled: () => setShare(0),
  });
  if (making.isPending) {
    return (
      <p role="status">
        {say('makingFile', { share: Math.round(100 * share) })}{' '}
        <Button
          variant="light"
          size="sm"
          onClick={() => {
            isStopped.current = true;
          }}
        >
          {say('stopMaking')}
        </Button>
      </p>
    );
  }
  return (
    <p className="photo-acts">
      <Button variant="light" size="sm" disabled={!isWhole} onClick={() => making.mutate('gif')}>
        {say('saveAsGif')}
      </Button>
      <Button variant="light" size="sm" disabled={!isWhole} onClick={() => making.mutate('zip')}>
        {say('savePictures')}
      </Button>
      <FailureNote error={making.error} />
    </p>
  );
}

function save(file: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), KEPT_MS);
}

/** Long enough for a browser to have taken it. */
const KEPT_MS = 60_000;
