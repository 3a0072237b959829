import type { ExperimentCard } from '@bright-sprout/contract/experiments';
import { describe, expect, test } from '@jest/globals';
import { jobStage, jobText } from './job-text.ts';

function card(
  job: Partial<ExperimentCard['job']>,
  status: ExperimentCard['status'] = 'growing',
): ExperimentCard {
  return { job: { isDue: true, ...job }, status } as ExperimentCard;
}

describe('the next job in words, and where it is done', () => {
  test.each([
    [card({ code: 'sow', inDays: 0 }, 'draft'), 'Sow today', 'sow'],
    [card({ code: 'sow', inDays: 1 }, 'draft'), 'Sow tomorrow', 'plan'],
    [card({ code: 'sow', inDays: -2 }, 'draft'), 'Sowing was planned 2 days ago', 'sow'],
    [card({ code: 'read', left: 12, of: 12 }), 'Read 12 pots today', 'record'],
    [card({ code: 'read', left: 2, of: 12 }), '2 of 12 pots left to read today', 'record'],
    [card({ code: 'all_read', of: 12 }), 'All 12 pots read today', 'compare'],
    [card({ code: 'read_next_class_day' }), 'Next reading on the next class day', 'record'],
    [card({ code: 'lesson', inDays: 0 }), 'The lesson is today', 'compare'],
    [card({ code: 'lesson', inDays: -1 }), 'The lesson was yesterday: finish it in Plan', 'compare'],
    [card({ code: 'nothing' }, 'finished'), 'Finished', 'compare'],
  ])('%#: %p', (shown, text, stage) => {
    expect(jobText(shown)).toBe(text);
    expect(jobStage(shown)).toBe(stage);
  });
});
