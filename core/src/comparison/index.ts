export { compareTreatments, type ComparisonInput } from './compare-treatments.ts';
export {
  type ComparedTreatment,
  type ComparedUnit,
  type Comparison,
  type LeftOutReason,
  NOT_UP_RULES,
  type NotUpRule,
  type OverallTest,
  type TreatmentCurve,
  type TreatmentGroup,
  type TreatmentPair,
  type UnitCounts,
  type UnitCurve,
} from './types.ts';
