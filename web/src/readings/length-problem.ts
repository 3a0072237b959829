import { say } from '@bright-sprout/words/readings';
import { type GrowthFacts, mostPossibleMm } from '@bright-sprout/core/growth';
import {
  type LengthProblem,
  type LengthScale,
  lengthText,
  type ParsedLength,
} from '@bright-sprout/core/shared';

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

/** What is wrong with a height as typed for a plant, and what to do; undefined where it can be kept. */
export function heightProblem(
  parsed: ParsedLength,
  scale: LengthScale,
  facts: GrowthFacts | null,
): string | undefined {
  if (!parsed.ok) return lengthProblemText(parsed.problem, scale);
  const mostMm = mostPossibleMm(facts);
  return mostMm !== null && parsed.mm > mostMm
    ? say('tallerThanAnyOfItsKind', { mostText: lengthText(mostMm, scale) })
    : undefined;
}
