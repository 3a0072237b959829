import { type Crop, isBegun, type Plan, treatmentsOf } from '../design/index.ts';

/** What is known of the plants of a unit that a height can be doubted by. */
export interface GrowthFacts extends Pick<Crop, 'daysToEmergence' | 'heightAtDay21Mm' | 'matureHeightMm'> {
  /** True of plants that were set in grown already, so that their age is not counted from their day. */
  readonly beganElsewhere?: boolean;
}

/**
 * The facts of the units of a treatment, by its own crop.
 * @param plan `null` for an experiment that came without one
 * @param treatment its number in the plan, from 0
 * @param crops those that the plan names, as far as they are known
 * @param crop of an experiment without a plan; `null` where it is not known
 * @returns null where nothing is known of the crop
 */
export function growthFacts(
  plan: Plan | null,
  treatment: number,
  crops: readonly Crop[],
  crop: Crop | null,
): GrowthFacts | null {
  const cropId = plan === null ? undefined : treatmentsOf(plan)[treatment]?.settings.cropId;
  const own = crops.find(({ id }) => id === cropId) ?? crop;
  if (!own) return null;
  const { daysToEmergence, heightAtDay21Mm, matureHeightMm } = own;
  return plan !== null && isBegun(plan)
    ? { daysToEmergence: null, heightAtDay21Mm: null, matureHeightMm, beganElsewhere: true }
    : { daysToEmergence, heightAtDay21Mm, matureHeightMm };
}

/** A crop never grows above its usual full height by more than this factor, and no height is refused below {@link NEVER_REFUSED_MM}. */
const IMPOSSIBLE_OVER_USUAL = 3;
export const NEVER_REFUSED_MM = 600;

/** The height above which a value is a slip and is refused, in mm; `null` where the crop's full height is not known. */
export function mostPossibleMm(facts: Pick<GrowthFacts, 'matureHeightMm'> | null): number | null {
  const mature = facts?.matureHeightMm ?? null;
  return mature === null ? null : Math.max(NEVER_REFUSED_MM, IMPOSSIBLE_OVER_USUAL * mature);
}
