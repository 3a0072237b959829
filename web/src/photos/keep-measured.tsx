import { say } from '@bright-sprout/words/photos';
import { photoRoutes, type PhotoSummary } from '@bright-sprout/contract/photos';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { MeasureKind } from '@bright-sprout/core/shared';
import { computedText } from '@bright-sprout/core/words';
import Button from 'react-bootstrap/Button';
import { v7 as uuid } from 'uuid';
import { useAct } from '../readings/index.ts';
import { call } from '../shared/api/index.ts';
import { ForWhoMayChange, styleOf, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

/** A value that was measured on a photo. */
export interface Measured {
  readonly kind: MeasureKind;
  readonly value: number;
  /** Standard deviation of it, from how well marks are placed. */
  readonly sd: number;
  readonly unit: string;
  /** It is kept in multiples of this. */
  readonly step: number;
  readonly pixels: number;
  /** Real distance of the marks of the scale in mm; of a length. */
  readonly apartMm: number | null;
  readonly marks: readonly number[];
}

/** Keeps a measured value as a reading; one that was kept before is corrected. */
export function KeepMeasured({
  photo,
  unit,
  variable,
  measured,
}: {
  photo: PhotoSummary;
  unit: UnitView;
  variable: VariableView;
  measured: Measured;
}) {
  const { experiment, readings } = useExperiment();
  const { kind, value, sd, step, pixels, apartMm, marks } = measured;
  const own = new Set(photo.measures.map(({ readingId }) => readingId));
  const before = readings.findLast(
    (one) => one.counts && own.has(one.id) && one.unitId === unit.id && one.variableId === variable.id,
  );
  const rounded = Number((Math.round(value / step) * step).toFixed(1));
  const keeping = useAct(() =>
    call(photoRoutes.keepMeasure, {
      params: { experimentId: experiment.id, photoId: photo.id, readingId: uuid() },
      body: {
        reading: {
          ...{ unitId: unit.id, variableId: variable.id, observedOn: photo.takenOn, state: 'emerged' },
          ...{ value: rounded, entered: String(rounded), unitOfMeasure: measured.unit, precision: step },
          supersedesId: before?.id ?? null,
        },
        method: {
          ...{ kind, low: value - 2 * sd, high: value + 2 * sd, pixels: Math.round(pixels), apartMm },
          marks: [...marks],
        },
      },
    }),
  );
  return (
    <>
      <ForWhoMayChange>
        <Button disabled={keeping.isPending || before?.value === rounded} onClick={() => keeping.mutate()}>
          {say('keepMeasured', { pot: unit.number })}
        </Button>
      </ForWhoMayChange>
      {before?.value != null && (
        <p role="status">{say('heightKept', { height: computedText(before.value, styleOf(variable)) })}</p>
      )}
      <FailureNote error={keeping.error} />
    </>
  );
}
