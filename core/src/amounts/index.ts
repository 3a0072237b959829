export { type Kit, type KitDose, type KitSeeds, kitsOf } from './kits.ts';
export { type Household, householdMl, householdOf } from './household.ts';
export {
  type DoseTotal,
  type Materials,
  materialsOf,
  type MaterialsKnown,
  type MixTotal,
  mixTotals,
  potOnMl,
  type SeedTotal,
  SETTLING,
  SPARE,
  WETTING,
} from './materials.ts';
export { type Bed, placesThatFit, type Spacing, usualSpacing, weightOfSeeds } from './spacing.ts';
export {
  emptyUnits,
  seedsNeeded,
  type SownGroup,
  type SowingAnswer,
  sowingWith,
  type SowingWish,
  type SpareAnswer,
  sparesNeeded,
} from './seeds.ts';
