import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import { addressOf } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';

/** The photos of a series in a row, by day. */
export function PhotoStrip({
  series,
  chosen,
  choose,
}: {
  series: readonly PhotoSummary[];
  chosen: PhotoSummary;
  choose: (id: string) => void;
}) {
  const { experiment } = useExperiment();
  return (
    <ol className="photo-strip" aria-label={say('photosByDay')}>
      {series.map((photo) => (
        <li key={photo.id}>
          <button
            type="button"
            aria-pressed={photo.id === chosen.id}
            aria-label={say('photoOfDay', { day: shortDay(photo.takenOn) })}
            onClick={() => choose(photo.id)}
          >
            {photo.hasPicture && (
              <img
                src={addressOf(photoRoutes.smallPhotoPicture, {
                  experimentId: experiment.id,
                  photoId: photo.id,
                })}
                alt=""
                loading="lazy"
              />
            )}
            <b>{shortDay(photo.takenOn)}</b>
            <small>{stateOf(photo, experiment.units.find(({ id }) => id === photo.unitId)?.number)}</small>
          </button>
        </li>
      ))}
    </ol>
  );
}

function stateOf(photo: PhotoSummary, pot: number | undefined): string {
  if (pot !== undefined) return say('ofPot', { number: pot });
  if (!photo.hasPicture) return say('pictureDeleted');
  if (photo.measures.length > 0) return say('isMeasured');
  return photo.corners ? say('isFramed') : '';
}
