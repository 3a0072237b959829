import { isSamePart } from './merge-plans.ts';
import type { Aspect, Plan, ProtocolStep } from './plan.ts';
import { startingSteps } from './starting-steps.ts';
import { differingAspects } from './treatments.ts';
import { kindsOfUnit, type UnitPlan } from './unit-plan.ts';

/** What is set for a pot by hand on sowing day, beside a dose. */
const SET_BY_HAND: readonly Aspect[] = ['other', 'light', 'cover', 'temperature'];

const NOTHING_KNOWN = { crops: [], lots: [] };

/** The steps that a plan has as long as nobody changed them: what is done to its units, in order. */
export function usualSteps(plan: Plan): ProtocolStep[] {
  const units = kindsOfUnit(plan, NOTHING_KNOWN);
  const varied = new Set(plan.factors.flatMap((factor) => [factor.aspect, ...differingAspects(factor)]));
  const isSome = (holds: (unit: UnitPlan) => boolean): boolean => units.some(holds);
  return startingSteps(plan.kind, plan.conditions, units[0]?.vessel ?? 'pots', {
    isGiven:
      isSome(({ doses }) => doses.some(({ when }) => when === 'sowing')) ||
      SET_BY_HAND.some((aspect) => varied.has(aspect)),
    isMixedBefore: isSome(({ doses }) => doses.some(({ when }) => when === 'before')),
    hasOwnMix: new Set(units.map(({ medium }) => medium)).size > 1,
    hasOwnWater:
      new Set(units.map(({ waterMl }) => waterMl)).size > 1 ||
      isSome(({ doses }) => doses.some(({ when }) => when === 'watering')),
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
