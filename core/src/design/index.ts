export {
  CONTAINER_GRIDS,
  CONTAINER_KINDS,
  type ContainerKind,
  type Grid,
  type Place,
  placeCount,
  placeOf,
} from './container.ts';
export { type Crop, CROP_HABITS, type CropHabit, type DayRange } from './crop.ts';
export {
  type LaidOutUnit,
  layoutProblem,
  type LayoutProblem,
  numberReplicates,
  randomLayout,
} from './layout.ts';
export { STARTING_CROPS } from './starting-crops.ts';
export { MOST_LEVELS, treatmentCode } from './treatment.ts';
