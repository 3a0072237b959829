import type { TidyRowParts } from '@bright-sprout/core/imports';
import { zipped } from './zip-stream.ts';

const PART_CHARACTERS = 262_144;
const LEVEL = 1;
const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATIONS = 'http://schemas.openxmlformats.org/package/2006/relationships';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const TYPES = 'application/vnd.openxmlformats-officedocument.spreadsheetml';

/** The parts of a workbook with one sheet beside the sheet itself (ECMA-376, Office Open XML). */
const PARTS: Readonly<Record<string, string>> = {
  '[Content_Types].xml': `<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="${TYPES}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${TYPES}.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="${TYPES}.styles+xml"/><Override PartName="/xl/sharedStrings.xml" ContentType="${TYPES}.sharedStrings+xml"/></Types>`,
  '_rels/.rels': `<Relationships xmlns="${RELATIONS}"><Relationship Id="rId1" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  'xl/workbook.xml': `<workbook xmlns="${MAIN}" xmlns:r="${OFFICE}"><sheets><sheet name="readings" sheetId="1" r:id="rId1"/></sheets></workbook>`,
  'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${RELATIONS}"><Relationship Id="rId1" Type="${OFFICE}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${OFFICE}/styles" Target="styles.xml"/><Relationship Id="rId3" Type="${OFFICE}/sharedStrings" Target="sharedStrings.xml"/></Relationships>`,
  'xl/styles.xml': `<styleSheet xmlns="${MAIN}"><fonts count="2"><font><sz val="11"/><name val="Calibri"/></font><font><b/><sz val="11"/><name val="Calibri"/></font></fonts><fills count="1"><fill><patternFill patternType="none"/></fill></fills><borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="2"><xf xfId="0"/><xf xfId="0" fontId="1" applyFont="1"/></cellXfs></styleSheet>`,
};

const SHEET_START = `${XML}<worksheet xmlns="${MAIN}"><sheetViews><sheetView workbookViewId="0"><pane ySplit="1" topLeftCell="A2" activePane="bottomLeft" state="frozen"/></sheetView></sheetViews><sheetData>`;
const SHEET_END = '</sheetData></worksheet>';

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;' };

/** Characters that XML 1.0 does not allow. */
const NOT_XML = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|\p{Surrogate}/gu; // oxlint-disable-line no-control-regex

/**
 * Rows as a spreadsheet (XLSX) with one sheet, its header bold and always in sight; numbers as numbers, so that they
 * can be added up. Rows are taken one after the other, as a class of a year has five million cells; each text is
 * written once, and the cells of a unit are made once for all its rows.
 */
export function writeSheet(rows: Iterable<TidyRowParts>): Promise<Uint8Array> {
  const strings = new Map<string, number>();
  return zipped(
    [
      ...Object.entries(PARTS).map(([name, xml]): [string, string[]] => [name, [XML + xml]]),
      ['xl/worksheets/sheet1.xml', sheetXml(rows, strings)],
      // Last, as the cells before find what stands in it.
      ['xl/sharedStrings.xml', stringsXml(strings)],
    ],
    LEVEL,
  );
}

function* sheetXml(rows: Iterable<TidyRowParts>, strings: Map<string, number>): Generator<string> {
  const columns: string[] = [];
  let number = 0;
  let text = SHEET_START;
  let style = ' s="1"';
  let unit: readonly string[] | undefined;
  let unitCells: readonly string[] = [];
  const write = (cell: string, at: number): void => {
    if (cell !== '') text += `<c r="${(columns[at] ??= columnLetters(at))}${number}"${cell}`;
  };
  for (const row of rows) {
    number += 1;
    text += `<row r="${number}">`;
    if (row.unit !== unit) {
      unit = row.unit;
      unitCells = row.unit.map((cell) => cellXml(cell, style, strings));
    }
    for (let at = 0; at < unitCells.length; at += 1) write(unitCells[at] ?? '', at);
    for (let at = 0; at < row.reading.length; at += 1) {
      write(cellXml(row.reading[at] ?? '', style, strings), unitCells.length + at);
    }
    text += '</row>';
    style = '';
    if (text.length < PART_CHARACTERS) continue;
    yield text;
    text = '';
  }
  yield text + SHEET_END;
}

function* stringsXml(strings: ReadonlyMap<string, number>): Generator<string> {
  let text = `${XML}<sst xmlns="${MAIN}" uniqueCount="${strings.size}">`;
  for (const one of strings.keys()) {
    text += `<si><t xml:space="preserve">${escaped(one)}</t></si>`;
    if (text.length < PART_CHARACTERS) continue;
    yield text;
    text = '';
  }
  yield `${text}</sst>`;
}

/** `A` for the column 0, `AA` for 26. */
function columnLetters(at: number): string {
  const last = String.fromCharCode(65 + (at % 26));
  return at < 26 ? last : columnLetters(Math.floor(at / 26) - 1) + last;
}

/** A cell from behind its place on; empty for an empty one. */
function cellXml(cell: string, style: string, strings: Map<string, number>): string {
  if (cell === '') return '';
  if (isPlainNumber(cell)) return `${style}><v>${cell}</v></c>`;
  let index = strings.get(cell);
  if (index === undefined) {
    index = strings.size;
    strings.set(cell, index);
  }
  return ` t="s"${style}><v>${index}</v></c>`;
}

/** Numbers that a spreadsheet gives back as they are; ids and codes with leading zeros stay text. */
function isPlainNumber(cell: string): boolean {
  return /^-?(0|[1-9]\d{0,14})(\.\d{1,10})?$/.test(cell);
}

function escaped(text: string): string {
  if (!/[^\w .,:;+-]/.test(text)) return text;
  return text.replaceAll(NOT_XML, '').replaceAll(/[&<>]/g, (sign) => ESCAPES[sign] ?? '');
}
