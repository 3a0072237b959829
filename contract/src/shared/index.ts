export { IsCalendarDay, IsId, isId, IsInstant, IsZone, Trimmed } from './checks.ts';
export {
  ERROR_STATUS,
  type ErrorBody,
  type ErrorCode,
  type FieldProblem,
  type FileRowProblem,
} from './errors.ts';
export { HealthView } from './health.ts';
export {
  type Access,
  fillPath,
  listRoute,
  MOST_BODY_BYTES,
  type Method,
  OWNED_PARAMS,
  type OwnedParam,
  type ParamsOf,
  route,
  type Route,
  type WireClass,
} from './route.ts';
export { MOST_PROBLEMS, shapeProblems } from './shape.ts';
export { Nested, NestedList, NestedOrNull, OutcomeBase } from './nested.ts';
export { check, type Checked, fieldProblems } from './validate.ts';
