export { type Standing, STANDINGS, standingsOf, type Unevenness, unevennessOf } from './balance.ts';
export { ALSO_READ, type AlsoRead, alsoReadVariable, isOfSoil, scoresOf } from './also-read.ts';
export {
  BRIGHT_SIDES,
  type BrightSide,
  CONTAINER_GRIDS,
  CONTAINER_KINDS,
  type ContainerKind,
  type Grid,
  MOST_CONTAINERS,
  MOST_PLACES,
  type Place,
  placeCount,
  type PlaceInContainers,
  placeOf,
  placesOf,
  type PlanContainer,
  stepsFromBright,
  usualContainer,
  usualWaterMl,
} from './container.ts';
export { cropChoices } from './crop-names.ts';
export { conditionsIn } from './container-conditions.ts';
export {
  type Crop,
  CROP_HABITS,
  HARVEST_STARTS,
  type HarvestStart,
  SEED_SHAPES,
  type SeedShape,
  type CropHabit,
  type DayRange,
  type MeasuredSpread,
} from './crop.ts';
export {
  balancedLayout,
  blockedLayout,
  type LaidOutUnit,
  layoutProblem,
  type LayoutProblem,
  numberReplicates,
} from './layout.ts';
export { depthBy, type DepthChoices, depthChoices, type DepthReason, sowingDepth } from './depth.ts';
export { doublyTaken, type MoveEvent, placedOn, type UnitMove, type UnitPlace } from './moves.ts';
export { isSamePart, type MergedPlan, mergePlans, type PlanPart } from './merge-plans.ts';
export {
  type Aspect,
  ASPECTS,
  type CalendarRules,
  type Conditions,
  COVER_RULES,
  DEPTH_RULES,
  type DepthRule,
  type Dose,
  DOSE_UNITS,
  type DoseUnit,
  FILL_RULES,
  type Holiday,
  INVESTIGATION_KINDS,
  type InvestigationKind,
  LAYOUT_METHODS,
  type LessonGoal,
  LIGHT_PLACES,
  type LightPlace,
  MEASURED,
  type Plan,
  PLANT_RULES,
  type PlanFactor,
  type PlanLevel,
  type PlanMeasure,
  type PredictionSetUp,
  type ProtocolStep,
  RHYTHMS,
  SEED_POSITIONS,
  SET_INS,
  type SetIn,
  type SeedPosition,
  START_FORMS,
  type StartForm,
  STEP_TIMES,
} from './plan.ts';
export {
  type GerminationRate,
  type GerminationTest,
  LOSS_A_YEAR,
  PRIOR_SEEDS,
  type RateSource,
  type SeedFacts,
  seedFacts,
  type SeedLot,
} from './seed-lot.ts';
export { recipeOf, type RecipePart } from './recipe.ts';
export { seedsFor, seedsIn } from './seeds-in.ts';
export { overPots, overRates, POT_CORRELATION, shareInPot, upInPot } from './seed-fate.ts';
export { isBegun, isSetSingly, isYoungPlant } from './start-form.ts';
export { startPlan, type StartWish } from './start-plan.ts';
export {
  containersForStands,
  type PlacedStand,
  placedStands,
  type Stand,
  standsOf,
  withOwnContainers,
} from './stands.ts';
export { STARTING_CROPS } from './starting-crops.ts';
export { dealtTeams, dealtUnits } from './teams.ts';
export {
  ASPECT_FIELDS,
  combinationKey,
  type ComparedGroup,
  comparedGroups,
  grownCrops,
  differingAspects,
  levelAmount,
  MOST_LEVELS,
  MOST_TREATMENTS,
  MOST_UNITS,
  PLAIN_LEVEL,
  renamedChoices,
  type PlanTreatment,
  treatmentCode,
  treatmentsOf,
  type TreatmentSettings,
} from './treatments.ts';
export { begunWith, usualSteps, withUsualSteps } from './usual-steps.ts';
export {
  type Closing,
  CLOSINGS,
  type Filling,
  FILLINGS,
  DOSE_TIMES,
  type DoseTime,
  type GivenDose,
  isInWater,
  kindsOfUnit,
  type KnownSeed,
  type PlacedUnitPlan,
  type UnitPlan,
  unitPlanOf,
  unitPlans,
} from './unit-plan.ts';
export { type PlannedUnit, plannedUnits, sowingDayOf, unitsProblem } from './units.ts';
export { startingSteps } from './starting-steps.ts';
