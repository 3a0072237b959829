import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import {
  BLURRED,
  greenArea,
  type GreenCover,
  OBLIQUE,
  type RealSize,
  THRESHOLD_STEP,
} from '@bright-sprout/core/imaging';
import { type Outcome, toMillimetres } from '@bright-sprout/core/shared';
import { undefinedWords } from '@bright-sprout/core/words';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import { ForWhoMayChange, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import type { Look } from './imaging.worker.ts';
import {
  coversOf,
  type FoundFrame,
  isKeepable,
  type MeasuredPot,
  type Seen,
  NOTHING_GREEN,
  rulerOfPhotos,
  seriesThreshold,
} from './series.ts';
import { Straightened } from './straightened.tsx';
import { type MeasuredPhoto, useKeepCovers } from './use-keep-covers.ts';
import type { Looks } from './use-looks.ts';

/** Excess green that the slider goes between, and where it begins while none is found. */
const SLIDER = { min: 0, max: 0.8, step: 0.01, usual: 0.2 } as const;

/** How much of each place is green on the day of a photo, and keeping it. */
export function MeasurePanel({
  seen,
  series,
  photo,
  frame,
  looks,
}: {
  seen: Seen;
  series: readonly PhotoSummary[];
  photo: PhotoSummary;
  frame: FoundFrame;
  looks: Looks;
}) {
  const { experiment } = useExperiment();
  const [byHand, setByHand] = useState<number>();
  const [showsMask, setShowsMask] = useState(true);
  const found = seriesThreshold(looks.byPhoto.values());
  const threshold = byHand ?? (found.defined ? found.value.at : SLIDER.usual);
  const isFound = byHand === undefined && found.defined;
  const measured: MeasuredPhoto[] = series.flatMap((one) => {
    const look = looks.byPhoto.get(one.id);
    return look?.defined ? [{ photo: one, pots: coversOf(experiment, seen, look.value, threshold) }] : [];
  });
  const look = looks.byPhoto.get(photo.id);
  const today = measured.find((one) => one.photo.id === photo.id);
  return (
    <div className="photo-work">
      <Straightened photo={photo} frame={frame} seen={seen} threshold={showsMask ? threshold : null} />
      <div className="panel">
        <p role="status" className="quiet">
          {looks.done < looks.of
            ? say('measuringPhotos', { done: looks.done + 1, of: looks.of })
            : say('lookedAt', { count: looks.done })}
        </p>
        <FailureNote error={looks.error} />
        <Form.Group controlId="threshold">
          <Form.Label>{say('threshold')}</Form.Label>
          <Form.Range
            {...{ min: SLIDER.min, max: SLIDER.max, step: SLIDER.step }}
            value={threshold}
            onChange={({ target }) => setByHand(Number(target.value))}
          />
        </Form.Group>
        <p className="quiet">
          {say(isFound ? 'thresholdSeries' : 'thresholdByHand', { at: threshold.toFixed(2) })}{' '}
          {byHand !== undefined && found.defined && (
            <Button variant="link" size="sm" onClick={() => setByHand(undefined)}>
              {say('useTheSeries')}
            </Button>
          )}
        </p>
        <Form.Check
          type="switch"
          id="shows-mask"
          label={say('showWhatCounts')}
          checked={showsMask}
          onChange={({ target }) => setShowsMask(target.checked)}
        />
        {!found.defined && looks.done === looks.of && looks.of > 0 && (
          <p className="note-attention">{say('cannotMeasure', { reason: undefinedWords(found.reason) })}</p>
        )}
        <LookNotes look={look} />
        {today && <Covers photo={photo} pots={today.pots} seen={seen} size={frame.size} />}
        <ForWhoMayChange>
          <KeepCovers today={today} all={measured} />
        </ForWhoMayChange>
      </div>
    </div>
  );
}

/** What is to be known of how a photo was taken. */
function LookNotes({ look }: { look: Outcome<Look> | undefined }) {
  if (!look) return null;
  if (!look.defined)
    return <p className="note-attention">{say('cannotMeasure', { reason: undefinedWords(look.reason) })}</p>;
  const { foreshortening, light } = look.value;
  return (
    <>
      {foreshortening > OBLIQUE && (
        <p className="note-attention">{say('notAbove', { times: foreshortening.toFixed(1) })}</p>
      )}
      {light.sharpness < BLURRED && <p className="note-attention">{say('blurred')}</p>}
    </>
  );
}

function Covers({
  photo,
  pots,
  seen,
  size,
}: {
  photo: PhotoSummary;
  pots: readonly MeasuredPot[];
  seen: Seen;
  size: RealSize | null;
}) {
  const { experiment, readings } = useExperiment();
  const { unit: ruler } = rulerOfPhotos(experiment);
  const own = new Set(photo.measures.map(({ readingId }) => readingId));
  return (
    <>
      <Table size="sm" className="covers">
        <thead>
          <tr>
            <th scope="col">{say('pot')}</th>
            <th scope="col">{say('greenCover')}</th>
            <th scope="col">{say('between')}</th>
            <th scope="col">{say('kept')}</th>
            {size && <th scope="col">{say('greenArea')}</th>}
          </tr>
        </thead>
        <tbody>
          {pots.map(({ unit, cover }) => {
            const kept = readings.find(
              ({ id, unitId, counts }) => counts && own.has(id) && unitId === unit.id,
            );
            return (
              <tr key={unit.id}>
                <th scope="row">{unit.number}</th>
                <td>{coverText(cover)}</td>
                <td>{cover.defined && rangeText(cover.value)}</td>
                <td>
                  {kept &&
                    (kept.value === null ? say('nothingGreen') : say('coverText', { share: kept.value }))}
                </td>
                {size && (
                  <td>{cover.defined && areaText(greenArea(cover.value.share, seen, size), ruler)}</td>
                )}
              </tr>
            );
          })}
        </tbody>
      </Table>
      <p className="quiet">{say('rangeHint', { step: THRESHOLD_STEP })}</p>
    </>
  );
}

function coverText(cover: Outcome<GreenCover>): string {
  if (!cover.defined) return undefinedWords(cover.reason);
  if (cover.value.share < NOTHING_GREEN) return say('nothingGreen');
  return say('coverText', { share: percent(cover.value.share) });
}

function rangeText({ low, high }: GreenCover): string {
  return say('coverRange', { low: percent(low), high: percent(high) });
}

function areaText(mm2: number, unit: 'cm' | 'in'): string {
  return say('area', { amount: (mm2 / toMillimetres(1, unit) ** 2).toFixed(1), unit });
}

function percent(share: number): string {
  return (100 * share).toFixed(1);
}

function KeepCovers({ today, all }: { today: MeasuredPhoto | undefined; all: readonly MeasuredPhoto[] }) {
  const { experiment } = useExperiment();
  const variable = experiment.variables.find(({ name }) => name === 'green cover');
  const { keep, progress, error, isDone } = useKeepCovers(variable);
  if (!variable) return <p className="note-attention">{say('notPlanned')}</p>;
  const count = today?.pots.filter((pot) => isKeepable(today.photo, pot)).length ?? 0;
  const days = all.filter(({ photo, pots }) => pots.some((pot) => isKeepable(photo, pot)));
  return (
    <>
      <div className="photo-acts">
        <Button
          disabled={!today || count === 0 || progress !== undefined}
          onClick={() => today && keep([today])}
        >
          {say('keepThisDay', { count })}
        </Button>
        <Button
          variant="light"
          disabled={days.length === 0 || progress !== undefined}
          onClick={() => keep(days)}
        >
          {say('keepAllDays', { count: days.length })}
        </Button>
      </div>
      <p role="status">
        {progress ? say('keeping', { done: progress.done + 1, of: progress.of }) : isDone && say('keptAll')}
      </p>
      <FailureNote error={error} />
    </>
  );
}
