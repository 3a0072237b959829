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
    const { plan, crop, cropName, seedsPerUnit } = experiment;
    const known = surroundings ?? NOTHING_KNOWN;
    const sowings = plan ? treatmentsOf(plan).map((treatment) => potSowing(plan, treatment, known)) : [];
    const alike = sowingWithoutPlan(crop, cropName, seedsPerUnit);
    return (unit) => {
      const own = sowings[treatmentOf(experiment, unit).style] ?? alike;
      return { ...own, crop: own.crop || cropName, seeds: unit.seedsSown ?? own.seeds };
    };
  }, [experiment, surroundings]);
}
