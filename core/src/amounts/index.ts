export { depthBy, type DepthChoices, depthChoices, type DepthReason, sowingDepth } from './depth.ts';
export { type Household, householdMl, householdOf } from './household.ts';
export {
  type DoseTotal,
  type Materials,
  materialsOf,
  POT_ON_ML,
  seedsIn,
  SETTLING,
  SPARE,
  WETTING,
} from './materials.ts';
export { type Bed, placesThatFit, type Spacing, usualSpacing, weightOfSeeds } from './spacing.ts';
export {
  emptyUnits,
  seedsNeeded,
  seedsFor,
  type SownGroup,
  type SowingAnswer,
  sowingWith,
  type SowingWish,
  type SpareAnswer,
  sparesNeeded,
} from './seeds.ts';
