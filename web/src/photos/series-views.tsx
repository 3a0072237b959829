import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { addressOf } from '../shared/api/index.ts';
import { useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { CompareDays } from './compare-days.tsx';
import { CornersPanel } from './corners-panel.tsx';
import { Film } from './film.tsx';
import { LeaveOut } from './leave-out.tsx';
import { MeasurePanel } from './measure-panel.tsx';
import { PhotoStrip } from './photo-strip.tsx';
import { PotTimeline } from './pot-timeline.tsx';
import { frameOf, type Seen } from './series.ts';
import { useLooks } from './use-looks.ts';

const VIEWS = [
  { view: 'corners', name: say('corners') },
  { view: 'measure', name: say('measure') },
  { view: 'leave_out', name: say('leaveOutView') },
  { view: 'pot', name: say('byPot') },
  { view: 'compare', name: say('twoDays') },
  { view: 'film', name: say('film') },
] as const;
type View = (typeof VIEWS)[number]['view'];

/** Ways to look at a photo that change what is kept of it. */
const CHANGES: readonly View[] = ['corners', 'leave_out'];

/** Photos from above as a row of days, and the ways to look at them. */
export function SeriesViews({
  seen,
  series,
  chosenId,
  choose,
}: {
  seen: Seen;
  series: readonly PhotoSummary[];
  chosenId: string | null;
  choose: (id: string) => void;
}) {
  const { experiment } = useExperiment();
  const looks = useLooks(experiment.id, seen, series);
  const photo = series.find(({ id }) => id === chosenId) ?? series.at(-1);
  const frame = photo && frameOf(photo, series);
  const [wished, setView] = useState<View>('measure');
  const mayChange = useMayChange();
  if (!photo) return null;
  if (!frame && !mayChange) {
    return (
      <>
        <PhotoStrip series={series} chosen={photo} choose={choose} />
        <figure className="panel">
          {photo.hasPicture && (
            <img
              className="whole-photo"
              src={addressOf(photoRoutes.photoPicture, { experimentId: experiment.id, photoId: photo.id })}
              alt={say('photoOfDay', { day: shortDay(photo.takenOn) })}
            />
          )}
          <figcaption>{say('noCornersYet')}</figcaption>
        </figure>
      </>
    );
  }
  const view: View = frame ? wished : 'corners';
  return (
    <>
      <PhotoStrip series={series} chosen={photo} choose={choose} />
      <div className="view-links" role="group" aria-label={say('waysToLook')}>
        {VIEWS.filter((one) => mayChange || !CHANGES.includes(one.view)).map((one) => (
          <Button
            key={one.view}
            size="sm"
            variant={one.view === view ? 'primary' : 'light'}
            aria-pressed={one.view === view}
            disabled={!frame && one.view !== 'corners'}
            onClick={() => setView(one.view)}
          >
            {one.name}
          </Button>
        ))}
      </div>
      {view === 'corners' && <CornersPanel key={photo.id} photo={photo} frame={frame} />}
      {view === 'measure' && frame && (
        <MeasurePanel seen={seen} series={series} photo={photo} frame={frame} looks={looks} />
      )}
      {view === 'leave_out' && frame && <LeaveOut key={photo.id} seen={seen} photo={photo} frame={frame} />}
      {view === 'pot' && <PotTimeline seen={seen} series={series} />}
      {view === 'compare' && <CompareDays seen={seen} series={series} />}
      {view === 'film' && <Film seen={seen} series={series} />}
    </>
  );
}
