import { say } from '@bright-sprout/words/student';
import type { ReadingLevel } from './reading-level.ts';

const CHIPS: Readonly<Record<ReadingLevel, readonly string[]>> = {
  '5-7': [
    say('seed'),
    say('root'),
    say('stem'),
    say('leaf'),
    say('green'),
    say('taller'),
    say('soil'),
    say('iSee'),
  ],
  '8-10': [
    say('seedCoat'),
    say('root'),
    say('shoot'),
    say('stem'),
    say('seedLeaf'),
    say('trueLeaf'),
    say('bud'),
    say('taller'),
    say('wilted'),
  ],
  '11-13': [
    say('seedCoat'),
    say('root'),
    say('shoot'),
    say('stem'),
    say('cotyledon'),
    say('trueLeaf'),
    say('bud'),
    say('because2'),
    say('thanYesterday'),
  ],
  '14+': [
    say('testa'),
    say('radicle'),
    say('hypocotyl'),
    say('cotyledon'),
    say('trueLeaf'),
    say('internode'),
    say('apex'),
    say('chlorotic'),
    say('etiolated'),
  ],
};

/** Words of the week that a student can tap into a sentence or a drawing. */
export function wordChips(level: ReadingLevel): readonly string[] {
  return CHIPS[level];
}
