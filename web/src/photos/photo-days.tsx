import { say } from '@bright-sprout/words/photos';
import { placeArea } from '@bright-sprout/core/imaging';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { photosQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { frameOf, type PlacedPot, potsIn, type Seen, seriesOf } from './series.ts';
import { type FilmPicture, useFilm } from './use-film.ts';

/** Pictures of a paper, at most. */
const MOST_DAYS = 3;

/** The first, a middle and the last photo of each container by a day, straightened; or of some pots, cut out. */
export function PhotoDays({ until, potIds }: { until: string; potIds?: ReadonlySet<string> }) {
  const { experiment } = useExperiment();
  const photos = useQuery(photosQuery(experiment.id)).data ?? NONE;
  return experiment.containers.map((container) => (
    <ContainerDays
      key={container.id}
      seen={container}
      photos={photos}
      until={until}
      pots={potIds && potsIn(experiment, container).filter(({ unit }) => potIds.has(unit.id))}
    />
  ));
}

const NONE: never[] = [];

function ContainerDays({
  seen,
  photos,
  until,
  pots,
}: {
  seen: Seen;
  photos: Parameters<typeof seriesOf>[0];
  until: string;
  pots: readonly PlacedPot[] | undefined;
}) {
  const series = useMemo(() => {
    const all = seriesOf(photos, 'above', seen);
    const usable = all.filter((one) => one.takenOn <= until && one.hasPicture && frameOf(one, all));
    const chosen = new Set([0, Math.floor((usable.length - 1) / 2), usable.length - 1]);
    // Those whose corners they take over stay in the series, without being drawn.
    return all.map((one) => ({ ...one, hasPicture: chosen.has(usable.indexOf(one)) }));
  }, [photos, seen, until]);
  const { pictures } = useFilm(seen, series);
  if (pictures.length === 0 || pots?.length === 0) return null;
  return (
    <ul className="photo-days">
      {pots
        ? pots.flatMap((pot) =>
            pictures
              .slice(0, MOST_DAYS)
              .map((one) => <Cut key={`${pot.unit.id} ${one.photo.id}`} seen={seen} pot={pot} {...one} />),
          )
        : pictures.map((one) => <Cut key={one.photo.id} seen={seen} {...one} />)}
    </ul>
  );
}

/** An image and not a canvas, so that a paper that is saved as a file has it. */
function Cut({ seen, pot, photo, picture }: FilmPicture & { seen: Seen; pot?: PlacedPot }) {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    const canvas = document.createElement('canvas');
    const whole = { left: 0, top: 0, width: picture.width, height: picture.height };
    const { left, top, width, height } = pot ? placeArea(picture, seen, pot) : whole;
    canvas.width = width;
    canvas.height = height;
    canvas.getContext('2d')?.drawImage(picture, left, top, width, height, 0, 0, width, height);
    let made: string | undefined;
    let isLeft = false;
    canvas.toBlob(
      (blob) => {
        if (!blob || isLeft) return;
        made = URL.createObjectURL(blob);
        setAddress(made);
      },
      'image/jpeg',
      QUALITY,
    );
    return () => {
      isLeft = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [seen, pot, picture]);
  const day = shortDay(photo.takenOn);
  const alt = pot ? say('potAlt', { pot: pot.unit.number, day }) : say('photoAlt', { day });
  return (
    <li>
      {address && <img src={address} alt={alt} />}
      <small>{pot ? say('potOnDay', { number: pot.unit.number, day }) : day}</small>
    </li>
  );
}

const QUALITY = 0.85;
