import { photoRoutes, type MeasureRequest, type PhotoSummary } from '@bright-sprout/contract/photos';
import type { VariableView } from '@bright-sprout/contract/plans';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call, keys } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { isKeepable, type MeasuredPot, NOTHING_GREEN } from './series.ts';

/** The pots of a photo with what was measured of them. */
export interface MeasuredPhoto {
  readonly photo: PhotoSummary;
  readonly pots: readonly MeasuredPot[];
}

/** Tenths of a percent: finer than the range that a threshold leaves. */
const STEP = 0.1;

/** Keeps measured covers as readings, one after the other; what was kept already is corrected. */
export function useKeepCovers(variable: VariableView | undefined) {
  const { experiment, readings } = useExperiment();
  const queries = useQueryClient();
  const [progress, setProgress] = useState<{ done: number; of: number }>();
  const keeping = useMutation({
    mutationFn: async (photos: readonly MeasuredPhoto[]) => {
      if (!variable) return;
      const wishes = photos.flatMap(({ photo, pots }) =>
        pots.flatMap((pot) => {
          const request = measureOf(photo, pot, variable);
          return request ? [{ photo, request }] : [];
        }),
      );
      for (const [done, { photo, request }] of wishes.entries()) {
        setProgress({ done, of: wishes.length });
        const before = readings.findLast(
          (reading) =>
            reading.counts &&
            photo.measures.some(({ readingId }) => readingId === reading.id) &&
            reading.unitId === request.reading.unitId &&
            reading.variableId === variable.id,
        );
        const { value, state } = request.reading;
        if (before && before.value === value && before.state === state) continue;
        await call(photoRoutes.keepMeasure, {
          params: { experimentId: experiment.id, photoId: photo.id, readingId: uuid() },
          body: { ...request, reading: { ...request.reading, supersedesId: before?.id ?? null } },
        });
      }
    },
    onSettled: () => {
      setProgress(undefined);
      return queries.invalidateQueries({ queryKey: keys.experiment(experiment.id) });
    },
  });
  return { keep: keeping.mutate, progress, error: keeping.error, isDone: keeping.isSuccess };
}

function measureOf(
  photo: PhotoSummary,
  pot: MeasuredPot,
  variable: VariableView,
): MeasureRequest | undefined {
  const { unit, cover } = pot;
  if (!cover.defined || !isKeepable(photo, pot)) return undefined;
  const { share, low, high, threshold, pixels } = cover.value;
  const percent = Math.round(share * 1000) / 10;
  const isUp = share >= NOTHING_GREEN;
  return {
    reading: {
      ...{ unitId: unit.id, variableId: variable.id, observedOn: photo.takenOn },
      ...{ state: isUp ? 'emerged' : 'not_emerged', value: isUp ? percent : null },
      ...{ entered: isUp ? String(percent) : '', unitOfMeasure: variable.unit, precision: STEP },
    },
    method: { kind: 'green_cover', threshold, low: low * 100, high: high * 100, pixels, marks: [] },
  };
}
