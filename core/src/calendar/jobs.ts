import { type CalendarDay, daysBetween } from '../shared/index.ts';
import { type ClassDays, isClassDay, SCHOOL_DAYS } from './class-days.ts';

/** Where an experiment stands in its life. */
export const EXPERIMENT_STATUSES = ['draft', 'planted', 'growing', 'finished'] as const;
export type ExperimentStatus = (typeof EXPERIMENT_STATUSES)[number];

/** The facts that decide what is to be done. */
export interface JobFacts {
  readonly status: ExperimentStatus;
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
  readonly today: CalendarDay;
  /** Units that still need reading: neither dead nor removed. */
  readonly unitsToRead: number;
  /** Of those, units already read today. */
  readonly unitsReadToday: number;
}

/** The next thing to do with an experiment; `inDays` is negative when the day has passed. */
export type Job =
  | { readonly code: 'sow'; readonly inDays: number }
  | { readonly code: 'read'; readonly left: number; readonly of: number }
  | { readonly code: 'read_next_class_day' }
  | { readonly code: 'all_read'; readonly of: number }
  | { readonly code: 'lesson'; readonly inDays: number }
  | { readonly code: 'nothing' };

/** The next job of an experiment. */
export function nextJob(facts: JobFacts, rules: ClassDays = SCHOOL_DAYS): Job {
  if (facts.status === 'finished') return { code: 'nothing' };
  if (facts.status === 'draft') return { code: 'sow', inDays: daysBetween(facts.today, facts.sowOn) };
  const toLesson = daysBetween(facts.today, facts.lessonOn);
  if (toLesson === 0) return { code: 'lesson', inDays: 0 };
  const left = facts.unitsToRead - facts.unitsReadToday;
  if (facts.unitsToRead > 0 && left === 0) return { code: 'all_read', of: facts.unitsToRead };
  const meets = isClassDay(facts.today, rules);
  if (left > 0 && facts.sowOn < facts.today && (meets || facts.unitsReadToday > 0)) {
    return { code: 'read', left, of: facts.unitsToRead };
  }
  return toLesson < 0 ? { code: 'lesson', inDays: toLesson } : { code: 'read_next_class_day' };
}

/** True when the job is for today or has been waiting since before. */
export function isDueToday(job: Job): boolean {
  switch (job.code) {
    case 'sow':
    case 'lesson':
      return job.inDays <= 0;
    case 'read':
      return true;
    case 'all_read':
    case 'read_next_class_day':
    case 'nothing':
      return false;
  }
}

/** Order among the experiments: due today, then to come, then done; smaller comes first. */
export function jobRank(job: Job, status: ExperimentStatus): number {
  if (status === 'finished') return 3;
  if (isDueToday(job)) return 0;
  return job.code === 'sow' ? 2 : 1;
}
