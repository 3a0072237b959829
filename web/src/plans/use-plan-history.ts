import { isSamePart, type Plan, type PlanPart } from '@bright-sprout/core/design';
import { useCallback, useState } from 'react';
import { storedJson, storeJson } from '../shared/ui/index.ts';

const PREFIX = 'bright-sprout.plan-history.';
const FORMAT = 1;

/** Changes that can be taken back, one after the other. */
const MOST = 30;

/** A plan as it was before a change, and whether its seeds were in the soil by then. */
interface PastPlan {
  readonly plan: Plan;
  readonly isPlanted: boolean;
}

/** Earlier states of a plan on this device. */
export interface PlanHistory {
  /** The plan before the last change; undefined when nothing can be taken back. */
  readonly last: Plan | undefined;
  readonly remember: (plan: Plan) => void;
  readonly forgetLast: () => void;
}

/** Keeps what a plan was before each change, over a reload too; what was changed before sowing stays as it is after it. */
export function usePlanHistory(experimentId: string, isPlanted: boolean): PlanHistory {
  const [past, setPast] = useState(() => pastOf(experimentId));
  const change = useCallback(
    (next: (before: readonly PastPlan[]) => readonly PastPlan[]) =>
      setPast((before) => {
        const kept = next(before);
        keepPast(experimentId, kept);
        return kept;
      }),
    [experimentId],
  );
  const remember = useCallback(
    (plan: Plan) => change((before) => [...before, { plan, isPlanted }].slice(-MOST)),
    [change, isPlanted],
  );
  const forgetLast = useCallback(() => change((before) => before.slice(0, -1)), [change]);
  const last = past.at(-1);
  return { last: last?.isPlanted === isPlanted ? last.plan : undefined, remember, forgetLast };
}

/** The parts in which two plans differ. */
export function changedParts(one: Plan, other: Plan): PlanPart[] {
  return (Object.keys(one) as PlanPart[]).filter((part) => !isSamePart(one[part], other[part]));
}

function keepPast(experimentId: string, past: readonly PastPlan[]): void {
  storeJson(store, PREFIX + experimentId, { format: FORMAT, past });
}

function pastOf(experimentId: string): readonly PastPlan[] {
  const kept = storedJson(store, PREFIX + experimentId) as { format: number; past: PastPlan[] } | undefined;
  return kept?.format === FORMAT ? kept.past : [];
}

const store = (): Storage => sessionStorage;
