/** Columns of a tidy file, in order; the columns of the factors come after `control`. */
export const COLUMNS_BEFORE_FACTORS = [
  'question',
  'crop',
  'sow_on',
  'lesson_on',
  'container',
  'container_kind',
  'container_rows',
  'container_columns',
  'unit',
  'row',
  'column',
  'treatment',
  'treatment_order',
  'control',
] as const;

/** The columns of the unit after those of the factors. */
export const UNIT_COLUMNS = ['replicate', 'block', 'team', 'seeds_sown', 'sown'] as const;

/** The columns of a reading, the last ones of a row. */
export const READING_COLUMNS = [
  'observed',
  'day',
  'variable',
  'variable_order',
  'variable_kind',
  'planned_unit',
  'planned_precision',
  'state',
  'value',
  'unit_of_measure',
  'precision',
  'entered',
  'observer',
  'recorded_at',
  'reading',
  'supersedes',
  'set_aside',
] as const;

/** Marks a column that holds the levels of a factor: `factor:Water`. */
export const FACTOR_PREFIX = 'factor:';

const FORMULA_START = /^'*[=+\-@\t\r]/;

/** Text made safe for spreadsheets, which would run a cell that starts like a formula. */
export function guardText(text: string): string {
  return FORMULA_START.test(text) ? `'${text}` : text;
}

/** Takes back what {@link guardText} did. */
export function unguardText(text: string): string {
  return text.startsWith("'") && FORMULA_START.test(text) ? text.slice(1) : text;
}
