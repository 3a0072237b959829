export { depthBy, type DepthChoices, depthChoices, type DepthReason, sowingDepth } from './depth.ts';
export { type Household, householdMl, householdOf } from './household.ts';
export {
  type DoseTotal,
  type Materials,
  materialsOf,
  seedsIn,
  SETTLING,
  SPARE,
  WETTING,
} from './materials.ts';
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
