import { Zip, ZipDeflate } from 'fflate';

const PART_CHARACTERS = 262_144;
const LEVEL = 3;
const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATIONS = 'http://schemas.openxmlformats.org/package/2006/relationships';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const TYPES = 'application/vnd.openxmlformats-officedocument.spreadsheetml';

/** The parts of a workbook with one sheet beside the sheet itself (ECMA-376, Office Open XML). */
const PARTS: Readonly<Record<string, string>> = {
  '[Content_Types].xml': `<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="${TYPES}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${TYPES}.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="${TYPES}.styles+xml"/></Types>`,
  '_rels/.rels': `<Relationships xmlns="${RELATIONS}"><Relationship Id="rId1" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  'xl/workbook.xml': `<workbook xmlns="${MAIN}" xmlns:r="${OFFICE}"><sheets><sheet name="readings" sheetId="1" r:id="rId1"/></sheets></workbook>`,
  'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${RELATIONS}"><Relationship Id="rId1" Type="${OFFICE}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${OFFICE}/styles" Target="styles.xml"/></Relationships>`,
  'xl/styles.xml': `<styleSheet xmlns="${MAIN}"><fonts count="2"><font><sz val="11"/><name val="Calibri"/></font><font><b/><sz val="11"/><name val="Calibri"/></font></fonts><fills count="1"><fill><patternFill patternType="none"/></fill></fills><borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="2"><xf xfId="0"/><xf xfId="0" fontId="1" applyFont="1"/></cellXfs></styleSheet>`,
};

const SHEET_START = `${XML}<worksheet xmlns="${MAIN}"><sheetViews><sheetView workbookViewId="0"><pane ySplit="1" topLeftCell="A2" activePane="bottomLeft" state="frozen"/></sheetView></sheetViews><sheetData>`;
const SHEET_END = '</sheetData></worksheet>';

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;' };

/** Characters that XML 1.0 does not allow. */
const NOT_XML = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|\p{Surrogate}/gu; // eslint-disable-line no-control-regex

/**
 * Rows as a spreadsheet (XLSX) with one sheet, its header bold and always in sight; numbers as numbers, so that they
 * can be added up. Rows are taken one after the other, as a class of a year has five million cells.
 */
export function writeSheet(rows: Iterable<readonly string[]>): Uint8Array {
  const parts: Uint8Array[] = [];
  let failure: Error | undefined;
  const zip = new Zip((error, part) => {
    failure ??= error ?? undefined;
    parts.push(part);
  });
  const encoder = new TextEncoder();
  for (const [name, xml] of Object.entries(PARTS)) {
    const file = new ZipDeflate(name, { level: LEVEL });
    zip.add(file);
    file.push(encoder.encode(XML + xml), true);
  }
  const sheet = new ZipDeflate('xl/worksheets/sheet1.xml', { level: LEVEL });
  zip.add(sheet);
  let text = SHEET_START;
  let style = ' s="1"';
  const columns: string[] = [];
  let number = 0;
  for (const row of rows) {
    number += 1;
    text += `<row r="${number}">`;
    for (const [at, cell] of row.entries()) {
      if (cell !== '') text += cellXml(cell, `${(columns[at] ??= columnLetters(at))}${number}`, style);
    }
    text += '</row>';
    style = '';
    if (text.length < PART_CHARACTERS) continue;
    sheet.push(encoder.encode(text));
    text = '';
  }
  sheet.push(encoder.encode(text + SHEET_END), true);
  zip.end();
  if (failure) throw failure;
  return joined(parts);
}

/** `A` for the column 0, `AA` for 26. */
function columnLetters(at: number): string {
  const last = String.fromCharCode(65 + (at % 26));
  return at < 26 ? last : columnLetters(Math.floor(at / 26) - 1) + last;
}

function cellXml(cell: string, place: string, style: string): string {
  if (isPlainNumber(cell)) return `<c r="${place}"${style}><v>${cell}</v></c>`;
  return `<c r="${place}" t="inlineStr"${style}><is><t xml:space="preserve">${escaped(cell)}</t></is></c>`;
}

/** Numbers that a spreadsheet gives back as they are; ids and codes with leading zeros stay text. */
function isPlainNumber(cell: string): boolean {
  return /^-?(0|[1-9]\d{0,14})(\.\d{1,10})?$/.test(cell);
}

function escaped(text: string): string {
  if (!/[^\w .,:;+-]/.test(text)) return text;
  return text.replaceAll(NOT_XML, '').replaceAll(/[&<>]/g, (sign) => ESCAPES[sign] ?? '');
}

/** Parts as one. */
export function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
