import { say } from '@bright-sprout/words/photos';
import { placeArea } from '@bright-sprout/core/imaging';
import { useEffect, useRef } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { type PlacedPot, potsIn, type Seen } from './series.ts';

/** The pots of each treatment in a strip, cut out of one photo, the strips below each other. */
export function TreatmentStrips({ seen, picture }: { seen: Seen; picture: ImageBitmap }) {
  const { experiment } = useExperiment();
  const pots = potsIn(experiment, seen);
  const strips = experiment.treatments
    .map((treatment) => ({ treatment, pots: pots.filter(({ unit }) => unit.treatmentId === treatment.id) }))
    .filter((strip) => strip.pots.length > 0);
  const most = Math.max(1, ...strips.map((strip) => strip.pots.length));
  return (
    <ul className="treatment-strips">
      {strips.map((strip) => (
        <li key={strip.treatment.id}>
          <b>
            <TreatmentMark style={strip.treatment.style} size={16} /> {strip.treatment.name}
          </b>
          <Strip seen={seen} picture={picture} pots={strip.pots} share={strip.pots.length / most} />
        </li>
      ))}
    </ul>
  );
}

function Strip({
  seen,
  picture,
  pots,
  share,
}: {
  seen: Seen;
  picture: ImageBitmap;
  pots: readonly PlacedPot[];
  /** Width by that of the longest strip, so that all pots are as large. */
  share: number;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const places = pots.map(({ row, column }) => `${row} ${column}`).join();
  useEffect(() => {
    const drawing = canvas.current;
    if (!drawing) return;
    const areas = places.split(',').map((place) => {
      const [row = 1, column = 1] = place.split(' ').map(Number);
      return placeArea(picture, seen, { row, column });
    });
    const side = Math.max(...areas.map(({ width }) => width));
    drawing.width = side * areas.length;
    drawing.height = Math.max(...areas.map(({ height }) => height));
    const pen = drawing.getContext('2d');
    areas.forEach(({ left, top, width, height }, index) =>
      pen?.drawImage(picture, left, top, width, height, index * side, 0, width, height),
    );
  }, [seen, picture, places]);
  const numbers = pots.map(({ unit }) => unit.number).join(', ');
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={say('stripOfPots', { count: pots.length, numbers })}
      style={{ width: `${100 * share}%` }}
    />
  );
}
