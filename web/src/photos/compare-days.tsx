import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { placeArea } from '@bright-sprout/core/imaging';
import { useEffect, useRef, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { potsIn, type Seen } from './series.ts';
import { wholeInWindow } from './straightened.tsx';
import { type FilmPicture, useFilm } from './use-film.ts';

/** What lies on one side of the slider: a day, and all that is seen or one pot of it. */
interface Side {
  readonly photoId: string;
  /** `all`, or the id of a pot. */
  readonly of: string;
}

/** Two days, or two pots, over each other; a slider moves the line between them. */
export function CompareDays({ seen, series }: { seen: Seen; series: readonly PhotoSummary[] }) {
  const { pictures, error } = useFilm(seen, series);
  const [left, setLeft] = useState<Partial<Side>>({});
  const [right, setRight] = useState<Partial<Side>>({});
  const [at, setAt] = useState(50);
  const first = pictures[0];
  const last = pictures.at(-1);
  if (!first || !last || pictures.length < 2) {
    return (
      <>
        <FailureNote error={error} />
        <p className="panel">{say('twoDaysNeedTwo')}</p>
      </>
    );
  }
  const before = { photoId: first.photo.id, of: 'all', ...left };
  const after = { photoId: last.photo.id, of: 'all', ...right };
  const shape = first.picture.width / first.picture.height;
  const isPot = before.of !== 'all' || after.of !== 'all';
  return (
    <div className="photo-work">
      <div
        className="straightened two-days"
        style={wholeInWindow(isPot ? (shape * seen.rows) / seen.columns : shape)}
      >
        <SidePicture seen={seen} pictures={pictures} side={after} />
        <div style={{ clipPath: `inset(0 ${100 - at}% 0 0)` }}>
          <SidePicture seen={seen} pictures={pictures} side={before} />
        </div>
        <i style={{ left: `${at}%` }} aria-hidden="true" />
      </div>
      <div className="panel">
        <SideChoice name={say('leftSide')} seen={seen} pictures={pictures} side={before} onChange={setLeft} />
        <SideChoice
          name={say('rightSide')}
          seen={seen}
          pictures={pictures}
          side={after}
          onChange={setRight}
        />
        <Form.Group controlId="two-days">
          <Form.Label>{say('moveTheLine')}</Form.Label>
          <Form.Range min={0} max={100} value={at} onChange={({ target }) => setAt(Number(target.value))} />
        </Form.Group>
        <FailureNote error={error} />
      </div>
    </div>
  );
}

function SideChoice({
  name,
  seen,
  pictures,
  side,
  onChange,
}: {
  name: string;
  seen: Seen;
  pictures: readonly FilmPicture[];
  side: Side;
  onChange: (side: Side) => void;
}) {
  const { experiment } = useExperiment();
  const pots = potsIn(experiment, seen);
  return (
    <fieldset className="side-choice">
      <legend>{name}</legend>
      <Form.Select
        size="sm"
        aria-label={say('dayOfSide', { name })}
        value={side.photoId}
        onChange={({ target }) => onChange({ ...side, photoId: target.value })}
      >
        {pictures.map(({ photo }) => (
          <option key={photo.id} value={photo.id}>
            {shortDay(photo.takenOn)}
          </option>
        ))}
      </Form.Select>
      {pots.length > 1 && (
        <Form.Select
          size="sm"
          aria-label={say('potOfSide', { name })}
          value={side.of}
          onChange={({ target }) => onChange({ ...side, of: target.value })}
        >
          <option value="all">{say('allOfIt')}</option>
          {pots.map(({ unit }) => (
            <option key={unit.id} value={unit.id}>
              {say('ofPot', { number: unit.number })}
            </option>
          ))}
        </Form.Select>
      )}
    </fieldset>
  );
}

function SidePicture({ seen, pictures, side }: { seen: Seen; pictures: readonly FilmPicture[]; side: Side }) {
  const { experiment } = useExperiment();
  const canvas = useRef<HTMLCanvasElement>(null);
  const shown = pictures.find(({ photo }) => photo.id === side.photoId);
  const pot = potsIn(experiment, seen).find(({ unit }) => unit.id === side.of);
  useEffect(() => {
    if (!canvas.current || !shown) return;
    const { picture } = shown;
    const whole = { left: 0, top: 0, width: picture.width, height: picture.height };
    const { left, top, width, height } = pot ? placeArea(picture, seen, pot) : whole;
    canvas.current.width = width;
    canvas.current.height = height;
    canvas.current.getContext('2d')?.drawImage(picture, left, top, width, height, 0, 0, width, height);
  }, [shown, pot, seen]);
  const day = shown ? shortDay(shown.photo.takenOn) : '';
  const alt = pot ? say('potAlt', { pot: pot.unit.number, day }) : say('photoAlt', { day });
  return <canvas ref={canvas} role="img" aria-label={alt} />;
}
