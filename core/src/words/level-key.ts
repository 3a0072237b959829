import type { ReadingLevel } from './reading-level.ts';

const KEYS: Readonly<Record<ReadingLevel, string>> = {
  '5-7': 'a5',
  '8-10': 'a8',
  '11-13': 'a11',
  '14+': 'a14',
};

/** A reading level as the texts that choose by it name it. */
export function levelKey(level: ReadingLevel): string {
  return KEYS[level];
}
