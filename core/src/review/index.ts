export { replicatesMend } from './design-findings.ts';
export type { ReviewedUnit } from './layout-findings.ts';
export {
  type Caution,
  CAUTIONS,
  type Finding,
  type FindingFacts,
  LINED_UP_WITH,
  type LinedUpWith,
  type Mend,
  type MendCost,
  SEVERITIES,
  type Severity,
} from './finding.ts';
export { type VisibleDifference, visibleDifference } from './visible-difference.ts';
export { type ReviewInput, reviewPlan } from './review-plan.ts';
