import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView } from '@bright-sprout/contract/plans';
import { calendarDay, daysBetween } from '@bright-sprout/core/shared';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { imaging, pictureOf } from './imaging.ts';
import { frameOf } from './series.ts';
import { paint, wholeInWindow } from './straightened.tsx';

const PACES = [1, 2, 4, 8] as const;

interface FilmPicture {
  readonly photo: PhotoSummary;
  readonly picture: ImageBitmap;
}

/** The straightened photos of a container one after the other. */
export function Film({ container, series }: { container: ContainerView; series: readonly PhotoSummary[] }) {
  const { experiment } = useExperiment();
  const { pictures, error } = useFilm(container, series);
  const [at, setAt] = useState(0);
  const [pace, setPace] = useState(2);
  const [plays, setPlays] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const shown = pictures[at % Math.max(1, pictures.length)];
  useEffect(() => {
    if (!plays || pictures.length === 0) return undefined;
    const timer = setInterval(() => setAt((before) => before + 1), 1000 / pace);
    return () => clearInterval(timer);
  }, [plays, pace, pictures.length]);
  useEffect(() => {
    if (shown && canvas.current) paint(canvas.current, shown.picture);
  }, [shown]);
  if (error) return <FailureNote error={error} />;
  if (series.filter(({ hasPicture }) => hasPicture).length < 2)
    return <p className="panel">{say('filmNeedsTwo')}</p>;
  const day = shown?.photo.takenOn;
  return (
    <div className="film">
      <div className="straightened" style={wholeInWindow(container)}>
        <canvas ref={canvas} role="img" aria-label={say('photoAlt', { day: day ? shortDay(day) : '' })} />
      </div>
      <div className="film-tools">
        <Button onClick={() => setPlays(!plays)}>{plays ? say('pauseFilm') : say('playFilm')}</Button>
        <Button variant="light" onClick={() => setAt(at + 1)}>
          {say('nextPicture')}
        </Button>
        <Form.Select
          size="sm"
          aria-label={say('pace')}
          value={pace}
          onChange={({ target }) => setPace(Number(target.value))}
        >
          {PACES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Form.Select>
        <b aria-live={plays ? 'off' : 'polite'}>
          {day &&
            say('filmOf', {
              age: daysBetween(calendarDay(experiment.sowOn), calendarDay(day)),
              day: shortDay(day),
            })}
        </b>
      </div>
      <p className="quiet">{say('filmHint')}</p>
    </div>
  );
}

function useFilm({ rows, columns }: ContainerView, series: readonly PhotoSummary[]) {
  const { experiment } = useExperiment();
  const [pictures, setPictures] = useState<readonly FilmPicture[]>([]);
  const [error, setError] = useState<unknown>();
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const made: FilmPicture[] = [];
    const make = async (): Promise<void> => {
      for (const photo of series) {
        const frame = photo.hasPicture ? frameOf(photo, series) : undefined;
        if (!frame) continue;
        const { corners, greyPatch } = frame;
        const blob = await pictureOf(experiment.id, photo.id);
        const drawn = await imaging().draw(blob, { corners, greyPatch }, { rows, columns }, null);
        if (isLeft()) return;
        if (!drawn.defined) continue;
        made.push({ photo, picture: drawn.value });
        setPictures([...made]);
      }
    };
    make().catch((thrown: unknown) => setError(thrown));
    return () => {
      left.abort();
      setPictures([]);
      for (const { picture } of made) picture.close();
    };
  }, [experiment.id, series, rows, columns]);
  return { pictures, error };
}
