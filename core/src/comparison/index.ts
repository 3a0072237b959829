export { compareTreatments, type ComparisonInput, groupsOn } from './compare-treatments.ts';
export {
  type EmergencePart,
  emergencePart,
  type EmergenceReadings,
  type GroupEmergence,
  seedsAnswer,
} from './emergence-part.ts';
export {
  type AnalysedFactor,
  type AnalysedTreatment,
  type AnalysedUnit,
  type Design,
  type GroupBy,
  grouped,
  type Grouped,
  isGroupBy,
} from './grouping.ts';
export {
  type CurveFit,
  type GroupGrowth,
  type GrowthPart,
  growthPart,
  type Milestone,
  type StageReadings,
  type UnitGrowth,
} from './growth-part.ts';
export {
  FARTHEST_STUDY_DAYS,
  type PooledDifference,
  type StudyCell,
  type StudyPart,
  studyPart,
  type StudyRun,
} from './study-part.ts';
export { type ObservedFact, type TeamFigures, type TeamsPart, teamsPart } from './teams-part.ts';
export { TEST_METHODS, type TestLine, type TestMethod, type TestOutcome } from './test-line.ts';
export {
  type Assumptions,
  type PairTests,
  type TreatmentsPart,
  treatmentsPart,
  type UpShares,
} from './treatments-part.ts';
export { type CellMean, cellMeans, type DoseResponse, type FactorialPart } from './factorial-part.ts';
export { type BesideVerdict, isClearFate, verdictBeside } from './fates.ts';
export { clearDose } from './dose-question.ts';
export { isClearPair } from './pairs.ts';
export { isClearTogether } from './questions.ts';
export {
  largestGap,
  leastShare,
  shuffledGaps,
  type ShuffleQuestion,
  shuffleQuestion,
} from './shuffle-question.ts';
export {
  type ComparedGroup,
  type ComparedUnit,
  type Comparison,
  type FactorQuestion,
  type DoseQuestion,
  type DoseClaim,
  type Fate,
  type Fates,
  type Lead,
  LEFT_OUT_REASONS,
  type LeftOutReason,
  NOT_UP_RULES,
  type NotUpRule,
  type PairTest,
  type SeedsAnswer,
  SUMMARIES,
  type Summary,
  type Together,
  type TreatmentCurve,
  type TreatmentGroup,
  type TreatmentPair,
  type Within,
  type WithinLevel,
  type UnitCounts,
  type UnitCurve,
} from './types.ts';
export { type BlockedUnit, blocksOf, plannedBlocks } from './container-blocks.ts';
export { areSownUnlike, sharesOfSown } from './shares-of-sown.ts';
