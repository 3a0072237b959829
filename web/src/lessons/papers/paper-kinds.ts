import { say } from '@bright-sprout/words/lessons';

/** What can be printed to take home. */
export const PAPERS = ['report', 'students', 'certificates', 'families', 'weekly', 'wall'] as const;
export type Paper = (typeof PAPERS)[number];

/** What each is called. */
export const PAPER_NAMES: Readonly<Record<Paper, string>> = {
  report: say('classReport'),
  students: say('pageForEachTeam'),
  certificates: say('certificates'),
  families: say('noteToFamilies'),
  weekly: say('pageForEachWeek'),
  wall: say('wallChart'),
};
