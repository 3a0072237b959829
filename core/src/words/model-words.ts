import type { Comparison } from '../comparison/index.ts';
import { figuresText, TEST_NAMES } from './test-words.ts';
import { undefinedWords } from './undefined-words.ts';

/** How a comparison was judged: the test over all groups, what the model takes into account, and how pairs were tested. */
export function modelWords({ overall, pairs, spread, hasBlocks, questions }: Comparison): string {
  if (!overall.defined)
    return `No test over all treatments: ${undefinedWords(overall.reason)}. Each pot counts once.`;
  const methods = [
    ...new Set(pairs.flatMap((pair) => (pair.test.defined ? [TEST_NAMES[pair.test.value.method].name] : []))),
  ];
  const lines = [
    `All at once, ${TEST_NAMES[overall.value.method].name}: ${figuresText(overall.value)}.`,
    hasBlocks ? 'Pots are compared within their blocks.' : '',
    spread === null ? '' : SPREAD_WORDS[spread],
    methods.length > 0 && pairs.length > 1
      ? `Pairs: ${methods.join('; ')}, which allow for how many there are.`
      : '',
    questions.length > 0
      ? 'The answer above takes each factor over the levels of the others, and allows for all questions of the design.'
      : '',
    'Each pot counts once.',
  ];
  return lines.filter(Boolean).join(' ');
}

const SPREAD_WORDS = {
  own: 'Each treatment keeps its own spread (HC2 errors, degrees of freedom after Bell and McCaffrey).',
  equal: 'One spread for all treatments.',
  'with-mean': 'Spread is taken to grow with the average, as these pots do.',
} as const;
