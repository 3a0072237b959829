import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView } from '@bright-sprout/contract/plans';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useSearchParams } from 'react-router';
import { photosQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { AddPhotos } from './add-photos.tsx';
import { CornersPanel } from './corners-panel.tsx';
import { Film } from './film.tsx';
import { HeightPanel } from './height-panel.tsx';
import { MeasurePanel } from './measure-panel.tsx';
import { PotTimeline } from './pot-timeline.tsx';
import { PhotoStrip } from './photo-strip.tsx';
import { frameOf, seriesOf } from './series.ts';
import { useLooks } from './use-looks.ts';
import './photos.scss';

const VIEWS = [
  { view: 'corners', name: say('corners') },
  { view: 'measure', name: say('measure') },
  { view: 'pot', name: say('byPot') },
  { view: 'film', name: say('film') },
] as const;
type View = (typeof VIEWS)[number]['view'];

/** Photos of a container day by day: where its corners are, how much of each place is green, and a film of it. */
export default function PhotosPage() {
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  const { experiment } = useExperiment();
  const [search, setSearch] = useSearchParams();
  const photos = useQuery(photosQuery(experiment.id));
  const [containerId, setContainerId] = useState(experiment.containers[0]?.id ?? '');
  const container = experiment.containers.find(({ id }) => id === containerId);
  const [seen, setSeen] = useState<PhotoSummary['view']>('above');
  const series = useMemo(
    () => seriesOf(photos.data ?? [], seen, containerId),
    [photos.data, seen, containerId],
  );
  if (photos.error) return <FailureNote error={photos.error} />;
  if (!photos.data || !container) return <div className="panel" aria-busy="true" />;
  const rest = new URLSearchParams(search);
  rest.delete('photo');
  const choose = (id: string): void =>
    setSearch({ ...Object.fromEntries(rest), photo: id }, { replace: true });
  return (
    <div className="photos-page">
      <div className="print-tools">
        <h2>{say('pictures')}</h2>
        {experiment.containers.length > 1 && (
          <Form.Select
            size="sm"
            aria-label={say('ofWhichContainer')}
            value={containerId}
            onChange={({ target }) => setContainerId(target.value)}
          >
            {experiment.containers.map(({ id, name }, index) => (
              <option key={id} value={id}>
                {name || say('containerNumber', { number: index + 1 })}
              </option>
            ))}
          </Form.Select>
        )}
        <Form.Select
          size="sm"
          aria-label={say('whatIsSeen')}
          value={seen}
          onChange={({ target }) => setSeen(target.value as PhotoSummary['view'])}
        >
          <option value="above">{say('fromAbove')}</option>
          <option value="side">{say('fromTheSide')}</option>
        </Form.Select>
        <AddPhotos key={`${seen} ${container.id}`} container={container} view={seen} />
        <Link to={{ pathname: `/experiments/${experiment.id}/record`, search: rest.toString() }}>
          {say('backToRecord')}
        </Link>
      </div>
      {series.length === 0 ? (
        <p className="panel">{say(seen === 'above' ? 'noPhotosYet' : 'noSidePhotosYet')}</p>
      ) : seen === 'side' ? (
        <SidePhotos series={series} chosenId={search.get('photo')} choose={choose} />
      ) : (
        <Series
          key={container.id}
          container={container}
          series={series}
          chosenId={search.get('photo')}
          choose={choose}
        />
      )}
    </div>
  );
}

function SidePhotos({
  series,
  chosenId,
  choose,
}: {
  series: readonly PhotoSummary[];
  chosenId: string | null;
  choose: (id: string) => void;
}) {
  const photo = series.find(({ id }) => id === chosenId) ?? series.at(-1);
  if (!photo) return null;
  return (
    <>
      <PhotoStrip series={series} chosen={photo} choose={choose} />
      <HeightPanel key={photo.id} photo={photo} />
    </>
  );
}

function Series({
  container,
  series,
  chosenId,
  choose,
}: {
  container: ContainerView;
  series: readonly PhotoSummary[];
  chosenId: string | null;
  choose: (id: string) => void;
}) {
  const { experiment } = useExperiment();
  const looks = useLooks(experiment.id, container, series);
  const photo = series.find(({ id }) => id === chosenId) ?? series.at(-1);
  const frame = photo && frameOf(photo, series);
  const [wished, setView] = useState<View>('measure');
  const view: View = frame ? wished : 'corners';
  if (!photo) return null;
  return (
    <>
      <PhotoStrip series={series} chosen={photo} choose={choose} />
      <div className="view-links" role="group" aria-label={say('waysToLook')}>
        {VIEWS.map((one) => (
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
        <MeasurePanel container={container} series={series} photo={photo} frame={frame} looks={looks} />
      )}
      {view === 'pot' && <PotTimeline container={container} series={series} />}
      {view === 'film' && <Film container={container} series={series} />}
    </>
  );
}
