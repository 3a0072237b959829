import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import { inDaysText } from '../shared/ui/index.ts';

/** The next job of an experiment in words. */
export function jobText({ job }: ExperimentCard): string {
  const days = job.inDays ?? 0;
  switch (job.code) {
    case 'sow':
      if (days === 0) return 'Sow today';
      return days > 0 ? `Sow ${inDaysText(days)}` : `Sowing was planned ${inDaysText(days)}`;
    case 'read':
      return job.left === job.of
        ? `Read ${job.of} pots today`
        : `${job.left} of ${job.of} pots left to read today`;
    case 'all-read':
      return `All ${job.of} pots read today`;
    case 'read-next-class-day':
      return 'Next reading on the next class day';
    case 'lesson':
      return days === 0 ? 'The lesson is today' : `The lesson was ${inDaysText(days)}: finish it in Plan`;
    case 'nothing':
      return 'Finished';
  }
}

/** The stage where that job is done. */
export function jobStage({ job, status }: ExperimentCard): string {
  switch (job.code) {
    case 'sow':
      return status === 'draft' && (job.inDays ?? 0) > 0 ? 'plan' : 'sow';
    case 'read':
      return 'record';
    case 'all-read':
    case 'lesson':
    case 'nothing':
      return 'compare';
    case 'read-next-class-day':
      return 'record';
  }
}
