import type { CropView } from '@bright-sprout/contract/inventory';
import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { cropsQuery, seedLotsQuery } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { CropForm } from './crop-form.tsx';
import { LotForm } from './lot-form.tsx';
import { LotLine } from './lot-line.tsx';
import { SeedLineUp } from './seed-line-up.tsx';

/** The inventory: every crop with its seed to one scale, and the packets in hand. */
export default function InventoryPage() {
  const crops = useQuery(cropsQuery);
  const lots = useQuery(seedLotsQuery);
  const [chosenId, setChosenId] = useState<string>();
  const [editing, setEditing] = useState<'crop' | 'new-crop' | 'lot' | undefined>();
  const chosen = crops.data?.find((crop) => crop.id === chosenId) ?? crops.data?.[0];
  const own = lots.data?.filter((lot) => lot.cropId === chosen?.id) ?? [];
  return (
    <main className="inventory-page">
      <h1>Seed drawer</h1>
      <FailureNote error={crops.error ?? lots.error} />
      {crops.data && (
        <SeedLineUp
          crops={crops.data}
          chosenId={chosen?.id}
          onChoose={(id) => {
            setChosenId(id);
            setEditing(undefined);
          }}
        />
      )}
      <div className="inventory-below">
        {chosen && editing !== 'crop' && editing !== 'new-crop' && (
          <section className="panel" aria-label={chosen.commonName}>
            <CropCard crop={chosen} />
            <div className="button-row">
              {chosen.isOwn && (
                <Button variant="light" size="sm" onClick={() => setEditing('crop')}>
                  Change this crop
                </Button>
              )}
              <Button variant="light" size="sm" onClick={() => setEditing('new-crop')}>
                <Plus size={16} aria-hidden="true" /> A crop of your own
              </Button>
            </div>
          </section>
        )}
        {(editing === 'crop' || editing === 'new-crop') && (
          <section className="panel" aria-label="A crop of your own">
            <CropForm
              key={editing}
              crop={editing === 'crop' ? chosen : undefined}
              onDone={(id) => {
                setEditing(undefined);
                if (id) setChosenId(id);
              }}
            />
          </section>
        )}
        <section className="panel" aria-label="Packets">
          <h2>Packets of {chosen?.commonName.toLowerCase()}</h2>
          {own.length === 0 && editing !== 'lot' && (
            <p className="quiet">
              None yet. What a packet says wins over the typical figures, and your own tests over the packet.
            </p>
          )}
          {chosen && own.map((lot) => <LotLine key={lot.id} lot={lot} crop={chosen} />)}
          {chosen && editing === 'lot' && (
            <LotForm crop={chosen} lot={undefined} onDone={() => setEditing(undefined)} />
          )}
          {editing !== 'lot' && (
            <Button variant="light" size="sm" onClick={() => setEditing('lot')}>
              <Plus size={16} aria-hidden="true" /> A packet
            </Button>
          )}
        </section>
      </div>
    </main>
  );
}

const LIGHT = {
  either: 'light or dark',
  'needs-light': 'needs light',
  'needs-dark': 'needs the dark',
} as const;

function CropCard({ crop }: { crop: CropView }) {
  const range = (days: { min: number; max: number } | null): string =>
    days ? `${days.min}–${days.max} days` : 'no figure';
  const mm = (value: number | null): string =>
    value === null ? 'no figure' : value >= 100 ? `${value / 10} cm` : `${value} mm`;
  const facts = [
    ['Comes up in', range(crop.daysToEmergence)],
    ['Root shows in', range(crop.daysToRadicle)],
    ['Of 100 seeds', crop.germinationPercent === null ? 'no figure' : `about ${crop.germinationPercent}`],
    ['Depth', crop.sowingDepthMm === 0 ? 'on the surface' : mm(crop.sowingDepthMm)],
    ['Spacing', mm(crop.spacingMm)],
    ['To come up', LIGHT[crop.lightToGerminate]],
    ['Warmth', `${crop.temperatureC.min} to ${crop.temperatureC.max} °C, best ${crop.temperatureC.best} °C`],
    ['After three weeks', mm(crop.heightAtDay21Mm)],
    ['Full grown', mm(crop.matureHeightMm)],
    ['Harvest or flower', range(crop.daysToHarvestOrFlower)],
  ] as const;
  return (
    <>
      <h2>
        {crop.commonName} <i className="quiet">{crop.scientificName}</i>
      </h2>
      {crop.caution && <p className="caution-box">{crop.caution}</p>}
      <dl className="crop-card">
        {facts.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
