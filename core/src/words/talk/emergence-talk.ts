import { say } from '@bright-sprout/words/lessons';
import { percent, potsText, type TalkTable } from './talk-speech.ts';

/** Talking points about coming up, and about what was lost. */
export const EMERGENCE_TALK: TalkTable<
  | 'none_up'
  | 'up_together'
  | 'up_spread'
  | 'never_up'
  | 'died'
  | 'removed'
  | 'packet_kept'
  | 'packet_differed'
  | 'later_than_usual'
  | 'earlier_than_usual'
> = {
  none_up: ({ age, looked }, { level }) => ({
    question: say('talkNoneUp', { level, age, looked }),
    hint: say('talkNoneUpHint'),
  }),
  up_together: ({ pots, age, within }, { level }) => ({
    question: say('talkUpTogether', { level, pots, age, within }),
    hint: say('talkUpTogetherHint'),
  }),
  up_spread: ({ first, last, pots }, { level }) => ({
    question: say('talkUpSpread', { level, first, last, pots }),
    hint: say('talkUpSpreadHint'),
  }),
  never_up: ({ pots, up }, { level }) => ({
    question: say('talkNeverUp', { level, n: pots.length, pots: potsText(pots), up }),
    hint: say('talkNeverUpHint'),
  }),
  died: ({ pots }, { level }) => ({
    question: say('talkDied', { level, n: pots.length, pots: potsText(pots) }),
    hint: say('talkDiedHint'),
  }),
  removed: ({ pots }, { level }) => ({
    question: say('talkRemoved', { level, n: pots.length, pots: potsText(pots) }),
    hint: say('talkRemovedHint'),
  }),
  packet_kept: ({ up, sown, rate }, { level }) => ({
    question: say('talkPacketKept', { level, up, sown, rate: percent(rate) }),
    hint: say('talkPacketKeptHint'),
  }),
  packet_differed: ({ up, sown, rate }, { level }) => ({
    question: say('talkPacketDiffered', {
      level,
      up,
      sown,
      more: up / sown > rate ? 'yes' : 'no',
      rate: percent(rate),
    }),
    hint: say('talkPacketDifferedHint'),
  }),
  later_than_usual: ({ age, usual }, { level }) => ({
    question: say('talkLaterThanUsual', { level, age, usual }),
    hint: say('talkLaterThanUsualHint'),
  }),
  earlier_than_usual: ({ age, usual }, { level }) => ({
    question: say('talkEarlierThanUsual', { level, age, usual }),
    hint: say('talkEarlierThanUsualHint'),
  }),
};
