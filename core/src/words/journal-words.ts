import type { ReadingLevel } from './reading-level.ts';

const CHIPS: Readonly<Record<ReadingLevel, readonly string[]>> = {
  '5-7': ['seed', 'root', 'stem', 'leaf', 'green', 'taller', 'soil', 'I see'],
  '8-10': ['seed coat', 'root', 'shoot', 'stem', 'seed leaf', 'true leaf', 'bud', 'taller', 'wilted'],
  '11-13': [
    'seed coat',
    'root',
    'shoot',
    'stem',
    'cotyledon',
    'true leaf',
    'bud',
    'because',
    'than yesterday',
  ],
  '14+': [
    'testa',
    'radicle',
    'hypocotyl',
    'cotyledon',
    'true leaf',
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
