export { leaveOut, type Stroke } from './brush.ts';
export {
  BINS,
  binOf,
  excessGreen,
  type Gains,
  gainsOf,
  greenHistogram,
  greenMap,
  type GreenMap,
  LEFT_OUT,
  pooled,
  upperEdge,
} from './excess-green.ts';
export { greenCover, type GreenCover, THRESHOLD_STEP } from './green-cover.ts';
export {
  angleFromDown,
  LEANS,
  lengthAlong,
  type MeasuredAngle,
  type MeasuredLength,
  PICK_SD,
  type Scale,
  scaleOf,
} from './length.ts';
export { BLURRED, type Light, lightOf, TOO_BURNT_OUT, TOO_DARK, usableLight } from './light.ts';
export {
  type Corners,
  cornersOf,
  distance,
  foreshortening,
  type Homography,
  homography,
  MOST_FORESHORTENED,
  OBLIQUE,
  project,
  rectify,
} from './perspective.ts';
export { type Area, emptyPicture, luma, type Picture, type Point } from './picture.ts';
export {
  containerShape,
  edgeReach,
  greenArea,
  MARGIN,
  placeArea,
  type PlaceGrid,
  type RealSize,
  rectifiedSize,
} from './places.ts';
export { otsuThreshold, type Threshold } from './threshold.ts';
