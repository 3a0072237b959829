import { say } from '@bright-sprout/words/student';
import type { ReadingLevel } from './reading-level.ts';

const CHIPS: Readonly<Record<ReadingLevel, readonly string[]>> = {
  '5-7': ['seed', 'root', 'stem', 'leaf', 'green', 'taller', 'soil', say('iSee')],
  '8-10': [
    say('seedCoat'),
    'root',
    'shoot',
    'stem',
    say('seedLeaf'),
    say('trueLeaf'),
    'bud',
    'taller',
    'wilted',
  ],
  '11-13': [
    say('seedCoat'),
    'root',
    'shoot',
    'stem',
    'cotyledon',
    say('trueLeaf'),
    'bud',
    'because',
    say('thanYesterday'),
  ],
  '14+': [
    'testa',
    'radicle',
    'hypocotyl',
    'cotyledon',
    say('trueLeaf'),
    'internode',
    'apex',
    'chlorotic',
    'etiolated',
  ],
};

/** Words of the week that a student can tap into a sentence or a drawing. */
export function wordChips(level: ReadingLevel): readonly string[] {
  return CHIPS[level];
}
