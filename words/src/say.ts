import { IntlMessageFormat } from 'intl-messageformat';

/** The language of all texts. */
export const LANGUAGE = 'en-GB';

/** What stands in the places of a text; one that only another choice of the text needs may be missing. */
export type Values = Readonly<Record<string, string | number | null | undefined>>;

/** The same, with what draws the parts of a text by their tag: `<link>Make a class</link>`. */
export type DrawnValues<T> = Readonly<
  Record<string, string | number | null | undefined | ((inside: (string | T)[]) => T)>
>;

/** Says a text of a feature by its code. */
export interface Say<Code extends string> {
  (code: Code, values?: Values): string;
  /** The same with parts that are drawn otherwise: a list of texts and drawings, in order. */
  parts: <T>(code: Code, values: DrawnValues<T>) => (string | T)[];
}

const allFormat = new Intl.ListFormat(LANGUAGE, { type: 'conjunction' });
const oneFormat = new Intl.ListFormat(LANGUAGE, { type: 'disjunction' });

/** `2`, `2 and 3`, `2, 3 and 5`. */
export function allOf(items: readonly (string | number)[]): string {
  return allFormat.format(items.map(String));
}

/** `2`, `2 or 3`, `2, 3 or 5`. */
export function oneOf(items: readonly (string | number)[]): string {
  return oneFormat.format(items.map(String));
}

/** A text with nothing to read in it: no place, no tag and no quotation of either. */
const PLAIN = /^[^{<']*$/;

/**
 * What says the texts of a catalogue, in ICU's message syntax: `{count, plural, one {# pot} other {# pots}}`.
 * Each is read once, when it is first said; a build may have read them before.
 */
export function sayer<Code extends string>(texts: Readonly<Record<Code, string>>): Say<Code> {
  const read = new Map<Code, IntlMessageFormat>();
  const messageOf = (code: Code): IntlMessageFormat => {
    let message = read.get(code);
    if (!message) {
      message = new IntlMessageFormat(texts[code], LANGUAGE);
      read.set(code, message);
    }
    return message;
  };
  const say = (code: Code, values?: Values): string => {
    const text = texts[code];
    return typeof text === 'string' && PLAIN.test(text) ? text : (messageOf(code).format(values) as string);
  };
  const parts = <T>(code: Code, values: DrawnValues<T>): (string | T)[] => {
    const drawn = messageOf(code).format<T>(values);
    return Array.isArray(drawn) ? drawn : [drawn];
  };
  return Object.assign(say, { parts });
}
