import { randomBytes } from 'node:crypto';
import { type Zippable, strToU8, zipSync } from 'fflate';

/** A file that nobody sends in good faith, and where it is sent. */
export interface HostileFile {
  readonly name: string;
  readonly kind: 'tidy' | 'table' | 'sheet' | 'bundle' | 'picture';
  /** Made when it is sent: some take many seconds to pack. */
  readonly bytes: () => Uint8Array;
}

const SHEET = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

/** A workbook whose only sheet holds this XML. */
function workbook(sheet: string, more: Zippable = {}): Uint8Array {
  const types = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
  return zipSync({
    '[Content_Types].xml': strToU8(
      `<Types xmlns="${PACKAGE}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" ContentType="${types}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${types}.worksheet+xml"/></Types>`,
    ),
    '_rels/.rels': strToU8(
      `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="a" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    ),
    'xl/workbook.xml': strToU8(
      `<workbook xmlns="${SHEET}" xmlns:r="${OFFICE}"><sheets><sheet name="a" sheetId="1" r:id="b"/></sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="b" Type="${OFFICE}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
    ),
    'xl/worksheets/sheet1.xml': strToU8(`<worksheet xmlns="${SHEET}">${sheet}</worksheet>`),
    ...more,
  });
}

const cell = (place: string): string => `<c r="${place}"><v>1</v></c>`;
const row = (number: number, cells: string): string => `<row r="${number}">${cells}</row>`;

function bundle(readings: Uint8Array, more: Zippable = {}): Uint8Array {
  return zipSync(
    { 'datapackage.json': strToU8('{"title":"x"}'), 'readings.csv': readings, ...more },
    { level: 1 },
  );
}

const HEAD = 'unit,treatment,observed,variable,state,value,unit_of_measure,precision,reading,supersedes';

function chained(count: number): string {
  const rows = Array.from(
    { length: count },
    (_, at) => `1,x,2026-01-05,height,up,3,cm,0.1,r${at},${at === 0 ? '' : `r${at - 1}`}`,
  );
  return [HEAD, ...rows].join('\n');
}

function svg(inner: string): Uint8Array {
  return strToU8(`<svg xmlns="http://www.w3.org/2000/svg" width="4000" height="4000">${inner}</svg>`);
}

/** A PNG that says it is `side` pixels wide and high. */
function hugePng(side: number): Uint8Array {
  const bytes = Buffer.alloc(64);
  Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(bytes);
  bytes.writeUInt32BE(side, 16);
  bytes.writeUInt32BE(side, 20);
  bytes.set([8, 6, 0, 0, 0], 24);
  return bytes;
}

/** Every hostile file, made anew. */
export function hostileFiles(): HostileFile[] {
  const text = (name: string, kind: HostileFile['kind'], content: string): HostileFile => ({
    name,
    kind,
    bytes: () => strToU8(content),
  });
  const sheet = (name: string, xml: string, more: Zippable = {}): HostileFile => ({
    name,
    kind: 'sheet',
    bytes: () => workbook(xml, more),
  });
  const data = (inner: string): string => `<sheetData>${inner}</sheetData>`;
  return [
    sheet('a cell in row 1 048 576', data(row(1, cell('A1')) + row(1_048_576, cell('XFD1048576')))),
    sheet(
      'a row with the number of a hundred million',
      data(row(1, cell('A1')) + row(100_000_000, cell('A100000000'))),
    ),
    sheet(
      'a merge of all cells',
      `${data(row(1, cell('A1')))}<mergeCells count="1"><mergeCell ref="A1:XFD1048576"/></mergeCells>`,
    ),
    sheet(
      'a size that is said to be all cells',
      `<dimension ref="A1:XFD1048576"/>${data(row(1, cell('A1')))}`,
    ),
    sheet(
      '60 000 columns',
      data(row(1, Array.from({ length: 60_000 }, (_, at) => cell(`${letters(at)}1`)).join(''))),
    ),
    sheet(
      '300 000 rows',
      data(Array.from({ length: 300_000 }, (_, at) => row(at + 1, cell(`A${at + 1}`))).join('')),
    ),
    sheet('cells without a place, two million', data(`<row>${'<c><v>1</v></c>'.repeat(2_000_000)}</row>`)),
    sheet(
      'a text of five million characters',
      data(row(1, `<c r="A1" t="inlineStr"><is><t>${'x'.repeat(5_000_000)}</t></is></c>`)),
    ),
    sheet('tags within tags', data(`<row r="1">${'<c>'.repeat(200_000)}`)),
    sheet('a part that unpacks to 400 MB', data(row(1, cell('A1'))), {
      'xl/sharedStrings.xml': new Uint8Array(400_000_000),
    }),
    sheet(
      'entities that grow',
      `<!DOCTYPE a [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">]>${data(row(1, '<c r="A1" t="inlineStr"><is><t>&b;</t></is></c>'))}`,
    ),
    {
      name: 'a zip with 60 000 entries',
      kind: 'sheet',
      bytes: () =>
        zipSync(
          Object.fromEntries(Array.from({ length: 60_000 }, (_, at) => [`xl/${at}.xml`, new Uint8Array()])),
          { level: 0 },
        ),
    },
    {
      name: 'half a spreadsheet',
      kind: 'sheet',
      bytes: () => workbook(data(row(1, cell('A1')))).slice(0, 300),
    },
    { name: 'noise as a spreadsheet', kind: 'sheet', bytes: () => randomBytes(2_000_000) },
    {
      name: 'a bundle of line ends',
      kind: 'bundle',
      bytes: () => bundle(new Uint8Array(100_000_000).fill(10)),
    },
    { name: 'a bundle of commas', kind: 'bundle', bytes: () => bundle(new Uint8Array(100_000_000).fill(44)) },
    {
      name: 'a bundle of quotation marks',
      kind: 'bundle',
      bytes: () => bundle(new Uint8Array(60_000_000).fill(34)),
    },
    {
      name: 'a bundle that unpacks to 900 MB',
      kind: 'bundle',
      bytes: () => bundle(strToU8(`${HEAD}\n`), { 'photos/a.jpg': new Uint8Array(900_000_000) }),
    },
    {
      name: 'a bundle with a plan nested 100 000 deep',
      kind: 'bundle',
      bytes: () =>
        bundle(strToU8(`${HEAD}\n1,x,2026-01-05,height,up,3,cm,0.1,,`), {
          'plan.json': strToU8('['.repeat(100_000)),
        }),
    },
    {
      name: 'a bundle with a care list of 60 000 words',
      kind: 'bundle',
      bytes: () =>
        bundle(strToU8(`${HEAD}\n1,x,2026-01-05,height,up,3,cm,0.1,,`), {
          'care.csv': strToU8(`happened_on,kind,units\n2026-01-05,watered,${'1 '.repeat(60_000)}`),
        }),
    },
    text('a cell of 60 kB', 'tidy', `${HEAD}\n1,${'-'.repeat(60_000)},2026-01-05,height,up,3,cm,0.1,,`),
    text(
      '60 000 columns of a table',
      'tidy',
      `${Array.from({ length: 60_000 }, (_, at) => `c${at}`).join(',')}\n${'1,'.repeat(60_000)}`,
    ),
    text(
      '20 000 variables',
      'tidy',
      [HEAD, ...Array.from({ length: 20_000 }, (_, at) => `1,x,2026-01-05,v${at},up,3,cm,0.1,,`)].join('\n'),
    ),
    text('6 000 chained corrections', 'tidy', chained(6000)),
    text('45 000 chained corrections', 'tidy', chained(45_000)),
    text(
      '50 000 rows with a fault in each cell',
      'tidy',
      [HEAD, ...Array.from({ length: 50_000 }, () => 'x,,2026-02-31,,tall,no,ell,-1,,')].join('\n'),
    ),
    text('25 million line ends', 'tidy', '\n'.repeat(25_000_000)),
    text('an open quotation mark and 20 MB', 'tidy', `${HEAD}\n1,"${'x,'.repeat(10_000_000)}`),
    text('a list of 60 000 words in a cell', 'table', `pot,height\n${'word '.repeat(60_000)},3`),
    text(
      '400 columns of 5 000 pots',
      'table',
      [
        Array.from({ length: 400 }, (_, at) => `P ${at}`).join(','),
        ...Array.from({ length: 5000 }, () => '1,'.repeat(399) + '1'),
      ].join('\n'),
    ),
    text(
      'pots named by 1 900 hyphens',
      'table',
      `pot,height\n${Array.from({ length: 5000 }, (_, at) => `${'-'.repeat(1900)}${at}x,3`).join('\n')}`,
    ),
    { name: 'an SVG of nested patterns', kind: 'picture', bytes: () => svg(patterns(9)) },
    {
      name: 'an SVG with a blur',
      kind: 'picture',
      bytes: () =>
        svg(
          '<filter id="f"><feGaussianBlur stdDeviation="900"/></filter><rect width="4000" height="4000" filter="url(#f)"/>',
        ),
    },
    { name: 'a PNG of a hundred thousand pixels a side', kind: 'picture', bytes: () => hugePng(100_000) },
    {
      name: 'noise as a JPEG',
      kind: 'picture',
      bytes: () => Buffer.concat([Buffer.from('ffd8ffe0', 'hex'), randomBytes(500_000)]),
    },
    {
      name: 'noise as a WebP',
      kind: 'picture',
      bytes: () => Buffer.concat([Buffer.from('RIFFxxxxWEBPVP8L'), randomBytes(500_000)]),
    },
    { name: 'a PDF', kind: 'picture', bytes: () => strToU8('%PDF-1.7\n1 0 obj') },
  ];
}

function patterns(depth: number): string {
  const one = (at: number): string =>
    `<pattern id="p${at}" width="4" height="4" patternUnits="userSpaceOnUse"><rect width="4" height="4" fill="url(#p${at + 1})"/></pattern>`;
  return `<defs>${Array.from({ length: depth }, (_, at) => one(at)).join('')}</defs><rect width="4000" height="4000" fill="url(#p0)"/>`;
}

function letters(at: number): string {
  const last = String.fromCharCode(65 + (at % 26));
  return at < 26 ? last : letters(Math.floor(at / 26) - 1) + last;
}
