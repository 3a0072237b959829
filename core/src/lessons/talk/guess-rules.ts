import { isClearPair } from '../../comparison/index.ts';
import type { Guessed, TalkFacts, TalkRule } from './talk-facts.ts';

const LEAST_GUESSES = 4;
const HALF = 0.5;

/** What was guessed most, all guesses, and whether more than half guessed it. */
function most(guesses: readonly Guessed[]): { top: Guessed | undefined; total: number; isMost: boolean } {
  const [top] = [...guesses].sort((a, b) => b.guesses - a.guesses);
  const total = guesses.reduce((sum, one) => sum + one.guesses, 0);
  return { top, total, isMost: total >= LEAST_GUESSES && top !== undefined && top.guesses > HALF * total };
}

/** The group with the highest average that can be told from every other group. */
function clearlyHighest({ comparison, groups }: TalkFacts): string | undefined {
  if (!comparison) return undefined;
  const beats = (id: string, other: string): boolean =>
    comparison.pairs.some(
      (pair) =>
        isClearPair(pair) &&
        pair.difference.defined &&
        ((pair.firstId === other && pair.secondId === id && pair.difference.value > 0) ||
          (pair.firstId === id && pair.secondId === other && pair.difference.value < 0)),
    );
  const withValue = comparison.groups.filter(({ points }) => points.length > 0).map(({ groupId }) => groupId);
  return groups
    .map(({ id }) => id)
    .find((id) => withValue.length > 1 && withValue.every((other) => other === id || beats(id, other)));
}

/** More than half guessed one treatment, and the pots clearly say another. */
export const guessOther: TalkRule = (facts) => {
  const { top, isMost } = most(facts.guesses);
  const highest = clearlyHighest(facts);
  const named = facts.groups.find(({ name }) => name === top?.choice);
  if (!facts.isHeight || !top || !isMost || !named || highest === undefined) return undefined;
  return named.id === highest
    ? undefined
    : { code: 'guess_other', choice: top.choice, guesses: top.guesses, groupId: highest };
};

/** More than half guessed the treatment that the pots clearly say. */
export const guessCameTrue: TalkRule = (facts) => {
  const { top, isMost } = most(facts.guesses);
  const highest = clearlyHighest(facts);
  const named = facts.groups.find(({ name }) => name === top?.choice);
  return facts.isHeight && top && isMost && named && named.id === highest
    ? { code: 'guess_came_true', choice: top.choice, guesses: top.guesses }
    : undefined;
};

/** No choice was guessed by more than half. */
export const guessSplit: TalkRule = ({ guesses }) => {
  const { top, total, isMost } = most(guesses);
  return top && total >= LEAST_GUESSES && !isMost
    ? { code: 'guess_split', guesses: total, most: top.guesses }
    : undefined;
};
