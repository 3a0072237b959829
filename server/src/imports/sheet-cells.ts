/** What the text of a cell alone does not say, by sheet and place (`B2`). */
export interface SheetCells {
  /** Cells that are shown as per cent: 0.85 as 85 %. */
  readonly percent: ReadonlySet<string>;
  /** The first cell whose formula has no stored result; undefined where each has one. */
  readonly unsolved: string | undefined;
}

/** Cells, their formulas and their values, one tag after the other, so that a sheet is gone through once. */
const TAGS = /<(?:\w{1,8}:)?(c|f|v)\b([^>]{0,300})>([^<]?)/g;

const PERCENT_FORMATS = ['9', '10'];

/**
 * How the cells of a sheet are shown, by its markup (ECMA-376 part 1, 18.3.1.4 and 18.8).
 * @param styles the part `xl/styles.xml`
 */
export function sheetCells(sheet: Uint8Array, styles: Uint8Array | undefined): SheetCells {
  const percentStyles = percentStylesOf(styles === undefined ? '' : textOf(styles));
  const percent = new Set<string>();
  let unsolved: string | undefined;
  let waiting: string | undefined;
  let place = '';
  let type = '';
  for (const [, tag, attributes = '', first = ''] of textOf(sheet).matchAll(TAGS)) {
    if (tag === 'c') {
      unsolved ??= waiting;
      waiting = undefined;
      place = attributeOf(attributes, 'r');
      type = attributeOf(attributes, 't');
      if (percentStyles.has(attributeOf(attributes, 's')) && (type === '' || type === 'n'))
        percent.add(place);
    } else if (tag === 'f') waiting = place;
    else if (first !== '' || type === 'str') waiting = undefined;
  }
  unsolved ??= waiting;
  return { percent, unsolved };
}

/** The parts of the sheets of a spreadsheet in the order of its tabs. */
export function sheetParts(parts: ReadonlyMap<string, Uint8Array>): Uint8Array[] {
  const workbook = textOf(parts.get('xl/workbook.xml') ?? new Uint8Array());
  const relations = textOf(parts.get('xl/_rels/workbook.xml.rels') ?? new Uint8Array());
  const targets = new Map(
    [...relations.matchAll(/<Relationship\b([^>]{0,600})>/g)].map(([, attributes = '']) => [
      attributeOf(attributes, 'Id'),
      attributeOf(attributes, 'Target').replace(/^\/?(xl\/)?/, 'xl/'),
    ]),
  );
  return [...workbook.matchAll(/<(?:\w{1,8}:)?sheet\b([^>]{0,600})>/g)].flatMap(([, attributes = '']) => {
    const part = parts.get(targets.get(attributeOf(attributes, 'r:id')) ?? '');
    return part === undefined ? [] : [part];
  });
}

/** Styles of cells, by their number, that show per cent. */
function percentStylesOf(styles: string): ReadonlySet<string> {
  const own = [...styles.matchAll(/<(?:\w{1,8}:)?numFmt\b([^>]{0,400})>/g)].flatMap(([, attributes = '']) =>
    attributeOf(attributes, 'formatCode').includes('%') ? [attributeOf(attributes, 'numFmtId')] : [],
  );
  const formats = new Set([...PERCENT_FORMATS, ...own]);
  const [, cells = ''] =
    /<(?:\w{1,8}:)?cellXfs\b[^>]{0,200}>(.*?)<\/(?:\w{1,8}:)?cellXfs>/s.exec(styles) ?? [];
  return new Set(
    [...cells.matchAll(/<(?:\w{1,8}:)?xf\b([^>]{0,400})>/g)].flatMap(([, attributes = ''], at) =>
      formats.has(attributeOf(attributes, 'numFmtId')) ? [String(at)] : [],
    ),
  );
}

function attributeOf(attributes: string, name: string): string {
  return new RegExp(`(?:^|\\s)${name}="([^"]*)"`).exec(attributes)?.[1] ?? '';
}

function textOf(bytes: Uint8Array): string {
  return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('latin1');
}
