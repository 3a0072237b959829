import { plainHeading } from '../heading-names.ts';
import { cellAt, columnTexts, filledPlaces, rowsOf, type Sheet, sheetOf, widthOf } from './sheet.ts';

const YES = /^(yes|y|true|ja|j|si|sí|oui|o|x|✓|✔|1)$/i;
const NO = /^(no|n|false|nein|non|-|0)$/i;

/** What yes and no say below a heading, as words of a column of states; the empty word says nothing. */
const QUESTIONS: readonly (readonly [RegExp, { readonly yes: string; readonly no: string }])[] = [
  [/^(is )?(dead|died|tot|abgestorben|muert[oa]|morte?|has died)( yet)?$/, { yes: 'dead', no: '' }],
  [/^(is )?(alive|living|lebt|lebendig|viv[oa]|vivante?|still alive|survived)$/, { yes: '', no: 'dead' }],
  [
    /^(is )?(up|emerged|germinated|sprouted|came up|gekeimt|aufgegangen|germinad[oa]|ha germinado|germe|leve)( yet)?$/,
    { yes: 'up', no: 'not up' },
  ],
];

/** A table whose columns of yes and no are one of states, with their headings. */
export interface YesNo {
  readonly sheet: Sheet;
  readonly columns: readonly string[];
}

/** Makes columns such as "Dead?" with yes and no one column of states. Undefined where there are none. */
export function withStates(sheet: Sheet): YesNo | undefined {
  const [header = []] = sheet.rows;
  const hasState = header.some((name) => /^(state|status|zustand|estado|etat)$/.test(plainHeading(name)));
  const asked = Array.from({ length: widthOf(sheet.rows) }, (_, at) => at).flatMap((at) => {
    const texts = columnTexts(sheet, at).map((text) => text.trim());
    const isYesNo = texts.length > 0 && texts.every((text) => YES.test(text) || NO.test(text));
    const isOnlyDigits = texts.every((text) => /^[01]$/.test(text)) && !cellAt(header, at).includes('?');
    const means = QUESTIONS.find(([pattern]) => pattern.test(plainHeading(cellAt(header, at))))?.[1];
    return isYesNo && !isOnlyDigits && means ? [{ at, means }] : [];
  });
  if (asked.length === 0 || hasState) return undefined;
  const said = (cells: readonly string[]): string => {
    const words = asked.map(({ at, means }) => {
      const text = cellAt(cells, at);
      return YES.test(text)
        ? means.yes
        : text === '' && means.no !== 'not up'
          ? ''
          : NO.test(text)
            ? means.no
            : '';
    });
    return words.find((word) => word === 'dead') ?? words.find((word) => word !== '') ?? '';
  };
  const places = new Set(asked.map(({ at }) => at));
  const rows = rowsOf(sheet).map(({ cells, source }, index) => ({
    cells: [
      ...cells.filter((_, at) => !places.has(at)),
      index === 0 ? 'state' : filledPlaces(cells).length === 0 ? '' : said(cells),
    ],
    source,
  }));
  return { sheet: sheetOf(rows), columns: asked.map(({ at }) => cellAt(header, at)) };
}
