import { say } from '@bright-sprout/words/design';
import { type ContainerKind, type PlanContainer, usualContainer, usualWaterMl } from './container.ts';
import type { Conditions } from './plan.ts';

/** What lies in a container that is not filled with mix. */
const LININGS: Partial<Record<ContainerKind, { readonly medium: string; readonly waterMl: number }>> = {
  bags: { medium: say('foldedDampPaperTowelInABag'), waterMl: 15 },
  jars: { medium: say('dampPaperTowelInAJar'), waterMl: 15 },
};

/**
 * The conditions of a plan whose container is changed for another kind: what it is filled with and its usual water follow,
 * unless somebody chose another amount.
 */
export function conditionsIn(
  kind: ContainerKind,
  before: Pick<PlanContainer, 'kind' | 'cellMl'>,
  conditions: Conditions,
): Conditions {
  const lining = LININGS[kind];
  const was = LININGS[before.kind];
  const usual = (of: ContainerKind, cellMl: number): number => LININGS[of]?.waterMl ?? usualWaterMl(cellMl);
  const isOwnWater = conditions.waterMl !== usual(before.kind, before.cellMl);
  const waterMl = isOwnWater ? conditions.waterMl : usual(kind, usualContainer(kind).cellMl);
  if (lining) return { ...conditions, waterMl, hasSoil: false, medium: lining.medium };
  const isLined = was !== undefined && conditions.medium === was.medium;
  return isLined
    ? { ...conditions, waterMl, hasSoil: true, medium: say('seedStartingMix') }
    : { ...conditions, waterMl };
}
