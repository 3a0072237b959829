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
    case 'grew_too_fast':
      return say('thatIsInThisCropSeldomGrows', {
        length: length(doubt.byMm),
        dayCount: dayCount(doubt.days),
        length2: length(doubt.mostMm),
      });
    case 'too_tall':
      return say('thisCropSeldomGetsTallerThanLook', { length: length(doubt.mostMm) });
    case 'ten_times':
      return say('isThePointInTheRightPlace', { length: length(doubt.likelyMm) });
    case 'other_unit':
      return say('wasThisReadInInchesThenIt', {
        ifReadAs: doubt.readAs === 'in' ? 'yes' : 'no',
        length: length(doubt.likelyMm),
      });
    case 'was_gone':
      return say('thisPotWasNotedAsOnIs', { state: doubt.state, dayName: dayName(doubt.since) });
    case 'too_early':
      return say('dayIsEarlyForThisCropIt', { age: doubt.age, earliest: doubt.earliest });
    case 'never_up':
      return say('nothingWasUpHereBefore');
    case 'other_day':
      return say('thisGoesDownForNotForToday', { dayName: dayName(doubt.day) });
    case 'same_for_all':
      return say('potsInARowWithTheSame', { pots: doubt.pots });
  }
}

function dayCount(days: number): string {
  return days === 1 ? say('oneDay') : say('days', { days });
}
