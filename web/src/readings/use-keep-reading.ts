import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingRequest, ReadingView } from '@bright-sprout/contract/readings';
import type { ReadingState } from '@bright-sprout/core/shared';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { experimentQuery, readingsQuery, experimentsQuery, keys } from '../shared/api/index.ts';
import { findingText, useExperiment } from '../shared/experiment/index.ts';
import { useIdOf, useKeep, useMaker, waitingReading, withReading } from '../shared/outbox/index.ts';

/** How a new reading relates to those of the same pot and day. */
export type Intent = { readonly kind: 'add' } | { readonly kind: 'correct'; readonly reading: ReadingView };

/** A value as it was entered: in mm, or a count or number as it is. */
export interface EnteredValue {
  readonly value: number;
  readonly unit: string;
  readonly entered: string;
}

/** What is kept of one unit. */
export interface ReadingToKeep {
  readonly unit: UnitView;
  readonly variable: VariableView;
  readonly state: ReadingState;
  readonly entered?: EnteredValue | undefined;
  readonly supersedesId?: string | null;
  readonly isReread?: boolean;
}

/**
 * Keeps readings on the chosen day: written down on this device first, then sent. Without network they wait here
 * and count as read. Trying again after a refusal sends the same id.
 */
export function useKeepReadings() {
  const { experiment, day } = useExperiment();
  const { displayName } = useMaker();
  const keep = useKeep();
  const id = useIdOf();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (wanted: ReadingToKeep) => {
      const body = requestOf(wanted, day);
      const readingId = id.of(body);
      const reading = waitingReading(readingId, body, displayName);
      await keep(
        {
          id: readingId,
          experimentId: experiment.id,
          route: 'keepReading',
          params: { experimentId: experiment.id, readingId },
          body,
          label: say('pot', {
            number: wanted.unit.number,
            findingText: findingText(reading, wanted.variable),
          }),
          reading,
        },
        (kept) => {
          queries.setQueryData(readingsQuery(experiment.id).queryKey, (known = []) =>
            withReading(known, kept),
          );
          void queries.invalidateQueries({ queryKey: keys.ofExperiment(experiment.id, 'comparison') });
          void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
          if (experiment.status === 'planted') void queries.invalidateQueries(experimentQuery(experiment.id));
        },
      );
    },
    onSuccess: id.forget,
  });
}

/** Keeps readings of one unit of the plan's variable; `onKept` is not called once its panel has gone. */
export function useKeepReading(unit: UnitView, intent: Intent | undefined, onKept: () => void) {
  const { variable } = useExperiment();
  const mutation = useKeepReadings();
  const save = (state: ReadingState, entered?: EnteredValue, isReread = false): void =>
    mutation.mutate(
      {
        unit,
        variable,
        state,
        entered,
        isReread,
        supersedesId: intent?.kind === 'correct' ? intent.reading.id : null,
      },
      { onSuccess: onKept },
    );
  return { save, isPending: mutation.isPending, error: mutation.error };
}

function requestOf(wanted: ReadingToKeep, day: string): ReadingRequest {
  const { unit, variable, state, entered } = wanted;
  return {
    unitId: unit.id,
    variableId: variable.id,
    observedOn: day,
    state,
    value: entered?.value ?? null,
    entered: entered?.entered ?? '',
    unitOfMeasure: entered?.unit ?? variable.unit,
    precision: variable.step,
    supersedesId: wanted.supersedesId ?? null,
    isReread: wanted.isReread ?? false,
  };
}
