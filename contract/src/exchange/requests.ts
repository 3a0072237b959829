import {
  COLUMN_ROLES,
  type ColumnRole,
  DATE_ORDERS,
  type Counting,
  COUNTINGS,
  type DateOrder,
  MOST_TABLE_COLUMNS,
  TABLE_SHAPES,
  type TableMapping,
  type TableShape,
  VARIABLE_KINDS,
  type VariableKind,
} from '@bright-sprout/core/exchange';
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
import { IsCalendarDay, Nested, Trimmed } from '../shared/index.ts';
import { UploadPart } from '../uploads/index.ts';

/** A file to open as an experiment: a tidy CSV, or a bundle. */
export class OpenFileRequest extends UploadPart {
  @Trimmed()
  @Length(1, 200)
  fileName: string;
}

/** One sheet of a spreadsheet, its cells as text. */
export class SheetView {
  @IsString()
  name: string;

  @IsArray()
  @IsArray({ each: true })
  rows: string[][];
}

/** What the values of a table are. */
export class MappedVariablePart {
  @Trimmed()
  @Length(1, 60, { message: 'Say what was read in up to 60 characters.' })
  name: string;

  @IsIn(VARIABLE_KINDS)
  kind: VariableKind;

  @Trimmed()
  @MaxLength(20)
  unit: string;
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

  @Nested(() => MappedVariablePart)
  variable: MappedVariablePart;

  /** Whether counts are of what there is by then, or of what is new at each check. */
  @IsIn(COUNTINGS)
  counting: Counting;

  @IsIn(DATE_ORDERS)
  dateOrder: DateOrder;

  @IsOptional()
  @IsCalendarDay()
  sowedOn: CalendarDay | null;

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
