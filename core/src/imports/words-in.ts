import { plainNumber } from './foreign-numbers.ts';
import { knownMeaning, plainWord, type WordMeaning } from './foreign-words.ts';
import { MOST_MEANT_WORDS, type TableMapping } from './mapping.ts';
import { cellsOf } from './table-shapes.ts';

/** A word that stands in place of values, or in the column of states. */
export interface FoundWord {
  /** As first written; empty for cells that are empty. */
  readonly word: string;
  readonly count: number;
  /** What it says unless somebody says otherwise; undefined for a word that nobody knows. */
  readonly usual: WordMeaning | undefined;
}

/** The different words of a table that are no numbers, the most frequent first. */
export function wordsIn(rows: readonly (readonly string[])[], mapping: TableMapping): FoundWord[] {
  const found = new Map<string, { word: string; count: number }>();
  const note = (text: string): void => {
    const key = plainWord(text);
    const known = found.get(key);
    if (known) known.count += 1;
    else found.set(key, { word: text, count: 1 });
  };
  const hasValues = mapping.roles.includes('value');
  for (const cell of cellsOf(rows, mapping)) {
    if (cell.state !== '') note(cell.state);
    if (hasValues && plainNumber(cell.text) === undefined && (cell.text !== '' || cell.state === '')) {
      note(cell.text);
    }
  }
  return [...found.values()]
    .sort((a, b) => b.count - a.count)
    .slice(0, MOST_MEANT_WORDS)
    .map(({ word, count }) => ({ word: word.slice(0, 60), count, usual: knownMeaning(word) }));
}
