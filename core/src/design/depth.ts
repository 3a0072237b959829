import { defined, notDefined, type Outcome } from '../shared/index.ts';
import type { Crop } from './crop.ts';
import { DEPTH_RULES, type DepthRule, type Plan } from './plan.ts';
import { type SeedFacts, seedFacts, type SeedLot } from './seed-lot.ts';
import { isBegun } from './start-form.ts';
import type { TreatmentSettings } from './treatments.ts';

/** Why a depth rule is the default for a seed. */
export type DepthReason = 'packet_says' | 'needs_light' | 'tiny' | 'no_figure';

/** What each rule gives for a seed, in mm. */
export interface DepthChoices {
  readonly depths: readonly { readonly rule: DepthRule; readonly depthMm: Outcome<number> }[];
  readonly standard: DepthRule;
  readonly reason: DepthReason;
}

const HALF_INCH = 12.7;
const QUARTER_INCH = 6.35;
const TINY_MM = 0.6;

/**
 * The sowing depth by each rule: what the packet says; as deep as the seed is thick; 2.5 × its thickness; half
 * or a quarter of an inch; on the surface. The packet's word is the default; without one, seeds that need light
 * or are tiny lie on the surface, others 2.5 × their thickness deep.
 */
export function depthChoices(
  crop: Pick<Crop, 'seedThicknessMm' | 'lightToGerminate'>,
  facts: Pick<SeedFacts, 'depthMm'>,
): DepthChoices {
  const thick = crop.seedThicknessMm;
  const byThickness = (factor: number): Outcome<number> =>
    thick === null ? notDefined('no_crop_figures') : defined(thick * factor);
  const given: Record<DepthRule, Outcome<number>> = {
    packet: facts.depthMm === null ? notDefined('no_crop_figures') : defined(facts.depthMm),
    as_thick: byThickness(1),
    two_and_half: byThickness(2.5),
    half_inch: defined(HALF_INCH),
    quarter_inch: defined(QUARTER_INCH),
    surface: defined(0),
  };
  const depths = DEPTH_RULES.map((rule) => ({ rule, depthMm: given[rule] }));
  return { depths, ...standardRule(crop, facts) };
}

function standardRule(
  crop: Pick<Crop, 'seedThicknessMm' | 'lightToGerminate'>,
  facts: Pick<SeedFacts, 'depthMm'>,
): { standard: DepthRule; reason: DepthReason } {
  if (facts.depthMm !== null) return { standard: 'packet', reason: 'packet_says' };
  if (crop.lightToGerminate === 'needs_light') return { standard: 'surface', reason: 'needs_light' };
  if (crop.seedThicknessMm !== null && crop.seedThicknessMm < TINY_MM) {
    return { standard: 'surface', reason: 'tiny' };
  }
  return {
    standard: crop.seedThicknessMm === null ? 'quarter_inch' : 'two_and_half',
    reason: 'no_figure',
  };
}

/** The depth by one rule; the standard rule's where that one gives none. */
export function depthBy(rule: DepthRule, choices: DepthChoices): Outcome<number> {
  const find = (wanted: DepthRule) => choices.depths.find((choice) => choice.rule === wanted)?.depthMm;
  const chosen = find(rule);
  return chosen?.defined ? chosen : (find(choices.standard) ?? notDefined('no_crop_figures'));
}

/**
 * The depth at which the seeds of a treatment are sown, in mm: the one it sets, else by the plan's rule for its own crop
 * and packet; of a cutting how much of its stem is in the soil. Check, sowing page and tablets all show this one.
 * @returns null where nothing gives a figure, and for plants that go as deep as they stood
 */
export function sowingDepth(
  plan: Pick<Plan, 'conditions' | 'sowOn'>,
  settings: Pick<TreatmentSettings, 'cropId' | 'lotId' | 'depthMm'>,
  known: { readonly crops: readonly Crop[]; readonly lots: readonly SeedLot[] },
): number | null {
  if (settings.depthMm !== null) return settings.depthMm;
  if (isBegun(plan)) return plan.conditions.startsAs === 'cuttings' ? (plan.conditions.stemMm ?? null) : null;
  const crop = known.crops.find(({ id }) => id === settings.cropId);
  if (!crop) return null;
  const lot = known.lots.find(({ id, cropId }) => id === settings.lotId && cropId === crop.id);
  const depth = depthBy(plan.conditions.depthRule, depthChoices(crop, seedFacts(crop, lot, plan.sowOn)));
  return depth.defined ? depth.value : null;
}
