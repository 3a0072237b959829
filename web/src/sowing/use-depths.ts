import type { UnitView } from '@bright-sprout/contract/plans';
import { sowingDepth } from '@bright-sprout/core/amounts';
import { treatmentsOf } from '@bright-sprout/core/design';
import { useMemo } from 'react';
import { treatmentOf, useExperiment, useSurroundings } from '../shared/experiment/index.ts';

/** Tells how deep the seeds of a unit lie, in mm; null without a figure. */
export function useDepths(): (unit: UnitView) => number | null {
  const { experiment } = useExperiment();
  const surroundings = useSurroundings();
  return useMemo(() => {
    const { plan, crop } = experiment;
    if (!plan) return () => crop?.sowingDepthMm ?? null;
    const depths = treatmentsOf(plan).map(({ settings }) =>
      surroundings ? sowingDepth(plan, settings, surroundings) : null,
    );
    return (unit: UnitView) => depths[treatmentOf(experiment, unit).style] ?? null;
  }, [experiment, surroundings]);
}
