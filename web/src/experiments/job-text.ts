import { say } from '@bright-sprout/words/experiments';
import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import { inDaysText } from '../shared/ui/index.ts';

/** The next job of an experiment in words. */
export function jobText({ job }: ExperimentCard): string {
  const days = job.inDays ?? 0;
  switch (job.code) {
    case 'sow':
      if (days === 0) return say('sowToday');
      return days > 0
        ? say('sow', { inDaysText: inDaysText(days) })
        : say('sowingWasPlanned', { inDaysText: inDaysText(days) });
    case 'read':
      return job.left === job.of
        ? say('readPotsToday', { of: job.of })
        : say('ofPotsLeftToReadToday', { left: job.left, of: job.of });
    case 'all_read':
      return say('allPotsReadToday', { of: job.of });
    case 'read_next_class_day':
      return say('nextReadingOnTheNextClassDay');
    case 'lesson':
      return days === 0
        ? say('theLessonIsToday')
        : say('theLessonWasFinishItInPlan', { inDaysText: inDaysText(days) });
    case 'nothing':
      return say('finished');
  }
}

/** The stage where that job is done. */
export function jobStage({ job, status }: ExperimentCard): string {
  switch (job.code) {
    case 'sow':
      return status === 'draft' && (job.inDays ?? 0) > 0 ? 'plan' : 'sow';
    case 'read':
      return 'record';
    case 'all_read':
    case 'lesson':
    case 'nothing':
      return 'compare';
    case 'read_next_class_day':
      return 'record';
  }
}
