export { IsCalendarDay, IsId, isId, IsInstant, IsZone, OnlyWith, Spelled, Trimmed } from './checks.ts';
export * from './errors.ts';
export type { Day, Id, Instant } from './formats.ts';
export type { HealthView } from './health.ts';
export {
  type Access,
  anyone,
  change,
  fillPath,
  includesRight,
  MOST_BODY_BYTES,
  type Method,
  OWNED_PARAMS,
  type OwnedParam,
  own,
  type ParamsOf,
  type Right,
  rightFor,
  RIGHTS,
  type Route,
  type RouteBuilder,
  see,
  student,
  teacher,
  type WireClass,
} from './route.ts';
export * from './fields.ts';
export { MOST_PROBLEMS, shapeProblems } from './shape.ts';
export { Nested, NestedOrNull } from './nested.ts';
export { check, type Checked, fieldProblems } from './validate.ts';
export { LEAST_PASSWORD, MOST_PASSWORD } from './password-sizes.ts';
