import { amountOf } from './foreign-numbers.ts';
import { plainWord } from './foreign-words.ts';
import { plainHeading } from './heading-names.ts';
import { columnsWith, type MappedVariable, type TableMapping } from './mapping.ts';

type Rows = readonly (readonly string[])[];

/** The most things that a table can be read for. */
const MOST_READ = 20;
const CELLS_LOOKED_AT = 400;

/**
 * What a table holds values of, as its columns have their roles now.
 * @param known what was said of some of them before, which stays
 * @param titles what stood above the table
 */
export function variablesIn(
  rows: Rows,
  { shape, roles }: Pick<TableMapping, 'shape' | 'roles'>,
  known: readonly MappedVariable[],
  titles: readonly string[] = [],
): MappedVariable[] {
  const [header = [], ...body] = rows;
  const values = columnsWith(roles, 'value');
  const [named] = columnsWith(roles, 'variable');
  const keep = (source: string, text: string): MappedVariable =>
    known.find((variable) => variable.source === source) ??
    variableOf(source, text, valueCells(rows, { shape, roles }, source));
  if (shape !== 'long' || values.length === 0) return [keep('', wideHeading(header, roles, titles))];
  if (named !== undefined) {
    const texts = new Map(
      body.map((row) => [plainWord(row[named] ?? ''), (row[named] ?? '').trim()] as const),
    );
    texts.delete('');
    return [...texts].slice(0, MOST_READ).map(([word, text]) => keep(word, text));
  }
  return values.slice(0, MOST_READ).map((at) => keep(String(at), headingAt(header, at, titles)));
}

/** What stands over the values of a variable, or over the whole table where nothing does. */
export function headingOf(
  [header = []]: Rows,
  { shape, roles }: Pick<TableMapping, 'shape' | 'roles'>,
  { source }: MappedVariable,
  titles: readonly string[],
): string {
  if (shape !== 'long' || source === '') return wideHeading(header, roles, titles);
  return roles.includes('variable') ? source : headingAt(header, Number(source), titles);
}

/** The cells that hold the values of a variable, some hundred at most. */
export function valueCells(
  [, ...body]: Rows,
  { shape, roles }: Pick<TableMapping, 'shape' | 'roles'>,
  source: string,
): string[] {
  const values = columnsWith(roles, 'value');
  const [named] = columnsWith(roles, 'variable');
  const isAll = shape !== 'long' || values.length === 0 || source === '';
  const rows =
    named === undefined || isAll ? body : body.filter((row) => plainWord(row[named] ?? '') === source);
  const columns = isAll || named !== undefined ? values : [Number(source)];
  return rows
    .slice(0, CELLS_LOOKED_AT)
    .flatMap((row) => columns.map((at) => (row[at] ?? '').trim()))
    .filter((text) => text !== '');
}

/** The unit of length that a heading or a title names; undefined where it names none. */
export function lengthUnitOf(text: string): 'mm' | 'cm' | 'in' | undefined {
  const plain = text.replaceAll('_', ' ');
  if (/\bmm\b|\bmillim(et|èt|ét)/i.test(plain)) return 'mm';
  if (/\bcm\b|\b[cz]ent[ií]m(et|èt|ét)/i.test(plain)) return 'cm';
  return /\binch(es)?\b|[([]\s*in\.?\s*[)\]]|\bin\.?\s*$|″|"|\bzoll\b|\bpulgadas?\b|\bpouces?\b/i.test(plain)
    ? 'in'
    : undefined;
}

/** True for a heading that says a length: height, length, width or root, in a few languages. */
export function isLengthHeading(text: string): boolean {
  const plain = plainHeading(text);
  return (
    /height|length|width|hohe|lange|breite|altura|longitud|ancho|hauteur|longueur|largeur|taille/.test(
      plain,
    ) && !/ratio|%/.test(text)
  );
}

/** Without a word over it, a value's name is this one. */
export const UNNAMED = 'value';

function headingAt(header: readonly string[], at: number, titles: readonly string[]): string {
  const own = (header[at] ?? '').trim();
  return isUnnamed(own) ? [own, ...titles].join(' ').trim() : own;
}

/** True for a heading that names no measure, such as "value" or "result (cm)". */
export function isUnnamed(heading: string): boolean {
  return /^(|values?|readings?|results?|wert|messwert|valor|valeur|size|data|column \d+|y)$/.test(
    plainHeading(heading),
  );
}

/** Headings of pots and days name no measure; what else stands over or above the table may. */
function wideHeading(
  header: readonly string[],
  roles: TableMapping['roles'],
  titles: readonly string[],
): string {
  const dishes = columnsWith(roles, 'value').some((at) =>
    /\b(dish|plate|petri|towel|schale|petrischale|placa|boite)\b/.test(plainHeading(header[at] ?? '')),
  );
  const units = header.filter((name) => /[([]/.test(name)).join(' ');
  const text = [...titles, units].join(' ').trim();
  return dishes && !isLengthHeading(text) ? `germinated ${text}`.trim() : text;
}

const COUNTED_SEEDS =
  /germinat|emerged|^up$|seeds up|number up|came up|sprouted|gekeimt|keimlinge|aufgegangen|germinad|brotad|plantulas|germe|levees|plantules/;
const COUNTED =
  /leaves|leaf|flowers|pods|count|number of|blatter|bluten|anzahl|hojas|flores|vainas|numero de|feuilles|fleurs|gousses|nombre de/;

function variableOf(source: string, column: string, cells: readonly string[]): MappedVariable {
  const text = column.replaceAll('_', ' ').trim();
  const plain = plainHeading(text);
  const ownUnit = /[([]\s*([^)\]]{1,12})\s*[)\]]/.exec(text)?.[1] ?? '';
  const amounts = cells.flatMap((cell) => amountOf(cell) ?? []);
  const isWhole = amounts.every(({ number }) => Number.isInteger(Number(number)));
  const units = new Set(amounts.map(({ unit }) => unit).filter((unit) => unit !== ''));
  const [cellUnit = ''] = units;
  const name = nameOf(source, text);
  const made = { source, counting: 'so_far' } as const;
  const isPercent = /%|percent|rate|share|prozent|porcentaje|pourcentage/i.test(text) || cellUnit === '%';
  if (COUNTED_SEEDS.test(plain) && !isPercent)
    return { ...made, name: 'seeds up', kind: 'count', unit: 'seeds' };
  const cellLength = ['mm', 'cm', 'in'].find((unit) => units.has(unit));
  if (isLengthHeading(text) || cellLength !== undefined || (source === '' && !isPercent && cellUnit === ''))
    return {
      ...made,
      name: source === '' ? 'height' : name,
      kind: 'length',
      unit: lengthUnitOf(text) ?? cellLength ?? 'cm',
    };
  if (COUNTED.test(plain) && !/area|size/.test(plain) && isWhole)
    return {
      ...made,
      name,
      kind: 'count',
      unit: name.replace(/^(number of|count of)\s+|\s+count$/g, '').slice(0, 20),
    };
  if (
    /score|rating/.test(plain) &&
    isWhole &&
    amounts.every(({ number }) => Number(number) >= 1 && Number(number) <= 20)
  )
    return { ...made, name, kind: 'score', unit: '' };
  return { ...made, name, kind: 'number', unit: ownUnit.slice(0, 20) || (lengthUnitOf(text) ?? cellUnit) };
}

/** The name of a variable: its heading without units; heights by one name, so that plants can be called taller. */
function nameOf(source: string, text: string): string {
  const name = text
    .replace(/[([].*$/, '')
    .replace(/,?\s+(in\s+)?(mm|cm|in|inch|inches|g|kg|mg|m|ft)\.?$/i, '')
    .trim()
    .toLowerCase()
    .slice(0, 60);
  if (/^(hohe|altura|hauteur|taille)$/.test(plainHeading(name))) return 'height';
  return name === '' ? (source === '' ? 'height' : UNNAMED) : name;
}
