import type { UnitView } from '@bright-sprout/contract/plan';
import { type ReadingRequest, type ReadingView, recordRoutes } from '@bright-sprout/contract/record';
import type { ReadingState } from '@bright-sprout/core/shared';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 as uuid } from 'uuid';
import { call, experimentQuery, readingsQuery, shelfQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import type { Intent } from './reading-panel.tsx';

/** A value as it was entered: in mm, or a count or number as it is. */
export interface EnteredValue {
  readonly value: number;
  readonly unit: string;
  readonly entered: string;
}

/** Keeps readings of one unit on the chosen day. Trying again after a failure sends the same id. */
export function useKeepReading(unit: UnitView, intent: Intent | undefined, onKept: () => void) {
  const { experiment, variable, day } = useExperiment();
  const queries = useQueryClient();
  const pending = useRef<{ content: string; readingId: string }>(undefined);
  const mutation = useMutation({
    mutationFn: ({ readingId, body }: { readingId: string; body: ReadingRequest }) =>
      call(recordRoutes.keepReading, { params: { experimentId: experiment.id, readingId }, body }),
    onSuccess: (reading) => {
      pending.current = undefined;
      queries.setQueryData(readingsQuery(experiment.id).queryKey, (known = []) =>
        withReading(known, reading),
      );
      void queries.invalidateQueries({ queryKey: ['experiment', experiment.id, 'comparison'] });
      void queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
      if (experiment.status === 'planted') void queries.invalidateQueries(experimentQuery(experiment.id));
      onKept();
    },
  });

  const save = (state: ReadingState, entered?: EnteredValue): void => {
    const body: ReadingRequest = {
      unitId: unit.id,
      variableId: variable.id,
      observedOn: day,
      state,
      value: entered?.value ?? null,
      entered: entered?.entered ?? '',
      unitOfMeasure: entered?.unit ?? variable.unit,
      precision: variable.step,
      supersedesId: intent?.kind === 'correct' ? intent.reading.id : null,
    };
    const content = JSON.stringify(body);
    if (pending.current?.content !== content) pending.current = { content, readingId: uuid() };
    mutation.mutate({ readingId: pending.current.readingId, body });
  };
  return { save, isPending: mutation.isPending, error: mutation.error };
}

function withReading(known: readonly ReadingView[], reading: ReadingView): ReadingView[] {
  const others = known
    .filter(({ id }) => id !== reading.id)
    .map((other) => (other.id === reading.supersedesId ? { ...other, counts: false } : other));
  return [...others, reading];
}
