import { plainNumber } from './foreign-numbers.ts';
import { READING_STATES, type ReadingState } from '../shared/index.ts';

/** What a word in place of a value says of the pot; `nothing` is as an empty cell: nobody read it. */
export const WORD_MEANINGS = [...READING_STATES, 'nothing'] as const;
export type WordMeaning = ReadingState | 'nothing';

/** What a height of 0 says: truly 0, or that there was nothing to measure. */
export const ZERO_MEANINGS = ['value', 'not_emerged', 'dead', 'not_read'] as const;
export type ZeroMeaning = (typeof ZERO_MEANINGS)[number];

/** One word of a table, as its class wrote it, with what it says; the word of an empty cell is empty. */
export interface MeantWord {
  readonly word: string;
  readonly meaning: WordMeaning;
}

/** What heights of 0 say before the first height above 0 of their pot, and after it. */
export interface MeantZeros {
  readonly before: ZeroMeaning;
  readonly after: ZeroMeaning;
}

/** Words that are understood unless the mapping says otherwise. */
const KNOWN: readonly (readonly [WordMeaning, string])[] = [
  ['nothing', ' - – — . na n/a n.a. nan null nil ? missing blank empty k.a. s/o fehlt manquant'],
  ['dead', 'dead died † tot abgestorben eingegangen mort morte muerto muerta morto morta dood'],
  [
    'not_emerged',
    'not_up not_up_yet not_yet no_sprout no_sprouts nothing_yet not_emerged not_germinated nicht_gekeimt noch_nicht pas_encore pas_germé no_germinado todavía_no aún_no non_germinato non_ancora niet_op nog_niet',
  ],
  [
    'removed',
    'removed thinned knocked_over gone pulled discarded entfernt ausgezupft retiré enlevé retirado quitado rimosso verwijderd',
  ],
  [
    'not_read',
    'not_read not_measured absent forgot forgotten missed skipped not_recorded nicht_gemessen vergessen non_mesuré oublié no_medido olvidado non_misurato niet_gemeten',
  ],
  [
    'emerged',
    'up emerged sprouted alive living aufgegangen gekeimt lebt levé germé vivant germinado vivo viva germinato levend',
  ],
];

const MEANINGS: ReadonlyMap<string, WordMeaning> = new Map(
  KNOWN.flatMap(([meaning, words]) =>
    words.split(' ').map((word) => [word.replaceAll('_', ' '), meaning] as const),
  ),
);

/** A word without the differences that say nothing: case, spaces, an end mark. */
export function plainWord(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, ' ')
    .replace(/(?<=\p{L})[.!]$/u, '');
}

/** What a word is taken to say; undefined when nobody has told yet. */
export function knownMeaning(text: string): WordMeaning | undefined {
  return MEANINGS.get(plainWord(text));
}

/** Tells what a word says by the mapping, else as it is known. */
export function meaningsBy(words: readonly MeantWord[]): (text: string) => WordMeaning | undefined {
  const own = new Map(words.map(({ word, meaning }) => [plainWord(word), meaning]));
  return (text) => {
    const plain = plainWord(text);
    return own.get(plain) ?? MEANINGS.get(plain);
  };
}

/** True for an empty cell, or one that says so: `-`, `NA`. */
export function isEmptyText(text: string): boolean {
  return knownMeaning(text) === 'nothing';
}

/** True for a cell that can be a value: a number, with its unit or without, or a word for a state. */
export function isValueText(text: string): boolean {
  return !isEmptyText(text) && (plainNumber(text) !== undefined || knownMeaning(text) !== undefined);
}
