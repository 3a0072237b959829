import type { ContainerKind } from './container.ts';
import type { Crop } from './crop.ts';
import type { Conditions, Dose, LightPlace, Plan, SeedPosition, SetIn, StartForm } from './plan.ts';
import { type RecipePart, recipeOf } from './recipe.ts';
import type { SeedLot } from './seed-lot.ts';
import { placedStands } from './stands.ts';
import { type PlanTreatment, treatmentsOf } from './treatments.ts';
import { type PlannedUnit, plannedUnits } from './units.ts';
import { sowingDepth } from './depth.ts';
import { seedsIn } from './seeds-in.ts';
import { isYoungPlant } from './start-form.ts';

/** How a unit is closed once it is sown; a treatment's own cover stays on. A sealed bag is neither covered nor watered. */
export const CLOSINGS = ['open', 'until_up', 'covered', 'sealed'] as const;
export type Closing = (typeof CLOSINGS)[number];

/** What a unit is filled with: mix, or a lining that is kept damp. */
export const FILLINGS = ['mix', 'lining'] as const;
export type Filling = (typeof FILLINGS)[number];

/** When something is given: mixed in some days before sowing, on sowing day, or in the water of every watering. */
export const DOSE_TIMES = ['before', 'sowing', 'watering'] as const;
export type DoseTime = (typeof DOSE_TIMES)[number];

/** Something given to a unit. */
export interface GivenDose extends Dose {
  readonly when: DoseTime;
}

/** Everything that is done to a unit. Lengths in mm, volumes in mL. */
export interface UnitPlan {
  readonly treatment: PlanTreatment;
  readonly cropId: string;
  /** Left out where its figures are not known. */
  readonly crop: Crop | undefined;
  readonly lotId: string | null;
  readonly startsAs: StartForm;
  /** Seeds or pieces that are put in. */
  readonly seeds: number;
  /** Plants that are kept. */
  readonly plants: number;
  /** True where seedlings are taken out until `plants` are left. Where they are counted none is. */
  readonly isThinned: boolean;
  /** `null` where nothing gives a figure. */
  readonly depthMm: number | null;
  /** How deep a young plant goes; `as_it_stood` for all else. */
  readonly setIn: SetIn;
  readonly position: SeedPosition;
  readonly vessel: ContainerKind;
  readonly filling: Filling;
  readonly medium: string;
  /** What its mix is made of, by volume. */
  readonly recipe: readonly RecipePart[];
  /** Volume of mix that it holds; 0 for a lining. */
  readonly mixMl: number;
  readonly closing: Closing;
  readonly doses: readonly GivenDose[];
  /** Water that wets its lining on sowing day; 0 where it is filled with mix. */
  readonly wettingMl: number;
  /** Water at each watering; 0 where it is sealed. */
  readonly waterMl: number;
  readonly light: LightPlace;
  readonly temperatureC: number;
}

/** A unit in its place, with what is done to it. */
export interface PlacedUnitPlan extends UnitPlan {
  readonly unit: PlannedUnit;
}

/** The crops and packets that plans speak of. */
export interface KnownSeed {
  readonly crops: readonly Crop[];
  readonly lots: readonly SeedLot[];
}

/**
 * What is done to a unit of a treatment in a container. Steps, supplies, kits, labels, ticks, tablets, the helper's card
 * and the calendar read this.
 */
export function unitPlanOf(
  plan: Plan,
  treatment: PlanTreatment,
  container: Plan['containers'][number] | undefined,
  known: KnownSeed,
): UnitPlan {
  const { conditions } = plan;
  const { settings } = treatment;
  const vessel = container?.kind ?? 'pots';
  const isSealed = vessel === 'bags';
  const filling = conditions.hasSoil && !isSealed ? 'mix' : 'lining';
  const seeds = seedsIn(plan, settings);
  const isCounted = plan.measure.variable === 'seeds up';
  return {
    treatment,
    cropId: settings.cropId,
    crop: known.crops.find(({ id }) => id === settings.cropId),
    lotId: settings.lotId,
    startsAs: conditions.startsAs ?? 'seed',
    seeds,
    plants: settings.plants,
    isThinned: seeds > settings.plants && !isCounted && !isSealed,
    depthMm: filling === 'mix' ? sowingDepth(plan, settings, known) : settings.depthMm,
    setIn: isYoungPlant(conditions) ? (conditions.setIn ?? 'as_it_stood') : 'as_it_stood',
    position: conditions.position ?? 'any',
    vessel,
    filling,
    medium: settings.medium,
    recipe: filling === 'mix' ? recipeOf(settings.medium) : [],
    mixMl: filling === 'mix' ? (container?.cellMl ?? 0) : 0,
    closing: isSealed ? 'sealed' : closingOf(plan, treatment),
    doses: settings.doses.map((dose) => ({ ...dose, when: timeOf(dose, conditions) })),
    wettingMl: filling === 'mix' ? 0 : settings.waterMl,
    waterMl: isSealed ? 0 : settings.waterMl,
    light: settings.light,
    temperatureC: settings.temperatureC,
  };
}

/** What a film or a lid helps; what has leaves or is a thick piece stands open. */
const COVERED_AT_FIRST: readonly StartForm[] = ['seed', 'cuttings'];

function closingOf({ factors, conditions, kind }: Plan, { levels, settings }: PlanTreatment): Closing {
  if (!settings.isCovered) return 'open';
  const isOwn = levels.some((level, at) => factors[at]?.levels[level]?.isCovered === true);
  if (isOwn) return 'covered';
  return COVERED_AT_FIRST.includes(conditions.startsAs ?? 'seed') && kind !== 'pieces' ? 'until_up' : 'open';
}

/** True of an amount in each litre of water. */
export function isInWater({ unit }: Pick<Dose, 'unit'>): boolean {
  return unit.endsWith('/L');
}

function timeOf(dose: Dose, { reactionDays }: Conditions): DoseTime {
  if (isInWater(dose)) return 'watering';
  return reactionDays > 0 ? 'before' : 'sowing';
}

/** The units of a plan in walking order, each with what is done to it. */
export function unitPlans(plan: Plan, known: KnownSeed): PlacedUnitPlan[] {
  const treatments = treatmentsOf(plan);
  return plannedUnits(plan).flatMap((unit) => {
    const treatment = treatments[unit.treatment];
    return treatment
      ? [{ unit, ...unitPlanOf(plan, treatment, plan.containers[unit.container], known) }]
      : [];
  });
}

/** The containers that a plan uses; all of them where its units do not fit. */
function usedContainers(plan: Plan): readonly Plan['containers'][number][] {
  const stands = placedStands(plan);
  if (!stands) return plan.containers;
  const used = new Set(stands.flatMap(({ places }) => places.map(({ container }) => container)));
  return plan.containers.filter((_, index) => used.has(index));
}

/** What is done to the units of each treatment in each kind of container that the plan uses. */
export function kindsOfUnit(plan: Plan, known: KnownSeed): UnitPlan[] {
  const containers = [...new Map(usedContainers(plan).map((one) => [one.kind, one])).values()];
  return treatmentsOf(plan).flatMap((treatment) =>
    containers.map((container) => unitPlanOf(plan, treatment, container, known)),
  );
}
