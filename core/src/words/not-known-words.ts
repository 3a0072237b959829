import type { LeftOutReason, TreatmentGroup } from '../comparison/index.ts';
import { STATE_WORDS } from './code-words.ts';
import { type ComparisonSpeech, listed, nameOf, potCount } from './speech.ts';

/** Why a pot is left out. */
export const LEFT_OUT_WORDS: Record<LeftOutReason, string> = {
  not_up: STATE_WORDS.not_up,
  up_without_value: 'up but not measured',
  dead: STATE_WORDS.dead,
  removed: STATE_WORDS.removed,
  not_read: STATE_WORDS.not_read,
  read_long_ago: 'last read too long ago',
  too_few_values: 'read too few times',
};

/** With so few pots, a mean rests on single plants. */
const FEW_POTS = 2;
const HALF = 0.5;

/** What a comparison cannot say, and what was left out of it. */
export function notKnownWords(speech: ComparisonSpeech): string[] {
  const { comparison } = speech;
  const lines = (Object.keys(LEFT_OUT_WORDS) as LeftOutReason[]).flatMap((reason) => leftOut(speech, reason));
  const zeros = comparison.groups.reduce((sum, group) => sum + group.counts.countedAsZero, 0);
  if (zeros > 0) lines.push(`${potCount(zeros)} not up yet counted as 0.`);
  if (comparison.age === null && comparison.groups.some((group) => group.points.length > 0)) {
    lines.push(
      comparison.unitCurves.length === 0
        ? 'When the pots were sown is not written down, so their ages are not known.'
        : 'The pots were not all sown on the same day, so their ages differ.',
    );
  }
  if (comparison.fates.groups.some((fate) => fate.dead.length > 0)) {
    lines.push('Only pots that lived have a value: had the others lived, the averages could be different.');
  }
  lines.push(
    ...halfRead(speech),
    ...fewPots(speech),
    'One class, one place, one time: another could turn out differently.',
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
    const pots = `${numbers.length === 1 ? 'pot' : 'pots'} ${listed(numbers)}`;
    return [treatments.length > 1 ? `${pots} (${nameOf(treatments, group.groupId)})` : pots];
  });
  return parts.length === 0 ? [] : [`Left out, ${LEFT_OUT_WORDS[reason]}: ${parts.join('; ')}.`];
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
    .map(
      (group) =>
        `The average of ${nameOf(treatments, group.groupId)} rests on ${group.points.length} of ${group.points.length + missing(group)} pots: read the others too.`,
    );
}

function fewPots({ comparison, treatments }: ComparisonSpeech): string[] {
  const few = comparison.groups.filter(({ points }) => points.length > 0 && points.length <= FEW_POTS);
  if (few.length === 0) return [];
  const names = few.map(({ groupId, points }) => `${points.length} of ${nameOf(treatments, groupId)}`);
  return [`Very few pots count (${names.join(', ')}): with more of them the answer would be surer.`];
}
