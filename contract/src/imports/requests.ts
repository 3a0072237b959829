import {
  COLUMN_ROLES,
  type ColumnRole,
  DATE_ORDERS,
  type Counting,
  COUNTINGS,
  type DateOrder,
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
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsOptional,
  IsString,
  Length,
  MaxLength,
} from 'class-validator';
import { IsCalendarDay, Nested, NestedList, Trimmed } from '../shared/index.ts';
import { UploadPart } from '../uploads/index.ts';

/** What an export has in it. */
export class ExportQuery {
  /** Names of children stand in it; numbers in their place when left out. */
  @IsOptional()
  @IsIn(['yes', 'no'])
  names?: 'yes' | 'no';
}

/** A file to open as an experiment: a tidy CSV, or a bundle. */
export class OpenFileRequest extends UploadPart {
  @Trimmed()
  @Length(1, 200)
  fileName: string;
}

/** One sheet of a spreadsheet, its cells as text. */
export interface SheetView {
  name: string;
  rows: string[][];
}

/** What the values of a table are. */
export class MappedVariablePart implements MappedVariable {
  @IsString()
  @MaxLength(200)
  source: string;

  @Trimmed()
  @Length(1, 60, { message: 'Say what was read in up to 60 characters.' })
  name: string;

  @IsIn(VARIABLE_KINDS)
  kind: VariableKind;

  @Trimmed()
  @MaxLength(20)
  unit: string;

  /** Whether counts are of what there is by then, or of what is new at each check. */
  @IsIn(COUNTINGS)
  counting: Counting;
}

/** What one word in place of a value says. */
export class MeantWordPart implements MeantWord {
  @IsString()
  @MaxLength(60)
  word: string;

  @IsIn(WORD_MEANINGS)
  meaning: WordMeaning;
}

/** What heights of 0 say, before the first that is more and after it. */
export class MeantZerosPart implements MeantZeros {
  @IsIn(ZERO_MEANINGS)
  before: ZeroMeaning;

  @IsIn(ZERO_MEANINGS)
  after: ZeroMeaning;
}

/** How to read a foreign table. */
export class TableMappingPart implements TableMapping {
  @IsIn(TABLE_SHAPES)
  shape: TableShape;

  @IsArray()
  @ArrayMaxSize(MOST_TABLE_COLUMNS)
  @IsIn(COLUMN_ROLES, { each: true })
  roles: ColumnRole[];

  @IsBoolean()
  hasTreatmentRow: boolean;

  @ArrayMaxSize(MOST_VARIABLES)
  @NestedList(() => MappedVariablePart)
  variables: MappedVariablePart[];

  @ArrayMaxSize(MOST_MEANT_WORDS)
  @NestedList(() => MeantWordPart)
  words: MeantWordPart[];

  @Nested(() => MeantZerosPart)
  zeros: MeantZerosPart;

  @IsIn(DATE_ORDERS)
  dateOrder: DateOrder;

  @IsOptional()
  @IsCalendarDay()
  sownOn: CalendarDay | null;

  @IsCalendarDay()
  observedOn: CalendarDay;

  @IsString()
  @MaxLength(120)
  control: string;
}

/** A foreign table as CSV, its header first, with its mapping. */
export class OpenTableRequest extends OpenFileRequest {
  @Nested(() => TableMappingPart)
  mapping: TableMappingPart;
}
