import type { Board, TalkPoint } from '@bright-sprout/core/lessons';

/** How many are shown where nobody chose: more than a class can talk through is none. */
const FIRST_FEW = 3;

/** The talking points of a board: those chosen that the data still raise, else the first few. */
export function chosenTalk(
  { talkCodes }: Pick<Board, 'talkCodes'>,
  points: readonly TalkPoint[],
): TalkPoint[] {
  const chosen = points.filter(({ code }) => talkCodes.includes(code));
  return chosen.length > 0 ? chosen : points.slice(0, FIRST_FEW);
}
