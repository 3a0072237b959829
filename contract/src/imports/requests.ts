import {
  COLUMN_ROLES,
  type ColumnRole,
  DATE_ORDERS,
  type Counting,
  COUNTINGS,
  type DateOrder,
  DECIMAL_MARKS,
  type DecimalMark,
  type MappedVariable,
  type MeantWord,
  type MeantZeros,
  MOST_MEANT_WORDS,
  MOST_TABLE_COLUMNS,
  MOST_VARIABLES,
  TABLE_SHAPES,
  type TableMapping,
  type TableShape,
  VARIABLE_KINDS,
  type VariableKind,
  WORD_MEANINGS,
  type WordMeaning,
  ZERO_MEANINGS,
  type ZeroMeaning,
} from '@bright-sprout/core/imports';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { IsCalendarDay, Nested, Note, OneOf, Parts, ShortText } from '../shared/index.ts';
import { UploadPart } from '../uploads/index.ts';

/** What an export has in it. */
export class ExportQuery {
  /** Names of children stand in it; numbers in their place when left out. */
  @IsOptional() @OneOf(['yes', 'no']) names?: 'yes' | 'no';
}

/** A file to open as an experiment: a tidy CSV, or a bundle. */
export class OpenFileRequest extends UploadPart {
  @ShortText(200) fileName: string;
}

/** One sheet of a spreadsheet, its cells as text. */
export interface SheetView {
  name: string;
  rows: string[][];
}

/** What the values of a table are. */
export class MappedVariablePart implements MappedVariable {
  @IsString() @MaxLength(200) source: string;
  @ShortText(60, 'Say what was read') name: string;
  @OneOf(VARIABLE_KINDS) kind: VariableKind;
  @Note(20) unit: string;

  /** Whether counts are of what there is by then, or of what is new at each check. */
  @OneOf(COUNTINGS) counting: Counting;
}

/** What one word in place of a value says. */
export class MeantWordPart implements MeantWord {
  @IsString() @MaxLength(60) word: string;
  @OneOf(WORD_MEANINGS) meaning: WordMeaning;
}

/** What heights of 0 say, before the first that is more and after it. */
export class MeantZerosPart implements MeantZeros {
  @OneOf(ZERO_MEANINGS) before: ZeroMeaning;
  @OneOf(ZERO_MEANINGS) after: ZeroMeaning;
}

/** How to read a foreign table. */
export class TableMappingPart implements TableMapping {
  @OneOf(TABLE_SHAPES) shape: TableShape;
  @IsArray() @ArrayMaxSize(MOST_TABLE_COLUMNS) @IsIn(COLUMN_ROLES, { each: true }) roles: ColumnRole[];
  @IsBoolean() hasTreatmentRow: boolean;
  @Parts(() => MappedVariablePart, 0, MOST_VARIABLES, 'entries') variables: MappedVariablePart[];
  @Parts(() => MeantWordPart, 0, MOST_MEANT_WORDS, 'entries') words: MeantWordPart[];
  @Nested(() => MeantZerosPart) zeros: MeantZerosPart;
  @OneOf(DATE_ORDERS) dateOrder: DateOrder;
  @OneOf(DECIMAL_MARKS) decimalMark: DecimalMark;
  @IsOptional() @IsCalendarDay() sownOn: CalendarDay | null;
  @IsCalendarDay() observedOn: CalendarDay;
  @IsString() @MaxLength(120) control: string;
}

/** A foreign table as CSV, its header first, with its mapping. */
export class OpenTableRequest extends OpenFileRequest {
  @Nested(() => TableMappingPart) mapping: TableMappingPart;
}
