import type { UnitView } from '@bright-sprout/contract/plans';
import { treatmentsOf } from '@bright-sprout/core/design';
import { potSowing, type PotSowing, sowingWithoutPlan } from '@bright-sprout/core/words';
import { useMemo } from 'react';
import { treatmentOf, useExperiment } from './context.tsx';
import { useSurroundings } from './surroundings.ts';

const NOTHING_KNOWN = { crops: [], lots: [] };

/** Tells what goes into a pot: its own crop, seeds and depth, and what it gets. */
export function usePotSowing(): (unit: UnitView) => PotSowing {
  const { experiment } = useExperiment();
  const surroundings = useSurroundings();
  return useMemo(() => {
    const { plan, crop, cropName, seedsPerUnit, containers } = experiment;
    const treatments = plan ? treatmentsOf(plan) : [];
    const known = surroundings ?? NOTHING_KNOWN;
    const alike = sowingWithoutPlan(crop, cropName, seedsPerUnit);
    return (unit) => {
      const treatment = treatments[treatmentOf(experiment, unit).style];
      const container = plan?.containers[containers.findIndex(({ id }) => id === unit.containerId)];
      const own = plan && treatment ? potSowing(plan, treatment, container, known) : alike;
      return { ...own, crop: own.crop || cropName, seeds: unit.seedsSown ?? own.seeds };
    };
  }, [experiment, surroundings]);
}
