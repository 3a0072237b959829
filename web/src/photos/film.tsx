import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { calendarDay, daysBetween } from '@bright-sprout/core/shared';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { paint, wholeInWindow } from './straightened.tsx';
import { SaveFilm } from './save-film.tsx';
import type { Seen } from './series.ts';
import { TreatmentStrips } from './treatment-strips.tsx';
import { useFilm } from './use-film.ts';

const PACES = [1, 2, 4, 8] as const;

/** The straightened photos of a container one after the other. */
export function Film({
  seen,
  series,
  isOnBoard = false,
}: {
  seen: Seen;
  series: readonly PhotoSummary[];
  isOnBoard?: boolean;
}) {
  const { experiment } = useExperiment();
  const { pictures, isWhole, error } = useFilm(seen, series);
  const [at, setAt] = useState(0);
  const [pace, setPace] = useState(2);
  const [plays, setPlays] = useState(false);
  const [byTreatment, setByTreatment] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const shown = pictures[at % Math.max(1, pictures.length)];
  useEffect(() => {
    if (!plays || pictures.length === 0) return undefined;
    const timer = setInterval(() => setAt((before) => before + 1), 1000 / pace);
    return () => clearInterval(timer);
  }, [plays, pace, pictures.length]);
  useEffect(() => {
    if (shown && canvas.current) paint(canvas.current, shown.picture);
  }, [shown, byTreatment]);
  if (error) return <FailureNote error={error} />;
  if (series.filter(({ hasPicture }) => hasPicture).length < 2)
    return <p className="panel">{say('filmNeedsTwo')}</p>;
  const day = shown?.photo.takenOn;
  return (
    <div className={isOnBoard ? 'film' : 'film photo-work'}>
      {byTreatment && shown ? (
        <TreatmentStrips seen={seen} picture={shown.picture} />
      ) : (
        <div
          className="straightened"
          style={wholeInWindow(shown ? shown.picture.width / shown.picture.height : seen.columns / seen.rows)}
        >
          <canvas ref={canvas} role="img" aria-label={say('photoAlt', { day: day ? shortDay(day) : '' })} />
        </div>
      )}
      <div className={isOnBoard ? '' : 'panel'}>
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
        {!seen.unitId && (
          <Form.Check
            type="switch"
            id="by-treatment"
            label={say('sideBySide')}
            checked={byTreatment}
            onChange={({ target }) => setByTreatment(target.checked)}
          />
        )}
        {!isOnBoard && pictures.length > 1 && <SaveFilm pictures={pictures} pace={pace} isWhole={isWhole} />}
        {!isOnBoard && (
          <p className="quiet film-hint">
            {say('filmHint')}{' '}
            <Link to={`/experiments/${experiment.id}/print?sheet=flip`}>{say('printAsCards')}</Link>
          </p>
        )}
      </div>
    </div>
  );
}
