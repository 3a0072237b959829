import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import { computedLengthText, type LengthScale, parseLength, type Outcome } from '@bright-sprout/core/shared';
import { undefinedWords } from '@bright-sprout/core/words';
import { type ReactNode, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { addressOf } from '../shared/api/index.ts';
import { scaleOf as rulerOf, useExperiment } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { FIRST_MARKS, rootDirection, RULER_MARKS, type StemLength, stemLength } from './along-stem.ts';
import { KeepMeasured } from './keep-measured.tsx';
import { MarkEditor } from './mark-editor.tsx';

/** Marks along the stem or root of one plant in a photo, and what they tell. */
export function StemMarks({
  photo,
  unit,
  variable,
  choices,
  foot,
}: {
  photo: PhotoSummary;
  unit: UnitView | undefined;
  variable: VariableView | undefined;
  choices: ReactNode;
  foot: ReactNode;
}) {
  const { experiment } = useExperiment();
  const isDirection = variable?.name === 'root direction';
  const scale: LengthScale = variable?.kind === 'length' ? rulerOf(variable) : { unit: 'cm', step: 0.1 };
  const [marks, setMarks] = useState<readonly number[]>(firstMarks(photo, unit, variable));
  const [apart, setApart] = useState(scale.unit === 'in' ? '2 in' : '5 cm');
  const parsed = parseLength(apart, scale);
  const stem = Array.from({ length: marks.length / 2 - RULER_MARKS }, (_, index) => index + RULER_MARKS);
  const stemNames = stem.map((_, index) => say('stemMark', { index: index + 1 }));
  const rulerNames = [say('rulerMark', { which: 1 }), say('rulerMark', { which: 2 })];
  const ruler = marks.slice(0, 2 * RULER_MARKS);
  const along = marks.slice(2 * RULER_MARKS);
  const length = stemLength(marks, photo, parsed.ok ? parsed.mm : 0);
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
          marks={isDirection ? along : marks}
          names={isDirection ? stemNames : [...rulerNames, ...stemNames]}
          lines={isDirection ? [stem.map((index) => index - RULER_MARKS)] : [[0, 1], stem]}
          onChange={(next) => setMarks(isDirection ? [...ruler, ...next] : next)}
        />
      )}
      <div className="panel">
        {choices}
        <p>{say(isDirection ? 'markTheRoot' : 'markTheStem')}</p>
        {!isDirection && (
          <Form.Group controlId="apart">
            <Form.Label>{say('marksApart')}</Form.Label>
            <Form.Control
              value={apart}
              isInvalid={!parsed.ok}
              onChange={({ target }) => setApart(target.value)}
            />
          </Form.Group>
        )}
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
        {isDirection ? (
          <Direction photo={photo} unit={unit} variable={variable} marks={along} />
        ) : (
          <>
            <FoundLength found={length} scale={scale} isHeight={variable?.name === 'height'} />
            {variable && unit && length.defined && (
              <KeepMeasured
                photo={photo}
                unit={unit}
                variable={variable}
                measured={ofLength(length.value, marks)}
              />
            )}
          </>
        )}
        {!variable && <p className="note-attention">{say('heightNotPlanned')}</p>}
        {foot}
      </div>
    </div>
  );
}

/** Marks that were kept of this plant, else those of the ruler that were kept in this photo with a plant's first ones. */
function firstMarks(
  photo: PhotoSummary,
  unit: UnitView | undefined,
  variable: VariableView | undefined,
): readonly number[] {
  const own = photo.measures.findLast(
    (one) => one.unitId === unit?.id && one.variableId === variable?.id,
  )?.method;
  const ruled = photo.measures.findLast(({ method }) => method.kind === 'length')?.method.marks;
  const ruler = (ruled ?? FIRST_MARKS).slice(0, 2 * RULER_MARKS);
  if (!own) return [...ruler, ...FIRST_MARKS.slice(2 * RULER_MARKS)];
  return own.kind === 'angle' ? [...ruler, ...own.marks] : own.marks;
}

function ofLength({ mm, sdMm, scale }: StemLength, marks: readonly number[]) {
  return {
    ...{ kind: 'length' as const, value: mm, sd: sdMm, unit: 'mm', step: 0.1 },
    ...{ pixels: scale.pixels, apartMm: scale.mmPerPixel * scale.pixels, marks },
  };
}

function FoundLength({
  found,
  scale,
  isHeight,
}: {
  found: Outcome<StemLength>;
  scale: LengthScale;
  isHeight: boolean;
}) {
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
      {isHeight && isUneven && <p className="note-attention">{say('notInOnePlane')}</p>}
    </>
  );
}

function Direction({
  photo,
  unit,
  variable,
  marks,
}: {
  photo: PhotoSummary;
  unit: UnitView | undefined;
  variable: VariableView;
  marks: readonly number[];
}) {
  const found = rootDirection(marks, photo);
  if (!found.defined)
    return <p className="note-attention">{say('cannotMeasure', { reason: undefinedWords(found.reason) })}</p>;
  const { degrees, sdDegrees } = found.value;
  return (
    <>
      <p className="found-height" role="status">
        {say('directionFound', { degrees: degrees.toFixed(0), error: Math.max(1, 2 * sdDegrees).toFixed(0) })}
      </p>
      <p className="quiet">{say('directionHint')}</p>
      {unit && (
        <KeepMeasured
          photo={photo}
          unit={unit}
          variable={variable}
          measured={{
            ...{ kind: 'angle', value: degrees, sd: sdDegrees, unit: '°', step: 1 },
            ...{ pixels: photo.height, apartMm: null, marks },
          }}
        />
      )}
    </>
  );
}

/** One more mark halfway along the last leg of the stem. */
function withBend(marks: readonly number[]): number[] {
  const [x = 0, y = 0, tipX = 0, tipY = 0] = marks.slice(-4);
  return [...marks.slice(0, -2), (x + tipX) / 2, (y + tipY) / 2, tipX, tipY];
}
