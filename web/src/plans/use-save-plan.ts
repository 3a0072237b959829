import { say } from '@bright-sprout/words/plans';
import { type ExperimentView, planRoutes, type PlanRequest } from '@bright-sprout/contract/plans';
import { mergePlans, type Plan, type PlanPart } from '@bright-sprout/core/design';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiFailure, call, experimentQuery, experimentsQuery } from '../shared/api/index.ts';

/** Puts a changed experiment where every view finds it. */
export function useKeepExperiment(): (experiment: ExperimentView) => void {
  const queries = useQueryClient();
  return (experiment) => {
    queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
    void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
  };
}

/** A plan as it was when a change of it began: the version goes with it, never with what came in meanwhile. */
export interface PlanBase {
  readonly version: number;
  readonly plan: Plan;
}

/** A plan to save; what it says of the layout is left out unless it is said here. */
export interface PlanChange {
  /** What the change was made on, asked when its turn comes: the change before it may have been saved meanwhile. */
  readonly base: () => PlanBase;
  readonly plan: Plan;
  readonly layout?: Partial<Pick<PlanRequest, 'layoutSeed' | 'layoutMethod'>>;
  /** Whose parts stand where another window changed the same ones; without it they are asked. */
  readonly prefer?: 'mine' | 'theirs';
  /** Told of what was saved, before the next change of this plan has its turn. */
  readonly onSaved?: (base: PlanBase) => void;
}

/** A plan that another window changed in the same parts. */
export class PlanConflict extends Error {
  readonly parts: readonly PlanPart[];

  constructor(parts: readonly PlanPart[]) {
    super(say('anotherWindowChangedTheSamePartsOf'));
    this.parts = parts;
  }
}

/** How often a plan that others save at the same time is merged anew. */
const TRIES = 4;

/** Changes of one plan wait for each other, so that each is made on the version before it. */
export function planScope(experimentId: string): { id: string } {
  return { id: `plan-${experimentId}` };
}

/**
 * Saves a plan. What another window saved meanwhile is merged; parts that both changed differently are a
 * {@link PlanConflict}.
 */
export function useSavePlan(experimentId: string) {
  const queries = useQueryClient();
  const keep = useKeepExperiment();
  return useMutation({
    scope: planScope(experimentId),
    mutationFn: async (change: PlanChange): Promise<ExperimentView> => {
      let base = change.base();
      let { plan } = change;
      for (let attempt = 1; ; attempt += 1) {
        try {
          const saved = await call(planRoutes.savePlan, {
            params: { experimentId },
            body: requestOf(base, plan, change),
          });
          if (saved.plan) change.onSaved?.({ version: saved.version, plan: saved.plan });
          return saved;
        } catch (thrown) {
          const isOld = thrown instanceof ApiFailure && thrown.body.code === 'changed_elsewhere';
          if (!isOld || attempt === TRIES) throw thrown;
          const latest = await queries.query({ ...experimentQuery(experimentId), staleTime: 0 });
          if (!latest.plan) throw thrown;
          const theirs = latest.plan as Plan;
          const merged = mergePlans(base.plan, withLayoutOf(plan, base.plan), theirs, change.prefer);
          if (merged.conflicts.length > 0 && !change.prefer) throw new PlanConflict(merged.conflicts);
          plan = merged.plan;
          base = { version: latest.version, plan: theirs };
        }
      }
    },
    onSuccess: keep,
  });
}

/** The layout is changed by shuffling and swapping only, never by typing. */
function requestOf(base: PlanBase, plan: Plan, { layout }: PlanChange): PlanRequest {
  return { ...withLayoutOf(plan, base.plan), ...layout, version: base.version } as PlanRequest;
}

function withLayoutOf(plan: Plan, { layoutSeed, layoutMethod }: Plan): Plan {
  return { ...plan, layoutSeed, layoutMethod };
}
