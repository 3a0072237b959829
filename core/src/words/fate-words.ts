import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import type { NoShowReason } from '../shared/index.ts';
import { type Fate, isClearFate } from '../comparison/index.ts';
import { NO_SHOW_WORDS } from './code-words.ts';
import { levelKey } from './level-key.ts';
import { luckWords } from './luck-words.ts';
import { type ComparisonSpeech, dayText, nameOf } from './speech.ts';
import { TEST_NAMES } from './test-words.ts';

/** With more groups only the ends are named. */
const MOST_NAMED = 4;

/** Says how many died, or came up, of the pots of each group. */
export function fateSentence(speech: ComparisonSpeech, which: 'dead' | 'up'): string {
  const { fates } = speech.comparison;
  const looked = fates.groups.filter((fate) => ofFate(fate, which) > 0);
  const all = looked.reduce((sum, fate) => sum + ofFate(fate, which), 0);
  const counted = looked.reduce((sum, fate) => sum + countOf(fate, which), 0);
  const by = say('by', { comparison: dayText(speech.comparison) });
  const had = which === 'dead' ? say('hadDied') : say('hadComeUp');
  if (counted === all) return all === 1 ? say('theOnlyPot', { had, by }) : say('allPots', { all, had, by });
  if (counted === 0)
    return which === 'dead' ? say('noPotHadDied', { by }) : say('noneOfPotsHadComeUp', { all, by });
  const ordered = [...looked].sort(
    (a, b) => countOf(b, which) / ofFate(b, which) - countOf(a, which) / ofFate(a, which),
  );
  const named = ordered.length > MOST_NAMED ? [ordered[0], ordered.at(-1)] : ordered;
  const [first, ...others] = named.flatMap((fate) =>
    fate
      ? [
          {
            share: say('of', { countOf: countOf(fate, which), ofFate: ofFate(fate, which) }),
            name: nameOf(speech.treatments, fate.groupId),
          },
        ]
      : [],
  );
  if (!first) return '';
  const pots = say('potsWith', { share: first.share, first: first.name, had, by });
  if (others.length === 0) return `${pots}.`;
  const rest = allOf(others.map(({ share, name }) => say('with', { share, name })));
  return say('potsAndOthers', { pots, rest });
}

/** How often luck alone would share out the dead, or those that came up, as unevenly. */
export function fateLuck(speech: ComparisonSpeech, which: 'dead' | 'up'): string {
  const test = speech.comparison.fates[which];
  if (!test.defined) return '';
  const name = TEST_NAMES[test.value.method].name;
  return luckWords(test.value.p, speech.level, say('aDifferenceThisBig'), name);
}

/** What became of pots, where it does not lead: differences that can be told, and the dead in any case. */
export function otherFates(speech: ComparisonSpeech, leading: 'dead' | 'up' | null): string[] {
  const { fates } = speech.comparison;
  return (['dead', 'up'] as const).flatMap((which) => {
    if (which === leading) return [];
    if (isClearFate(fates[which])) return [fateSentence(speech, which)];
    const isAny = which === 'dead' && fates.groups.some((fate) => fate.dead.length > 0);
    if (!isAny) return [];
    return [
      say('thatCouldJustBeLuck', {
        fateSentence: fateSentence(speech, which),
        ifDefined: fates.dead.defined ? 'yes' : 'no',
      }),
    ];
  });
}

/** Why pots did not come up, as it was noted; empty where nobody noted anything. */
export function reasonSentence({ comparison, level }: ComparisonSpeech): string {
  const noted = new Map<NoShowReason, number[]>();
  for (const { reasons } of comparison.fates.groups)
    for (const { reason, numbers } of reasons) noted.set(reason, [...(noted.get(reason) ?? []), ...numbers]);
  if (noted.size === 0) return '';
  const parts = [...noted].map(([reason, numbers]) =>
    say('reasonOfPots', {
      reason: NO_SHOW_WORDS[reason],
      n: numbers.length,
      pots: allOf([...numbers].sort((a, b) => a - b)),
    }),
  );
  return say('reasonsNoted', { level: levelKey(level), parts: parts.join('; ') });
}

function ofFate(fate: Fate, which: 'dead' | 'up'): number {
  return which === 'dead' ? fate.cameUp : fate.looked;
}

function countOf(fate: Fate, which: 'dead' | 'up'): number {
  return which === 'dead' ? fate.dead.length : fate.cameUp;
}
