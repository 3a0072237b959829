import type { ClassView } from '@bright-sprout/contract/classes';

/** A class without teams and students. */
export const CLASS: ClassView = {
  id: 'c',
  name: '5b',
  code: 'ACDEFG',
  shared: null,
  quietSince: '2027-01-01',
  readingLevel: '8-10',
  timeZone: 'UTC',
  asksPin: false,
  meetingDays: [1, 2, 3, 4, 5],
  holidays: [],
  teams: [],
  students: [],
};
