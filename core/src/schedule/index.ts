export {
  EXPERIMENT_STATUSES,
  type ExperimentStatus,
  isDueToday,
  type Job,
  type JobFacts,
  jobRank,
  nextJob,
} from './jobs.ts';
export {
  LONGEST_PLAN_DAYS,
  nextClassDay,
  type RibbonDay,
  ribbonDays,
  type RibbonPlan,
  SCHOOL_WEEK,
} from './ribbon.ts';
