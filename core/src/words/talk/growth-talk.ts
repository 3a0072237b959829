import { say } from '@bright-sprout/words/lessons';
import { potsText, type TalkTable } from './talk-speech.ts';

/** Talking points about how plants grew. */
export const GROWTH_TALK: TalkTable<
  | 'shrank'
  | 'stood_still'
  | 'slowed'
  | 'sped_up'
  | 'late_caught_up'
  | 'early_fell_behind'
  | 'far_from_rest'
  | 'tie_tallest'
  | 'same_height_apart'
  | 'mark_passed'
  | 'mark_not_passed'
> = {
  shrank: ({ pot, from, to }, { level, read }) => ({
    question: say('talkShrank', { level, pot, from: read(from), to: read(to) }),
    hint: say('talkShrankHint'),
  }),
  stood_still: ({ pots, grew }, { level }) => ({
    question: say('talkStoodStill', { level, n: pots.length, pots: potsText(pots), grew }),
    hint: say('talkStoodStillHint'),
  }),
  slowed: ({ before, now, pots }, { level, about }) => ({
    question: say('talkSlowed', { level, before: about(before), now: about(now), n: pots }),
    hint: say('talkSlowedHint'),
  }),
  sped_up: ({ before, now, pots }, { level, about }) => ({
    question: say('talkSpedUp', { level, before: about(before), now: about(now), n: pots }),
    hint: say('talkSpedUpHint'),
  }),
  late_caught_up: ({ pot, late }, { level }) => ({
    question: say('talkLateCaughtUp', { level, pot, late }),
    hint: say('talkLateCaughtUpHint'),
  }),
  early_fell_behind: ({ pot }, { level }) => ({
    question: say('talkEarlyFellBehind', { level, pot }),
    hint: say('talkEarlyFellBehindHint'),
  }),
  far_from_rest: ({ pot, value, low, high, groupId }, { level, read, group }) => ({
    question: say('talkFarFromRest', {
      level,
      pot,
      value: read(value),
      low: read(low),
      high: read(high),
      group: group(groupId),
    }),
    hint: say('talkFarFromRestHint'),
  }),
  tie_tallest: ({ pots, value }, { level, read }) => ({
    question: say('talkTieTallest', { level, pots: potsText(pots), value: read(value) }),
    hint: say('talkTieTallestHint'),
  }),
  same_height_apart: ({ pot, other, value, groupId, otherGroupId }, { level, read, group }) => ({
    question: say('talkSameHeightApart', {
      level,
      pot,
      other,
      value: read(value),
      group: group(groupId),
      otherGroup: group(otherGroupId),
    }),
    hint: say('talkSameHeightApartHint'),
  }),
  mark_passed: ({ passed, pots, mark }, { level, read }) => ({
    question: say('talkMarkPassed', { level, passed, pots, mark: read(mark) }),
    hint: say('talkMarkPassedHint'),
  }),
  mark_not_passed: ({ mark, tallest }, { level, read }) => ({
    question: say('talkMarkNotPassed', { level, mark: read(mark), tallest: read(tallest) }),
    hint: say('talkMarkNotPassedHint'),
  }),
};
