export { type Change, changeSinceLast, lastValueBefore } from './change.ts';
export { lastDayMostRead } from './day-to-show.ts';
export {
  bestCurve,
  CURVE_KINDS,
  type CurveKind,
  type Estimate,
  fitCurve,
  type FittedCurve,
  type GrowthPoint,
  valueAt,
} from './fit-curve.ts';
export { type GrowthFacts, growthFacts, mostPossibleMm, NEVER_REFUSED_MM } from './growth-facts.ts';
export { type Doubt, doubts, fastestGrowthMm, type JustRead, readingTolerance } from './plausibility.ts';
export { type PlantsEvent, type PlantsLeft, plantsLeft } from './plants-left.ts';
export { areaUnder, growthPerDay, relativeGrowthRate, type Step, stepsOf } from './rates.ts';
export { type ReadingFact, reduceUnitDay, type UnitDay, unitDays } from './unit-day.ts';
