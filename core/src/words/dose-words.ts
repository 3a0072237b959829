import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import { clearDose, type DoseQuestion, type DoseClaim } from '../comparison/index.ts';
import { valueOr } from '../shared/index.ts';
import { levelKey } from './level-key.ts';
import { luckWords } from './luck-words.ts';
import { plantsSaid } from './pair-words.ts';
import { type ComparisonSpeech, nameOf, whenText } from './speech.ts';
import {
  aboutText,
  computedText,
  contrastWord,
  differenceSize,
  differenceText,
  roundedText,
} from './value-style.ts';

/** What the amount does: an amount in between that is best or worst, a trend, or that nobody could see that it matters. */
export function doseSentence(speech: ComparisonSpeech, dose: DoseQuestion): string {
  const { level, style, treatments } = speech;
  const clear = clearDose(dose);
  const [least, most] = [dose.groupIds[0] ?? '', dose.groupIds.at(-1) ?? ''];
  const ends = { least: nameOf(treatments, least), most: nameOf(treatments, most) };
  const said = { level: levelKey(level), when: whenText(speech), ...ends };
  const [capital, plants] = plantsSaid(speech);
  if (clear === 'turning') {
    const best = dose.turning?.groupId ?? '';
    const gapTo = (id: string) => {
      const difference = meanOf(speech, best) - meanOf(speech, id);
      return { difference, size: (level === '14+' ? differenceSize : aboutText)(difference, style) };
    };
    const [low, high] = [gapTo(least), gapTo(most)];
    return say('bestInBetween', {
      ...{ ...said, capital, best: nameOf(treatments, best) },
      gap: differenceText(low.size, low.difference, style, level !== '5-7'),
      ...{ size: high.size, contrast: contrastWord(high.difference, style) },
      ...{ isCount: style.kind === 'count' ? 'yes' : 'no', name: 'name' in style ? (style.name ?? '') : '' },
    });
  }
  const text = level === '14+' ? computedText : roundedText;
  const averages = allOf(
    dose.groupIds.map((id) =>
      say('averageWith', { average: text(meanOf(speech, id), style), name: nameOf(treatments, id) }),
    ),
  );
  if (clear === null) return say('amountNotSeen', { ...said, factor: dose.factor, averages });
  return say('amountTrend', {
    ...said,
    ...{ plants, averages, contrast: contrastWord(dose.trend?.sign ?? 0, style) },
    kind: style.kind === 'length' || !('name' in style) ? 'be' : style.kind === 'count' ? 'count' : 'value',
    name: 'name' in style ? (style.name ?? '') : '',
  });
}

/** How often luck alone would make what is told of an amount; empty where it was not judged. */
export function doseLuck({ level }: ComparisonSpeech, dose: DoseQuestion): string {
  const isTurning = clearDose(dose) === 'turning';
  const claim = claimOf(dose);
  if (!claim) return '';
  const [what, method] = isTurning
    ? [say('aBestThisClear'), say('bothDifferencesByTheModel')]
    : [say('aTrendThisClear'), say('linearContrastByTheModel')];
  return luckWords(claim.p, level, what, method);
}

/** What the answer tells of a dose, or would tell. */
export function claimOf(dose: DoseQuestion): DoseClaim | null {
  return clearDose(dose) === 'turning' ? dose.turning : dose.trend;
}

function meanOf({ comparison }: ComparisonSpeech, groupId: string): number {
  const group = comparison.groups.find((one) => one.groupId === groupId);
  return group ? valueOr(group.description.mean, 0) : 0;
}
