import { cautionText } from '@bright-sprout/core/words';
import { say } from '@bright-sprout/words/inventory';
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
import './inventory.scss';

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
      <h1>{say('seedDrawer')}</h1>
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
                  {say('changeThisCrop')}
                </Button>
              )}
              <Button variant="light" size="sm" onClick={() => setEditing('new-crop')}>
                <Plus size={16} aria-hidden="true" /> {say('aCropOfYourOwn')}
              </Button>
            </div>
          </section>
        )}
        {(editing === 'crop' || editing === 'new-crop') && (
          <section className="panel" aria-label={say('aCropOfYourOwn')}>
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
        <section className="panel" aria-label={say('packets')}>
          <h2>
            {say('packetsOf')} {chosen?.commonName.toLowerCase()}
          </h2>
          {own.length === 0 && editing !== 'lot' && (
            <p className="quiet">{say('noneYetWhatAPacketSaysWins')}</p>
          )}
          {chosen && own.map((lot) => <LotLine key={lot.id} lot={lot} crop={chosen} />)}
          {chosen && editing === 'lot' && (
            <LotForm crop={chosen} lot={undefined} onDone={() => setEditing(undefined)} />
          )}
          {editing !== 'lot' && (
            <Button variant="light" size="sm" onClick={() => setEditing('lot')}>
              <Plus size={16} aria-hidden="true" /> {say('aPacket')}
            </Button>
          )}
        </section>
      </div>
    </main>
  );
}

const LIGHT = {
  either: say('lightOrDark'),
  needs_light: say('needsLight'),
  needs_dark: say('needsTheDark'),
} as const;

function CropCard({ crop }: { crop: CropView }) {
  const range = (days: { min: number; max: number } | null): string =>
    days ? say('days', { min: days.min, max: days.max }) : say('noFigure');
  const mm = (value: number | null): string =>
    value === null
      ? say('noFigure')
      : value >= 100
        ? say('cm', { value: value / 10 })
        : say('mm2', { value });
  const facts = [
    [say('comesUpIn'), range(crop.daysToEmergence)],
    [say('rootShowsIn'), range(crop.daysToRadicle)],
    [
      say('of100Seeds'),
      crop.germinationPercent === null
        ? say('noFigure')
        : say('about', { germinationPercent: crop.germinationPercent }),
    ],
    [say('depth'), crop.sowingDepthMm === 0 ? say('onTheSurface') : mm(crop.sowingDepthMm)],
    [say('spacing'), mm(crop.spacingMm)],
    [say('toComeUp'), LIGHT[crop.lightToGerminate]],
    [
      say('warmth'),
      say('toCBestC', {
        min: crop.temperatureC.min,
        max: crop.temperatureC.max,
        best: crop.temperatureC.best,
      }),
    ],
    [say('afterThreeWeeks'), mm(crop.heightAtDay21Mm)],
    [say('fullGrown'), mm(crop.matureHeightMm)],
    [
      say('harvestOrFlower'),
      crop.daysToHarvestOrFlower
        ? say('harvestCounted', {
            days: range(crop.daysToHarvestOrFlower),
            from: crop.harvestFrom ?? 'sowing',
          })
        : say('noFigure'),
    ],
  ] as const;
  return (
    <>
      <h2>
        {crop.commonName} <i className="quiet">{crop.scientificName}</i>
      </h2>
      {(crop.caution || crop.isOftenTreated) && (
        <p className="caution-box">
          {[crop.caution, crop.isOftenTreated ? say('treatedCaution') : '']
            .map(cautionText)
            .filter(Boolean)
            .join(' ')}
        </p>
      )}
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
