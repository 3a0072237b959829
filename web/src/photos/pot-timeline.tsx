import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView, UnitView } from '@bright-sprout/contract/plans';
import { placeArea } from '@bright-sprout/core/imaging';
import { readText, STATE_WORDS } from '@bright-sprout/core/words';
import { useEffect, useRef, useState } from 'react';
import { styleOf, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { PotSelect } from './pot-select.tsx';
import { type FilmPicture, useFilm } from './use-film.ts';

/** One pot, cut out of each photo of its container, beside what was read of it that day. */
export function PotTimeline({
  container,
  series,
}: {
  container: ContainerView;
  series: readonly PhotoSummary[];
}) {
  const { experiment } = useExperiment();
  const pots = experiment.units.filter(({ containerId }) => containerId === container.id);
  const [unitId, setUnitId] = useState(pots[0]?.id);
  const unit = pots.find(({ id }) => id === unitId);
  const { pictures, error } = useFilm(container, series);
  if (error) return <FailureNote error={error} />;
  if (!unit) return null;
  return (
    <>
      <PotSelect pots={pots} chosenId={unit.id} onChoose={setUnitId} />
      <ol className="pot-days" aria-label={say('potDayByDay', { number: unit.number })}>
        {pictures.map((one) => (
          <PotDay key={one.photo.id} container={container} unit={unit} {...one} />
        ))}
      </ol>
    </>
  );
}

function PotDay({
  container,
  unit,
  photo,
  picture,
}: FilmPicture & { container: ContainerView; unit: UnitView }) {
  const { readings, variable } = useExperiment();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const drawing = canvas.current;
    if (!drawing) return;
    const { left, top, width, height } = placeArea(picture, container, unit);
    drawing.width = width;
    drawing.height = height;
    drawing.getContext('2d')?.drawImage(picture, left, top, width, height, 0, 0, width, height);
  }, [picture, container, unit]);
  const ofDay = readings.filter(
    (reading) =>
      reading.counts &&
      reading.unitId === unit.id &&
      reading.variableId === variable.id &&
      reading.observedOn === photo.takenOn,
  );
  const day = shortDay(photo.takenOn);
  return (
    <li>
      <canvas ref={canvas} role="img" aria-label={say('potAlt', { pot: unit.number, day })} />
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
