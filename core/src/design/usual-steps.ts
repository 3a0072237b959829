import { isSamePart } from './merge-plans.ts';
import type { Aspect, Plan, ProtocolStep } from './plan.ts';
import { startingSteps } from './starting-steps.ts';
import { differingAspects, treatmentsOf } from './treatments.ts';

/** What is set for a pot by hand on sowing day, beside a dose. */
const SET_BY_HAND: readonly Aspect[] = ['other', 'light', 'cover', 'temperature'];

/** The steps that a plan has as long as nobody changed them: by its kind, its container, and what its treatments differ in. */
export function usualSteps(plan: Plan): ProtocolStep[] {
  const varied = new Set(plan.factors.flatMap((factor) => [factor.aspect, ...differingAspects(factor)]));
  const hasDoses = treatmentsOf(plan).some(({ settings }) => settings.doses.some(({ amount }) => amount > 0));
  const isMixedBefore = hasDoses && plan.conditions.reactionDays > 0;
  return startingSteps(plan.kind, plan.conditions, plan.containers[0]?.kind ?? 'pots', {
    isGiven: (hasDoses && !isMixedBefore) || SET_BY_HAND.some((aspect) => varied.has(aspect)),
    isMixedBefore,
    hasOwnMix: varied.has('medium'),
    hasOwnWater: varied.has('water'),
  });
}

/** A plan that was just begun, with changes, and the steps that follow from both. */
export function begunWith(started: Plan, changes: Partial<Plan>): Plan {
  return withUsualSteps(started, { ...started, ...changes });
}

/**
 * A changed plan with the steps that follow from it, as long as nobody changed the steps by hand.
 * @param before the plan that was changed, whose steps are compared with those that it would have by itself
 */
export function withUsualSteps(before: Plan, after: Plan): Plan {
  const { kind, conditions, containers, steps } = before;
  const begun = startingSteps(kind, conditions, containers[0]?.kind ?? 'pots');
  const isUsual = isSamePart(steps, usualSteps(before)) || isSamePart(steps, begun);
  return isUsual && isSamePart(steps, after.steps) ? { ...after, steps: usualSteps(after) } : after;
}
