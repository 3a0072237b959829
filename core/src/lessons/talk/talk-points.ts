import * as emergence from './emergence-rules.ts';
import * as groups from './group-rules.ts';
import * as growth from './growth-rules.ts';
import * as guesses from './guess-rules.ts';
import * as measuring from './measuring-rules.ts';
import type { TalkFacts, TalkRule } from './talk-facts.ts';
import type { TalkPoint } from './talk-point.ts';

/** Every rule, what a class most easily overlooks or most gladly talks about first. */
const RULES: readonly TalkRule[] = [
  emergence.noneUp,
  groups.onePot,
  groups.overlap,
  groups.apart,
  guesses.guessOther,
  guesses.guessCameTrue,
  emergence.died,
  groups.survivorsOnly,
  growth.shrank,
  measuring.readersDiffer,
  emergence.neverUp,
  growth.lateCaughtUp,
  growth.earlyFellBehind,
  groups.middleMost,
  groups.controlMost,
  growth.farFromRest,
  growth.markPassed,
  growth.markNotPassed,
  groups.nearerTheLight,
  emergence.packetDiffered,
  emergence.packetKept,
  emergence.laterThanUsual,
  emergence.earlierThanUsual,
  groups.fewPots,
  groups.spreadDiffers,
  growth.sameHeightApart,
  growth.tieTallest,
  emergence.upSpread,
  emergence.upTogether,
  growth.slowed,
  growth.spedUp,
  growth.stoodStill,
  measuring.daysMissed,
  measuring.potsNotRead,
  measuring.roundNumbers,
  measuring.readersAgree,
  emergence.removed,
  groups.agesDiffer,
  guesses.guessSplit,
];

/** Everything that a class's data give to talk about, each code at most once, the first few the most worth it. */
export function talkPoints(facts: TalkFacts): TalkPoint[] {
  return RULES.flatMap((rule) => rule(facts) ?? []);
}
