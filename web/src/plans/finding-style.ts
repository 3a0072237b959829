import type { PlanMeasure } from '@bright-sprout/core/design';
import type { FindingStyle } from '@bright-sprout/core/words';
import { shortDay } from '../shared/ui/index.ts';

/** Lengths in a plan's own ruler, days in short. */
export function findingStyleOf({ unit, step }: PlanMeasure): FindingStyle {
  const isLength = unit === 'mm' || unit === 'cm' || unit === 'in';
  return { scale: isLength ? { unit, step } : { unit: 'cm', step: 0.5 }, day: shortDay };
}
