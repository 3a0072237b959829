import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import type { VariableView } from '@bright-sprout/contract/plans';
import { computedLengthText, type LengthScale, parseLength, type Outcome } from '@bright-sprout/core/shared';
import { undefinedWords } from '@bright-sprout/core/words';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { useAct } from '../readings/index.ts';
import { addressOf, call } from '../shared/api/index.ts';
import { scaleOf as rulerOf, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { DeletePicture } from './delete-picture.tsx';
import { MarkEditor } from './mark-editor.tsx';
import { FIRST_MARKS, RULER_MARKS, type SideHeight, sideHeight } from './side-height.ts';

/** Measured lengths are kept to a tenth of a millimetre: finer than any picture tells. */
const MM_STEP = 0.1;

/** Height of a plant from the side, along its stem, by a ruler in the picture. */
export function HeightPanel({ photo }: { photo: PhotoSummary }) {
  const { experiment } = useExperiment();
  const variable = experiment.variables.find(({ kind }) => kind === 'length');
  const scale: LengthScale = variable ? rulerOf(variable) : { unit: 'cm', step: 0.1 };
  const kept = photo.measures.at(-1)?.method;
  const [marks, setMarks] = useState<readonly number[]>(kept?.marks ?? FIRST_MARKS);
  const [apart, setApart] = useState(scale.unit === 'in' ? '2 in' : '5 cm');
  const unit = experiment.units.find(({ id }) => id === photo.unitId);
  const parsed = parseLength(apart, scale);
  const found = sideHeight(marks, photo, parsed.ok ? parsed.mm : 0);
  const stem = Array.from({ length: marks.length / 2 - RULER_MARKS }, (_, index) => index + RULER_MARKS);
  const names = [
    say('rulerMark', { which: 1 }),
    say('rulerMark', { which: 2 }),
    ...stem.map((_, index) => say('stemMark', { index: index + 1 })),
  ];
  return (
    <div className="photo-work">
      {photo.hasPicture && (
        <MarkEditor
          photo={{
            picture: addressOf(photoRoutes.photoPicture, { experimentId: experiment.id, photoId: photo.id }),
            alt: say('sideAlt', { pot: unit?.number ?? '', day: shortDay(photo.takenOn) }),
            width: photo.width,
            height: photo.height,
          }}
          marks={marks}
          names={names}
          lines={[[0, 1], stem]}
          onChange={setMarks}
        />
      )}
      <div className="panel">
        <p>{say('markTheStem')}</p>
        <Form.Group controlId="apart">
          <Form.Label>{say('marksApart')}</Form.Label>
          <Form.Control
            value={apart}
            isInvalid={!parsed.ok}
            onChange={({ target }) => setApart(target.value)}
          />
        </Form.Group>
        <div className="photo-acts">
          <Button variant="light" size="sm" onClick={() => setMarks(withBend(marks))}>
            {say('addABend')}
          </Button>
          <Button
            variant="light"
            size="sm"
            disabled={stem.length <= 2}
            onClick={() => setMarks(marks.slice(0, -2))}
          >
            {say('takeLastAway')}
          </Button>
        </div>
        <FoundHeight found={found} scale={scale} />
        {variable && unit && found.defined && (
          <KeepHeight photo={photo} unitId={unit.id} variable={variable} marks={marks} height={found.value} />
        )}
        {!variable && <p className="note-attention">{say('heightNotPlanned')}</p>}
        <DeletePicture photo={photo} />
      </div>
    </div>
  );
}

function FoundHeight({ found, scale }: { found: Outcome<SideHeight>; scale: LengthScale }) {
  if (!found.defined)
    return <p className="note-attention">{say('cannotMeasure', { reason: undefinedWords(found.reason) })}</p>;
  const { mm, sdMm, scale: ruler, rulerLeans, isUneven } = found.value;
  return (
    <>
      <p className="found-height" role="status">
        {say('heightFound', {
          height: computedLengthText(mm, scale),
          error: computedLengthText(2 * sdMm, scale),
        })}
      </p>
      <p className="quiet">{say('heightError')}</p>
      {rulerLeans && (
        <p className="note-attention">{say('rulerLeans', { degrees: ruler.tilt.toFixed(0) })}</p>
      )}
      {isUneven && <p className="note-attention">{say('notInOnePlane')}</p>}
    </>
  );
}

function KeepHeight({
  photo,
  unitId,
  variable,
  marks,
  height: { mm, sdMm, scale },
}: {
  photo: PhotoSummary;
  unitId: string;
  variable: VariableView;
  marks: readonly number[];
  height: SideHeight;
}) {
  const { experiment, readings } = useExperiment();
  const own = new Set(photo.measures.map(({ readingId }) => readingId));
  const before = readings.findLast(({ id, counts }) => counts && own.has(id));
  const value = Math.round(mm / MM_STEP) * MM_STEP;
  const rounded = Number(value.toFixed(1));
  const ruler = rulerOf(variable);
  const keeping = useAct(() =>
    call(photoRoutes.keepMeasure, {
      params: { experimentId: experiment.id, photoId: photo.id, readingId: uuid() },
      body: {
        reading: {
          ...{ unitId, variableId: variable.id, observedOn: photo.takenOn, state: 'emerged', value: rounded },
          ...{ entered: String(rounded), unitOfMeasure: 'mm', precision: MM_STEP },
          supersedesId: before?.id ?? null,
        },
        method: {
          ...{ kind: 'length', low: mm - 2 * sdMm, high: mm + 2 * sdMm, pixels: Math.round(scale.pixels) },
          ...{ apartMm: scale.mmPerPixel * scale.pixels, marks: [...marks] },
        },
      },
    }),
  );
  return (
    <>
      <Button disabled={keeping.isPending || before?.value === rounded} onClick={() => keeping.mutate()}>
        {say('keepThisHeight')}
      </Button>
      {before?.value != null && (
        <p role="status">{say('heightKept', { height: computedLengthText(before.value, ruler) })}</p>
      )}
      <FailureNote error={keeping.error} />
    </>
  );
}

/** One more mark halfway along the last leg of the stem. */
function withBend(marks: readonly number[]): number[] {
  const [x = 0, y = 0, tipX = 0, tipY = 0] = marks.slice(-4);
  return [...marks.slice(0, -2), (x + tipX) / 2, (y + tipY) / 2, tipX, tipY];
}
