import { say } from '@bright-sprout/words/readings';
import type { LengthProblem, LengthScale } from '@bright-sprout/core/shared';

/** What is wrong with a length as typed, and what to type. */
export function lengthProblemText(problem: LengthProblem, scale: LengthScale): string {
  const example = scale.unit === 'in' ? '2 1/4' : scale.unit === 'mm' ? '62' : '6.5';
  switch (problem) {
    case 'empty':
      return say('typeTheHeightOrTapThePlants');
    case 'not_a_length':
      return say('typeANumberSuchAsForA', { example });
    case 'negative':
      return say('aHeightStartsAtTheSoilLine');
    case 'too_long':
      return say('thatIsMoreThan30MCheck');
  }
}
