import type { TalkPoint } from '../../lessons/index.ts';
import { levelKey } from '../level-key.ts';
import { nameOf } from '../speech.ts';
import { readText, roundedText } from '../value-style.ts';
import { EMERGENCE_TALK } from './emergence-talk.ts';
import { GROUP_TALK } from './group-talk.ts';
import { GROWTH_TALK } from './growth-talk.ts';
import type { TalkSpeech, TalkTools, TalkWords } from './talk-speech.ts';

const TABLE = { ...GROWTH_TALK, ...EMERGENCE_TALK, ...GROUP_TALK };

/** Says a talking point at a reading level. The level changes vocabulary, never what is said of the data. */
export function talkWords(point: TalkPoint, { level, style, groups, dayText }: TalkSpeech): TalkWords {
  // Each code leads to the texts that take its point: the table's type holds that.
  const words = TABLE[point.code] as (point: TalkPoint, tools: TalkTools) => TalkWords;
  return words(point, {
    level: levelKey(level),
    read: (value) => readText(value, style),
    about: (value) => roundedText(value, style),
    group: (groupId) => nameOf(groups, groupId),
    day: dayText,
  });
}
