import { say } from '@bright-sprout/words/print';
import type { ContainerView } from '@bright-sprout/contract/plans';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { calendarDay, daysBetween } from '@bright-sprout/core/shared';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef } from 'react';
import { type FilmPicture, paint, seriesOf, useFilm } from '../photos/index.ts';
import { photosQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';

/** A book of cards to cut, stack in order and staple at the left: each a photo, straightened, with its day. */
export function FlipCards() {
  const { experiment } = useExperiment();
  const photos = useQuery(photosQuery(experiment.id));
  if (!photos.data) return <div aria-busy="true" />;
  const shown = experiment.containers.filter(
    (container) => seriesOf(photos.data, 'above', container).filter((photo) => photo.hasPicture).length > 1,
  );
  if (shown.length === 0) return <p>{say('noFlipBookYet')}</p>;
  return (
    <>
      <p className="flip-hint">{say('howToMakeTheBook')}</p>
      {shown.map((container) => (
        <Book key={container.id} container={container} photos={photos.data} />
      ))}
    </>
  );
}

function Book({ container, photos }: { container: ContainerView; photos: readonly PhotoSummary[] }) {
  const series = useMemo(() => seriesOf(photos, 'above', container), [photos, container]);
  const { pictures } = useFilm(container, series);
  return (
    <ol className="flip-cards" aria-label={say('flipBook')}>
      {pictures.map((one, index) => (
        <Card key={one.photo.id} number={index + 1} of={pictures.length} {...one} />
      ))}
    </ol>
  );
}

function Card({ number, of, photo, picture }: FilmPicture & { number: number; of: number }) {
  const { experiment } = useExperiment();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current) paint(canvas.current, picture);
  }, [picture]);
  const age = daysBetween(calendarDay(experiment.sowOn), calendarDay(photo.takenOn));
  const day = say('dayOfTheCard', { age, day: shortDay(photo.takenOn) });
  return (
    <li>
      <b className="flip-spine">{say('cardNumber', { number, of })}</b>
      <span>
        <canvas ref={canvas} role="img" aria-label={day} />
        <small>{day}</small>
      </span>
    </li>
  );
}
