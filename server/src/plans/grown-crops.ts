import { allOf } from '@bright-sprout/words/say';
import { grownCrops, type Plan } from '@bright-sprout/core/design';
import type { InventoryService } from '../inventory/index.ts';
import type { Experiment } from './experiment.entity.ts';

/** The most that `experiment.crop_name` holds. */
const MOST_CHARACTERS = 80;

/**
 * What an experiment grows: the plan's own crop where it is among them, else the first, and the names of all.
 * @throws ApiError where the owner has no such crop
 */
export async function cropFields(
  inventory: InventoryService,
  plan: Plan,
  owner: { readonly id: string },
): Promise<Pick<Experiment, 'cropId' | 'cropName'>> {
  // The plan's own crop is the owner's too, also where every level has another.
  const [, ...crops] = await Promise.all(
    [plan.cropId, ...grownCrops(plan)].map((id) => inventory.crop(id, owner)),
  );
  const names = crops.map(({ commonName }, at) => (at === 0 ? commonName : lowerFirst(commonName)));
  const all = allOf(names);
  const main = crops.find(({ id }) => id === plan.cropId) ?? crops[0];
  return {
    cropId: main?.id ?? plan.cropId,
    cropName: all.length > MOST_CHARACTERS ? `${all.slice(0, MOST_CHARACTERS - 1)}…` : all,
  };
}

function lowerFirst(name: string): string {
  return name.slice(0, 1).toLowerCase() + name.slice(1);
}
