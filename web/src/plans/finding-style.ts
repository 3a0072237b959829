import type { FindingStyle } from '@bright-sprout/core/words';
import { usePlanEditor } from './plan-editor.tsx';
import { shortDay } from '../shared/ui/index.ts';

/** Lengths in the plan's own ruler, days in short. */
export function useFindingStyle(): FindingStyle {
  const { unit, step } = usePlanEditor().plan.measure;
  const isLength = unit === 'mm' || unit === 'cm' || unit === 'in';
  return { scale: isLength ? { unit, step } : { unit: 'cm', step: 0.5 }, day: shortDay };
}
