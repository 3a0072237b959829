import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import type { LeftOutReason, TreatmentGroup } from '../comparison/index.ts';
import { ALPHA, describe, twoSidedT } from '../statistics/index.ts';
import { STATE_WORDS } from './code-words.ts';
import { type ComparisonSpeech, nameOf } from './speech.ts';
import { roundedText } from './value-style.ts';

/** Why a pot is left out. */
export const LEFT_OUT_WORDS: Record<LeftOutReason, string> = {
  not_emerged: STATE_WORDS.not_emerged,
  up_without_value: say('upButNotMeasured'),
  dead: STATE_WORDS.dead,
  removed: STATE_WORDS.removed,
  not_read: STATE_WORDS.not_read,
  read_long_ago: say('lastReadTooLongAgo'),
  too_few_values: say('readTooFewTimes'),
};

/** With so few pots, a mean rests on single plants. */
const FEW_POTS = 2;
const HALF = 0.5;

/** What a comparison cannot say, and what was left out of it. */
export function notKnownWords(speech: ComparisonSpeech): string[] {
  const { comparison } = speech;
  const lines = (Object.keys(LEFT_OUT_WORDS) as LeftOutReason[]).flatMap((reason) => leftOut(speech, reason));
  const zeros = comparison.groups.reduce((sum, group) => sum + group.counts.countedAsZero, 0);
  if (zeros > 0) lines.push(say('potsNotUpYetCountedAs0', { zeros }));
  if (comparison.age === null && comparison.groups.some((group) => group.points.length > 0)) {
    lines.push(
      comparison.unitCurves.length === 0 ? say('whenThePotsWereSownIsNot') : say('thePotsWereNotAllSownOn'),
    );
  }
  if (comparison.fates.groups.some((fate) => fate.dead.length > 0)) {
    lines.push(say('onlyPotsThatLivedHaveAValue'));
  }
  lines.push(
    ...halfRead(speech),
    ...fewPots(speech),
    ...oddPots(speech),
    say('oneClassOnePlaceOneTimeAnother'),
  );
  return lines;
}

function leftOut({ comparison, treatments }: ComparisonSpeech, reason: LeftOutReason): string[] {
  const parts = comparison.groups.flatMap((group) => {
    const numbers = group.counts.leftOut
      .filter((unit) => unit.reason === reason)
      .map((unit) => unit.number)
      .sort((a, b) => a - b);
    if (numbers.length === 0) return [];
    const pots = say('pots', { numbersCount: numbers.length, numbers: allOf(numbers) });
    return [treatments.length > 1 ? `${pots} (${nameOf(treatments, group.groupId)})` : pots];
  });
  return parts.length === 0
    ? []
    : [say('leftOut', { leftOutWords: LEFT_OUT_WORDS[reason], parts: parts.join('; ') })];
}

/** Groups of which fewer than half of the pots that could be read were read. */
function halfRead({ comparison, treatments }: ComparisonSpeech): string[] {
  const missing = (group: TreatmentGroup): number =>
    group.counts.leftOut.filter((unit) => unit.reason === 'not_read').length;
  return comparison.groups
    .filter(
      (group) =>
        group.points.length > 0 && group.points.length < HALF * (group.points.length + missing(group)),
    )
    .map((group) =>
      say('theAverageOfRestsOnOfPots', {
        nameOf: nameOf(treatments, group.groupId),
        pointsCount: group.points.length,
        pointsCount2: group.points.length + missing(group),
      }),
    );
}

function fewPots({ comparison, treatments }: ComparisonSpeech): string[] {
  const few = comparison.groups.filter(({ points }) => points.length > 0 && points.length <= FEW_POTS);
  if (few.length === 0) return [];
  const names = few.map(({ groupId, points }) =>
    say('of2', { pointsCount: points.length, nameOf: nameOf(treatments, groupId) }),
  );
  return [say('veryFewPotsCountWithMoreOf', { names: names.join(', ') })];
}

/** A pot is named where without it the average would be so much of itself lower or higher. */
const ODD_SHIFT = 0.1;
const FEWEST_WITH_ODD = 4;

/**
 * Single pots that make the average of their treatment: further from the others than chance makes any pot of the class,
 * by the studentised deleted residual, allowing for all pots (Beckman and Cook 1983). What it would be without is said.
 */
function oddPots({ comparison, treatments, style }: ComparisonSpeech): string[] {
  const pots = comparison.groups.reduce((sum, { points }) => sum + points.length, 0);
  return comparison.groups.flatMap(({ groupId, points, description: { mean } }) => {
    if (points.length < FEWEST_WITH_ODD || !mean.defined) return [];
    return points.flatMap((odd) => {
      const others = describe(points.filter((point) => point !== odd).map(({ value }) => value));
      if (!others.mean.defined || !others.sd.defined) return [];
      const without = others.mean.value;
      if (Math.abs(mean.value - without) < ODD_SHIFT * Math.abs(mean.value)) return [];
      const away = (odd.value - without) / (others.sd.value * Math.sqrt(1 + 1 / others.n));
      if (twoSidedT(away, others.n - 1) * pots >= ALPHA) return [];
      return [
        say('onePotMakesTheAverage', {
          ...{ number: odd.number, name: nameOf(treatments, groupId) },
          ...{ average: roundedText(mean.value, style), without: roundedText(without, style) },
        }),
      ];
    });
  });
}
