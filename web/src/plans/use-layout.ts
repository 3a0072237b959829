import { type ExperimentView, planRoutes } from '@bright-sprout/contract/plans';
import type { Plan } from '@bright-sprout/core/design';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, experimentQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { planScope, useKeepExperiment, useSavePlan } from './use-save-plan.ts';

/** Which treatment stood in which unit. */
type Arrangement = ReadonlyMap<string, string>;

/** What can be done with a layout by hand. */
export interface LayoutActions {
  readonly shuffle: () => void;
  readonly swap: (oneId: string, otherId: string) => void;
  readonly undo: () => void;
  readonly canUndo: boolean;
  readonly isBusy: boolean;
  readonly error: unknown;
}

/** Shuffles, swaps and undoes the layout of a draft; each step is saved at once. */
export function useLayout(): LayoutActions {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  const savePlan = useSavePlan(experiment.id);
  const [past, setPast] = useState<readonly Arrangement[]>([]);
  const queries = useQueryClient();
  const arrange = useMutation({
    scope: planScope(experiment.id),
    mutationFn: (wanted: Arrangement) =>
      call(planRoutes.arrange, {
        params: { experimentId: experiment.id },
        body: {
          version:
            queries.getQueryData(experimentQuery(experiment.id).queryKey)?.version ?? experiment.version,
          assignments: [...wanted].map(([unitId, treatmentId]) => ({ unitId, treatmentId })),
        },
      }),
    onSuccess: keep,
  });
  const present = arrangementOf(experiment);

  return {
    shuffle: () => {
      if (!experiment.plan) return;
      const plan = experiment.plan as Plan;
      const { layoutMethod } = plan;
      const layout = {
        layoutSeed: freshSeed(),
        layoutMethod: layoutMethod === 'by_hand' ? ('random' as const) : layoutMethod,
      };
      savePlan.mutate(
        { base: () => ({ version: experiment.version, plan }), plan, layout },
        { onSuccess: () => setPast([...past, present]) },
      );
    },
    swap: (oneId, otherId) => {
      const swapped = new Map(present);
      swapped.set(oneId, present.get(otherId) ?? '');
      swapped.set(otherId, present.get(oneId) ?? '');
      arrange.mutate(swapped, { onSuccess: () => setPast([...past, present]) });
    },
    undo: () => {
      const last = past.at(-1);
      if (!last) return;
      arrange.mutate(last, { onSuccess: () => setPast(past.slice(0, -1)) });
    },
    canUndo: isFor(past.at(-1), experiment),
    isBusy: arrange.isPending || savePlan.isPending,
    error: arrange.error ?? savePlan.error,
  };
}

function arrangementOf(experiment: ExperimentView): Arrangement {
  return new Map(experiment.units.map((unit) => [unit.id, unit.treatmentId]));
}

/** True when the design is still the one that an arrangement was made for. */
function isFor(arrangement: Arrangement | undefined, experiment: ExperimentView): boolean {
  if (arrangement?.size !== experiment.units.length) return false;
  return experiment.units.every((unit) => arrangement.has(unit.id));
}

function freshSeed(): number {
  return crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
}
