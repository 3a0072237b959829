import { say } from '@bright-sprout/words/lessons';
import { potsText, type TalkTable } from './talk-speech.ts';

/** Talking points about treatments, measuring and guesses. */
export const GROUP_TALK: TalkTable<
  | 'overlap'
  | 'apart'
  | 'few_pots'
  | 'one_pot'
  | 'spread_differs'
  | 'middle_most'
  | 'control_most'
  | 'survivors_only'
  | 'nearer_the_light'
  | 'ages_differ'
  | 'readers_differ'
  | 'readers_agree'
  | 'days_missed'
  | 'pots_not_read'
  | 'round_numbers'
  | 'guess_other'
  | 'guess_came_true'
  | 'guess_split'
> = {
  overlap: ({ pot, groupId, other, otherGroupId }, { level, group }) => ({
    question: say('talkOverlap', {
      level,
      pot,
      other,
      group: group(groupId),
      otherGroup: group(otherGroupId),
    }),
    hint: say('talkOverlapHint'),
  }),
  apart: ({ lowId, highId }, { level, group }) => ({
    question: say('talkApart', { level, low: group(lowId), high: group(highId) }),
    hint: say('talkApartHint'),
  }),
  few_pots: ({ groupId, pots }, { level, group }) => ({
    question: say('talkFewPots', { level, group: group(groupId), n: pots }),
    hint: say('talkFewPotsHint'),
  }),
  one_pot: ({ pot }, { level }) => ({
    question: say('talkOnePot', { level, pot }),
    hint: say('talkOnePotHint'),
  }),
  spread_differs: ({ wideId, narrowId }, { level, group }) => ({
    question: say('talkSpreadDiffers', { level, wide: group(wideId), narrow: group(narrowId) }),
    hint: say('talkSpreadDiffersHint'),
  }),
  middle_most: ({ groupId }, { level, group }) => ({
    question: say('talkMiddleMost', { level, group: group(groupId) }),
    hint: say('talkMiddleMostHint'),
  }),
  control_most: ({ groupId }, { level, group }) => ({
    question: say('talkControlMost', { level, group: group(groupId) }),
    hint: say('talkControlMostHint'),
  }),
  survivors_only: ({ groupId, left, of }, { level, group }) => ({
    question: say('talkSurvivorsOnly', { level, group: group(groupId), left, of }),
    hint: say('talkSurvivorsOnlyHint'),
  }),
  nearer_the_light: ({ more }, { level }) => ({
    question: say('talkNearerTheLight', { level, more: more ? 'yes' : 'no' }),
    hint: say('talkNearerTheLightHint'),
  }),
  ages_differ: ({ youngest, oldest }, { level }) => ({
    question: say('talkAgesDiffer', { level, youngest, oldest }),
    hint: say('talkAgesDifferHint'),
  }),
  readers_differ: ({ pot, first, second, day }, tools) => ({
    question: say('talkReadersDiffer', {
      level: tools.level,
      pot,
      first: tools.read(first),
      second: tools.read(second),
      day: tools.day(day),
    }),
    hint: say('talkReadersDifferHint'),
  }),
  readers_agree: ({ pairs, within }, { level, about }) => ({
    question: say('talkReadersAgree', { level, pairs, within: about(within) }),
    hint: say('talkReadersAgreeHint'),
  }),
  days_missed: ({ days, from, to }, { level, day }) => ({
    question: say('talkDaysMissed', { level, days, from: day(from), to: day(to) }),
    hint: say('talkDaysMissedHint'),
  }),
  pots_not_read: ({ pots }, { level }) => ({
    question: say('talkPotsNotRead', { level, n: pots.length, pots: potsText(pots) }),
    hint: say('talkPotsNotReadHint'),
  }),
  round_numbers: ({ round, readings }, { level }) => ({
    question: say('talkRoundNumbers', { level, round, readings }),
    hint: say('talkRoundNumbersHint'),
  }),
  guess_other: ({ choice, guesses, groupId }, { level, group }) => ({
    question: say('talkGuessOther', { level, choice, n: guesses, group: group(groupId) }),
    hint: say('talkGuessOtherHint'),
  }),
  guess_came_true: ({ choice, guesses }, { level }) => ({
    question: say('talkGuessCameTrue', { level, choice, n: guesses }),
    hint: say('talkGuessCameTrueHint'),
  }),
  guess_split: ({ guesses, most }, { level }) => ({
    question: say('talkGuessSplit', { level, guesses, most }),
    hint: say('talkGuessSplitHint'),
  }),
};
