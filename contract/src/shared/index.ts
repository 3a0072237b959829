export { IsCalendarDay, IsId, isId, IsInstant, IsZone, OnlyWith, Spelled, Trimmed } from './checks.ts';
export {
  ERROR_STATUS,
  type ErrorBody,
  type ErrorCode,
  type FieldProblem,
  type FileRowProblem,
} from './errors.ts';
export type { Day, Id, Instant } from './formats.ts';
export type { HealthView } from './health.ts';
export {
  type Access,
  fillPath,
  includesRight,
  json,
  type JsonAnswer,
  MOST_BODY_BYTES,
  type Method,
  OWNED_PARAMS,
  type OwnedParam,
  type ParamsOf,
  request,
  type JsonRequest,
  type Right,
  rightFor,
  RIGHTS,
  route,
  type Route,
  type WireClass,
} from './route.ts';
export { MOST_PROBLEMS, shapeProblems } from './shape.ts';
export { Nested, NestedList, NestedOrNull } from './nested.ts';
export { check, type Checked, fieldProblems } from './validate.ts';
export { LEAST_PASSWORD, MOST_PASSWORD } from './password-sizes.ts';
