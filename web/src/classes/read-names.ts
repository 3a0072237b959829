/** Names out of a pasted list: one a line, or the first column of a table with commas, semicolons or tabs. */
export function readNames(text: string): string[] {
  const names = text
    .split(/\r?\n/)
    .map((line) => firstCell(line).trim().replaceAll(/\s+/g, ' ').slice(0, 40))
    .filter((name) => name !== '' && !/^(name|student|display ?name|first ?name)s?$/i.test(name));
  return names.filter(
    (name, index) => names.findIndex((other) => other.toLowerCase() === name.toLowerCase()) === index,
  );
}

function firstCell(line: string): string {
  const quoted = /^\s*"((?:[^"]|"")*)"/.exec(line);
  if (quoted) return (quoted[1] as string).replaceAll('""', '"');
  return line.split(/[,;\t]/)[0] ?? '';
}
