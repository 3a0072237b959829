import { describe, expect, test } from '@jest/globals';
import { type Situation, simulatedClasses } from '../calibration/index.ts';
import { comparisonWords, READING_LEVELS, type ValueStyle } from './index.ts';

const STYLE: ValueStyle = { kind: 'length', scale: { unit: 'cm', step: 0.5 }, isHeight: true };

/** Classes of whom every sentence was read: a changed snapshot is to be read again, word by word. */
const SITUATIONS: Readonly<Record<string, Situation>> = {
  'two treatments that differ': { levels: [2], pots: 6, effect: 0.6 },
  'two treatments that do not': { levels: [2], pots: 6 },
  'two pots each': { levels: [2], pots: 2, effect: 1.5, cv: 0.1 },
  'one pot each': { levels: [2], pots: 1, effect: 0.5 },
  'four treatments, the last taller': { levels: [4], pots: 5, effect: 0.8 },
  'three treatments in blocks': { levels: [3], pots: 5, effect: 0.4, hasBlocks: true },
  'crossed, one factor matters': { levels: [2, 2], pots: 6, effect: 0.6 },
  'crossed, they work together': { levels: [2, 2], pots: 8, together: 1.2 },
  'crossed, nothing matters': { levels: [2, 3], pots: 3 },
  'amounts, the more the taller': { levels: [4], pots: 5, effect: 0.7, areAmounts: true },
  'amounts that do not matter': { levels: [3], pots: 5, areAmounts: true },
  'many die under one treatment': { levels: [2], pots: 8, dies: (level) => (level === 1 ? 0.9 : 0) },
  'few come up under one treatment': { levels: [3], pots: 8, neverUp: (level) => (level === 2 ? 0.9 : 0.05) },
  'all die': { levels: [2], pots: 4, dies: () => 1 },
  'none comes up': { levels: [2], pots: 4, neverUp: () => 1 },
  'some die, by luck': { levels: [2], pots: 6, dies: () => 0.2, effect: 0.2 },
};

describe('sentences of a class, as they were reviewed', () => {
  test.each(Object.entries(SITUATIONS))('%s', (_, situation) => {
    const [comparison] = simulatedClasses(situation, 1, 4);
    if (!comparison) throw new Error('one class');
    const treatments = comparison.groups.map(({ groupId }, index) => ({
      id: groupId,
      name: `Treatment ${index}`,
      isControl: index === 0,
    }));
    const said = READING_LEVELS.map((level) => {
      const words = comparisonWords({ comparison, treatments, style: STYLE, level });
      return [`[${level}]`, words.headline, ...words.others, words.howSure, ...words.notKnown].join('\n');
    });
    expect(`\n${said.join('\n\n')}\n`).toMatchSnapshot();
  });
});
