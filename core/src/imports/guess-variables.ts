import { plainNumber, plainWord } from './foreign-words.ts';
import { columnsWith, type MappedVariable, type TableMapping } from './mapping.ts';

type Rows = readonly (readonly string[])[];

/** The most things that a table can be read for. */
const MOST_READ = 20;

/**
 * What a table holds values of, as its columns have their roles now.
 * @param known what was said of some of them before, which stays
 */
export function variablesIn(
  rows: Rows,
  { shape, roles }: Pick<TableMapping, 'shape' | 'roles'>,
  known: readonly MappedVariable[],
): MappedVariable[] {
  const [header = [], ...body] = rows;
  const values = columnsWith(roles, 'value');
  const [named] = columnsWith(roles, 'variable');
  const keep = (source: string, text: string, cells: () => string[]): MappedVariable =>
    known.find((variable) => variable.source === source) ?? variableOf(source, text, header, cells());
  if (shape !== 'long' || values.length === 0) {
    const all = (): string[] => values.flatMap((at) => body.slice(0, 20).map((row) => row[at] ?? ''));
    return [keep('', '', all)];
  }
  if (named !== undefined) {
    const texts = new Map(
      body.map((row) => [plainWord(row[named] ?? ''), (row[named] ?? '').trim()] as const),
    );
    texts.delete('');
    return [...texts]
      .slice(0, MOST_READ)
      .map(([word, text]) =>
        keep(word, text, () =>
          body
            .filter((row) => plainWord(row[named] ?? '') === word)
            .map((row) => row[values[0] as number] ?? ''),
        ),
      );
  }
  return values
    .slice(0, MOST_READ)
    .map((at) => keep(String(at), header[at] ?? '', () => body.map((row) => row[at] ?? '')));
}

function variableOf(
  source: string,
  column: string,
  header: readonly string[],
  cells: readonly string[],
): MappedVariable {
  const plain = column.replaceAll('_', ' ').trim();
  const ownUnit = /[([]\s*([^)\]]{1,12})\s*[)\]]/.exec(plain)?.[1] ?? '';
  const name =
    plain
      .replace(/[([].*$/, '')
      .replace(/\s(mm|cm|in|inch|inches|g|kg|mg)$/i, '')
      .trim()
      .toLowerCase()
      .slice(0, 60) || (source === '' ? 'height' : 'value');
  const made = { source, counting: 'so_far' } as const;
  const isWhole = cells.every((cell) => !/[.,]\d/.test(cell));
  const values = cells.map((cell) => Number(plainNumber(cell.trim()) ?? Number.NaN)).filter(Number.isFinite);
  if (/germinat|emerged|^up$|seeds up|number up/i.test(plain) && !/%|percent|rate|share/i.test(plain))
    return { ...made, name: 'seeds up', kind: 'count', unit: 'seeds' };
  if (source === '' || (/height|length|width/i.test(plain) && !/ratio|%/.test(plain)))
    return {
      ...made,
      name,
      kind: 'length',
      unit: lengthUnitOf(plain) ?? lengthUnitOf(header.join(' ')) ?? 'cm',
    };
  if (/leaves|leaf|flowers|pods|count|number of/i.test(plain) && !/area|size/i.test(plain) && isWhole)
    return {
      ...made,
      name,
      kind: 'count',
      unit: name.replace(/^(number of|count of)\s+|\s+count$/g, '').slice(0, 20),
    };
  if (/score|rating/i.test(plain) && isWhole && values.every((value) => value >= 1 && value <= 20))
    return { ...made, name, kind: 'score', unit: '' };
  return { ...made, name, kind: 'number', unit: ownUnit.slice(0, 20) || (lengthUnitOf(plain) ?? '') };
}

function lengthUnitOf(text: string): string | undefined {
  const unit = /\b(mm|cm|in|inch|inches)\b/i.exec(text.replaceAll('_', ' '))?.[1]?.toLowerCase();
  return unit?.startsWith('in') ? 'in' : unit;
}
