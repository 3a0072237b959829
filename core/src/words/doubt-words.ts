import { say } from '@bright-sprout/words/student';
import type { Doubt } from '../growth/index.ts';
import { type LengthScale, lengthText } from '../shared/index.ts';

/** What speaks against a value, said kindly and with what to do. `dayName` says a day as people say it. */
export function doubtWords(doubt: Doubt, scale: LengthScale, dayName: (day: string) => string): string {
  const length = (mm: number): string => lengthText(mm, scale);
  switch (doubt.code) {
    case 'shrank':
      return say('thatIsShorterThanOnLookAgain', {
        length: length(doubt.byMm),
        dayName: dayName(doubt.since),
      });
    case 'grew-too-fast':
      return say('thatIsInThisCropSeldomGrows', {
        length: length(doubt.byMm),
        dayCount: dayCount(doubt.days),
        length2: length(doubt.mostMm),
      });
    case 'too-tall':
      return say('thisCropSeldomGetsTallerThanLook', { length: length(doubt.mostMm) });
    case 'ten-times':
      return say('isThePointInTheRightPlace', { length: length(doubt.likelyMm) });
    case 'other-unit':
      return say('wasThisReadInInchesThenIt', {
        ifReadAs: doubt.readAs === 'in' ? 'yes' : 'no',
        length: length(doubt.likelyMm),
      });
    case 'was-gone':
      return say('thisPotWasNotedAsOnIs', { state: doubt.state, dayName: dayName(doubt.since) });
    case 'too-early':
      return say('dayIsEarlyForThisCropIt', { age: doubt.age, earliest: doubt.earliest });
    case 'other-day':
      return say('thisGoesDownForNotForToday', { dayName: dayName(doubt.day) });
    case 'same-for-all':
      return say('potsInARowWithTheSame', { pots: doubt.pots });
  }
}

function dayCount(days: number): string {
  return days === 1 ? say('oneDay') : say('days', { days });
}
