import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { placeArea } from '@bright-sprout/core/imaging';
import { readText, STATE_WORDS } from '@bright-sprout/core/words';
import { useEffect, useRef, useState } from 'react';
import { styleOf, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { PotSelect } from './pot-select.tsx';
import { type PlacedPot, potsIn, type Seen } from './series.ts';
import { type FilmPicture, useFilm } from './use-film.ts';

/** One pot, cut out of each photo of its container, beside what was read of it that day. */
export function PotTimeline({ seen, series }: { seen: Seen; series: readonly PhotoSummary[] }) {
  const { experiment } = useExperiment();
  const pots = potsIn(experiment, seen);
  const [unitId, setUnitId] = useState(pots[0]?.unit.id);
  const pot = pots.find(({ unit }) => unit.id === unitId);
  const { pictures, error } = useFilm(seen, series);
  if (!pot) return null;
  return (
    <>
      <FailureNote error={error} />
      <PotSelect pots={pots.map(({ unit }) => unit)} chosenId={pot.unit.id} onChoose={setUnitId} />
      <ol className="pot-days" aria-label={say('potDayByDay', { number: pot.unit.number })}>
        {pictures.map((one) => (
          <PotDay key={one.photo.id} seen={seen} pot={pot} {...one} />
        ))}
      </ol>
    </>
  );
}

function PotDay({ seen, pot, photo, picture }: FilmPicture & { seen: Seen; pot: PlacedPot }) {
  const { readings, variable } = useExperiment();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const drawing = canvas.current;
    if (!drawing) return;
    const { left, top, width, height } = placeArea(picture, seen, pot);
    drawing.width = width;
    drawing.height = height;
    drawing.getContext('2d')?.drawImage(picture, left, top, width, height, 0, 0, width, height);
  }, [picture, seen, pot]);
  const ofDay = readings.filter(
    (reading) =>
      reading.counts &&
      reading.unitId === pot.unit.id &&
      reading.variableId === variable.id &&
      reading.observedOn === photo.takenOn,
  );
  const day = shortDay(photo.takenOn);
  return (
    <li>
      <canvas ref={canvas} role="img" aria-label={say('potAlt', { pot: pot.unit.number, day })} />
      <b>{day}</b>
      {ofDay.map(({ id, state, value, observer }) => (
        <small key={id}>
          {value === null
            ? STATE_WORDS[state]
            : say('readOn', { value: readText(value, styleOf(variable)), observer })}
        </small>
      ))}
      {ofDay.length === 0 && <small>{say('notRead')}</small>}
    </li>
  );
}
