import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/plan-statements';
import type { Finding, MendCost } from '../review/index.ts';
import { type FindingStyle, findingWords } from './review-words.ts';

/** What the button of a finding's mend says: the new days where it moves any, else what the finding calls it. */
export function mendText({ facts, mend }: Finding, style: FindingStyle): string {
  const { sowOn, lessonOn } = mend?.changes ?? {};
  if (sowOn && lessonOn)
    return say('sowAndLessonOn', { sowOn: style.day(sowOn), lessonOn: style.day(lessonOn) });
  if (sowOn) return say('sowOnDay', { day: style.day(sowOn) });
  if (lessonOn) return say('lessonOnDay', { day: style.day(lessonOn) });
  return findingWords(facts, style).mend;
}

/** What a mend costs: `10 pots and 20 seeds more`. */
export function costWords({ units, seeds, days }: MendCost, propagule: string): string {
  const parts = [
    units !== 0 && say('costsPots', { units: Math.abs(units), way: units > 0 ? 'more' : 'less' }),
    seeds !== 0 && say('costsSeeds', { propagule, seeds: Math.abs(seeds), way: seeds > 0 ? 'more' : 'less' }),
    days !== 0 && say('costsDays', { days: Math.abs(days), way: days > 0 ? 'more' : 'less' }),
  ].filter((part) => part !== false);
  return parts.length === 0 ? say('costsNothing') : allOf(parts);
}
