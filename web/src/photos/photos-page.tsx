import { say } from '@bright-sprout/words/photos';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { photosQuery } from '../shared/api/index.ts';
import { ForWhoMayChange, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { AddPhotos } from './add-photos.tsx';
import { ChoiceSelect } from './choice-select.tsx';
import { PotSelect } from './pot-select.tsx';
import { SeriesViews } from './series-views.tsx';
import { onePot, seriesOf } from './series.ts';
import { SideViews } from './side-views.tsx';
import './photos.scss';

/** What photos show: a container from above, one pot from above, or plants from the side. */
const SHOWN = [
  { id: 'above', name: say('fromAbove') },
  { id: 'pot', name: say('fromAboveOnePot') },
  { id: 'side', name: say('fromTheSide') },
] as const;
type Shown = (typeof SHOWN)[number]['id'];

const NONE_YET = {
  above: say('noPhotosYet'),
  pot: say('noPotPhotosYet'),
  side: say('noSidePhotosYet'),
} as const;

/** Photos day by day: where corners are, how much is green, how long a stem or root is, and a film of it. */
export default function PhotosPage() {
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  const { experiment } = useExperiment();
  const [search, setSearch] = useSearchParams();
  const photos = useQuery(photosQuery(experiment.id));
  const [containerId, setContainerId] = useState(experiment.containers[0]?.id ?? '');
  const container = experiment.containers.find(({ id }) => id === containerId);
  const [shown, setShown] = useState<Shown>('above');
  const pots = experiment.units.filter((unit) => unit.containerId === containerId);
  const [chosenPot, setPot] = useState('');
  const potId = pots.find(({ id }) => id === chosenPot)?.id ?? pots[0]?.id ?? '';
  const seen = useMemo(
    () => (shown === 'pot' || !container ? onePot(potId) : container),
    [shown, potId, container],
  );
  const series = useMemo(
    () => seriesOf(photos.data ?? [], shown === 'side' ? 'side' : 'above', seen),
    [photos.data, shown, seen],
  );
  if (photos.error) return <FailureNote error={photos.error} />;
  if (!photos.data || !container) return <div className="panel" aria-busy="true" />;
  const rest = new URLSearchParams(search);
  rest.delete('photo');
  const choose = (id: string): void =>
    setSearch({ ...Object.fromEntries(rest), photo: id }, { replace: true });
  const views = { series, chosenId: search.get('photo'), choose };
  return (
    <div className="photos-page">
      <div className="print-tools">
        <h2>{say('pictures')}</h2>
        <ContainerSelect chosenId={containerId} onChoose={setContainerId} />
        <ChoiceSelect
          name={say('whatIsSeen')}
          choices={SHOWN}
          chosenId={shown}
          onChoose={(id) => setShown(id as Shown)}
        />
        {shown === 'pot' && <PotSelect pots={pots} chosenId={potId} onChoose={setPot} />}
        <ForWhoMayChange>
          <AddPhotos
            key={`${shown} ${seen.id}`}
            container={container}
            view={shown === 'side' ? 'side' : 'above'}
            onePotId={shown === 'pot' ? potId : null}
          />
        </ForWhoMayChange>
        <Link to={{ pathname: `/experiments/${experiment.id}/record`, search: rest.toString() }}>
          {say('backToRecord')}
        </Link>
      </div>
      {series.length === 0 && <p className="panel">{NONE_YET[shown]}</p>}
      {shown === 'side' ? (
        <SideViews {...views} pots={pots} />
      ) : (
        <SeriesViews key={seen.id} {...views} seen={seen} />
      )}
    </div>
  );
}

function ContainerSelect({ chosenId, onChoose }: { chosenId: string; onChoose: (id: string) => void }) {
  const { experiment } = useExperiment();
  if (experiment.containers.length < 2) return null;
  const choices = experiment.containers.map(({ id, name }, index) => ({
    id,
    name: name || say('containerNumber', { number: index + 1 }),
  }));
  return (
    <ChoiceSelect name={say('ofWhichContainer')} choices={choices} chosenId={chosenId} onChoose={onChoose} />
  );
}
