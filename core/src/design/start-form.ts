import type { Crop } from './crop.ts';
import type { Conditions, Plan } from './plan.ts';

/** True of a plan that sets in what began to grow elsewhere, which no packet and no days to emergence speak of. */
export function isBegun({ conditions }: { readonly conditions: Pick<Conditions, 'startsAs'> }): boolean {
  return (conditions.startsAs ?? 'seed') !== 'seed';
}

/** True of whole plants with a stem, of which some can be buried. */
export function isYoungPlant({ startsAs = 'seed' }: Pick<Conditions, 'startsAs'>): boolean {
  return startsAs === 'seedlings' || startsAs === 'bought';
}

/**
 * True of what is set in one by one, as tubers, cloves and corms are: nobody puts in three and pulls out two. Spare units
 * make up for what fails.
 */
export function isSetSingly(
  plan: Pick<Plan, 'kind'> & { readonly conditions: Pick<Conditions, 'startsAs'> },
  crop: Pick<Crop, 'propagule'> | undefined,
): boolean {
  return plan.kind === 'pieces' || isBegun(plan) || !/^seed/i.test(crop?.propagule ?? 'seed');
}
