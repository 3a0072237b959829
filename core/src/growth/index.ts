export { type Change, changeSinceLast, lastValueBefore } from './change.ts';
export { type ReadingFact, reduceUnitDay, type UnitDay, unitDays } from './unit-day.ts';
