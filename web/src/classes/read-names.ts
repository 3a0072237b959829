import { MOST_NAME_CHARACTERS } from '@bright-sprout/core/shared';

/** What a pasted list of names came to; every line is in one of the three. */
export interface NamesRead {
  readonly names: readonly string[];
  /** Names that are in the list or the class already. */
  readonly known: readonly string[];
  readonly tooLong: readonly string[];
}

/**
 * Names out of a pasted list: one a line, or the first column of a table with commas, semicolons or tabs.
 * @param inClass names that the class has already
 */
export function readNames(text: string, inClass: readonly string[] = []): NamesRead {
  const seen = new Set(inClass.map((name) => name.toLowerCase()));
  const read = { names: [] as string[], known: [] as string[], tooLong: [] as string[] };
  for (const line of text.split(/\r?\n/)) {
    const name = firstCell(line).trim().replaceAll(/\s+/g, ' ');
    if (name === '' || /^(name|student|display ?name|first ?name)s?$/i.test(name)) continue;
    if (name.length > MOST_NAME_CHARACTERS) read.tooLong.push(name);
    else if (seen.has(name.toLowerCase())) read.known.push(name);
    else read.names.push(name);
    seen.add(name.toLowerCase());
  }
  return read;
}

function firstCell(line: string): string {
  const quoted = /^\s*"((?:[^"]|"")*)"/.exec(line);
  if (quoted) return (quoted[1] as string).replaceAll('""', '"');
  return line.split(/[,;\t]/)[0] ?? '';
}
