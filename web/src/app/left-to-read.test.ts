import type { ExperimentView } from '@bright-sprout/contract/plans';
import { expect, test } from '@jest/globals';
import { leftToRead } from './left-to-read.ts';

const SUNDAYS = { calendar: { meetingDays: [7], holidays: [] } } as unknown as ExperimentView['plan'];
const on = (today: string, plan: ExperimentView['plan'] = null) => ({ sowOn: '2026-11-02', today, plan });

test.each([
  ['a Friday', on('2026-11-27'), 11, '11 pots left today'],
  ['a Friday, all read', on('2026-11-27'), 0, 'all read today'],
  ['a Sunday', on('2026-11-29'), 11, 'no class today'],
  ['a Sunday that somebody read on', on('2026-11-29'), 0, 'all read today'],
  ['a Sunday of a class that meets on it', on('2026-11-29', SUNDAYS), 1, '1 pot left today'],
  ['the day of the sowing', on('2026-11-02'), 12, 'from tomorrow'],
])('on %s', (_, experiment, left, words) => {
  expect(leftToRead(experiment, left)).toBe(words);
});
