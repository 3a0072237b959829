import type { UnitView } from '@bright-sprout/contract/plans';
import { type GrowthFacts, growthFacts } from '@bright-sprout/core/growth';
import { useCallback } from 'react';
import { treatmentOf, useExperiment } from './context.tsx';
import { useSurroundings } from './surroundings.ts';

/** Tells what a height of a pot can be doubted by, by its own crop. */
export function useGrowthFacts(): (unit: UnitView) => GrowthFacts | null {
  const { experiment } = useExperiment();
  const crops = useSurroundings()?.crops;
  return useCallback(
    (unit) => growthFacts(experiment.plan, treatmentOf(experiment, unit).style, crops ?? [], experiment.crop),
    [experiment, crops],
  );
}
