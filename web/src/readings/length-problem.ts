import type { LengthProblem, LengthScale } from '@bright-sprout/core/shared';

/** What is wrong with a length as typed, and what to type. */
export function lengthProblemText(problem: LengthProblem, scale: LengthScale): string {
  const example = scale.unit === 'in' ? '2 1/4' : scale.unit === 'mm' ? '62' : '6.5';
  switch (problem) {
    case 'empty':
      return 'Type the height or tap the plant’s top. Nothing to see yet? Choose “Not up yet”.';
    case 'not-a-length':
      return `Type a number such as ${example}. For a plant taller than the ruler, add the parts: 30 + ${example}.`;
    case 'negative':
      return 'A height starts at the soil line, so it is 0 or more.';
    case 'too-long':
      return 'That is more than 30 m. Check the unit and the point.';
  }
}
