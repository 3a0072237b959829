import { amountOf, unitOf } from '../foreign-numbers.ts';
import { plainHeading, roleNamed } from '../heading-names.ts';
import { cellAt, columnTexts, isNumbers, rowsOf, type Sheet, sheetOf, widthOf } from './sheet.ts';

/** Units in which no length is planned here; what is measured in them is told in centimetres. */
const OTHER_LENGTHS = ['m', 'dm', 'ft'];

/**
 * Writes units into the cells that they belong to: those of a column of units, and those that head a column of metres
 * or feet, so that each value carries its own. Undefined where there are none.
 */
export function withCellUnits(sheet: Sheet): Sheet | undefined {
  const [header = []] = sheet.rows;
  const width = widthOf(sheet.rows);
  const places = Array.from({ length: width }, (_, at) => at);
  const units = places.find((at) => {
    const texts = columnTexts(sheet, at);
    const isHeaded =
      /^(units?|einheit|unidad|unite)$/.test(plainHeading(cellAt(header, at))) || cellAt(header, at) === '';
    return isHeaded && texts.length > 0 && texts.every((text) => unitOf(text) !== undefined);
  });
  const values = places.filter(
    (at) => isNumbers(sheet, at) && [undefined, 'value'].includes(roleNamed(cellAt(header, at))),
  );
  const valued = units === undefined ? undefined : (values.filter((at) => at < units).at(-1) ?? values[0]);
  const headed = places.flatMap((at) => {
    const unit = /[([\s_,]\s*(m|dm|ft|feet|meters?|metres?|meter)\s*[)\]]?\s*$/i
      .exec(cellAt(header, at))?.[1]
      ?.toLowerCase();
    const sign = unit?.startsWith('m') ? 'm' : unit?.startsWith('f') ? 'ft' : unit;
    return sign !== undefined && OTHER_LENGTHS.includes(sign) && isNumbers(sheet, at) ? [{ at, sign }] : [];
  });
  if (valued === undefined && headed.length === 0) return undefined;
  const withUnit = (text: string, unit: string): string =>
    amountOf(text)?.unit === '' && unit !== '' ? `${text} ${unit}` : text;
  const rows = rowsOf(sheet).map(({ cells, source }, index) => {
    const made = [...cells];
    for (const { at, sign } of headed) {
      made[at] =
        index === 0
          ? cellAt(cells, at).replace(/[([\s_,]\s*(m|dm|ft|feet|meters?|metres?)\s*[)\]]?\s*$/i, ' (cm)')
          : withUnit(cellAt(cells, at), sign);
    }
    if (index > 0 && valued !== undefined && units !== undefined) {
      made[valued] = withUnit(cellAt(cells, valued), unitOf(cellAt(cells, units)) ?? '');
    }
    return { cells: made.filter((_, at) => at !== units || valued === undefined), source };
  });
  return sheetOf(rows);
}
