import type { SowingWish, SownGroup } from '../amounts/index.ts';
import { isBegun, type Plan } from '../design/index.ts';
import { defined, notDefined, type Outcome } from '../shared/index.ts';
import type { TreatmentGrowth } from './treatment-growth.ts';

/**
 * What is asked of the sowing of a plan, treatment by treatment with its own crop and plants.
 * @returns undefined when the rate of a crop is not known
 */
export function sowingWish(plan: Plan, growths: readonly TreatmentGrowth[]): Outcome<SowingWish> {
  if (isBegun(plan)) return notDefined('begun_elsewhere');
  const groups: SownGroup[] = [];
  for (const { treatment, facts } of growths) {
    if (!facts?.rate) return notDefined('no_packet_rate');
    const { cropId, plants, seeds } = treatment.settings;
    const known = groups.findIndex(
      (group) => group.crop === cropId && group.plants === plants && group.seeds === seeds,
    );
    const units = plan.replicates + (groups[known]?.units ?? 0);
    const group = { crop: cropId, plants, seeds, units, rate: facts.rate };
    if (known < 0) groups.push(group);
    else groups[known] = group;
  }
  return groups.length === 0
    ? notDefined('no_values')
    : defined({ groups, plantsPerUnit: plan.plantsPerUnit, chance: plan.chance });
}
