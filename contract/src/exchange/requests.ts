import {
  COLUMN_ROLES,
  type ColumnRole,
  DATE_ORDERS,
  type DateOrder,
  MOST_TIDY_ROWS,
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
  IsBase64,
  IsBoolean,
  IsIn,
  IsOptional,
  IsString,
  Length,
  MaxLength,
} from 'class-validator';
import { IsCalendarDay, Nested, Trimmed } from '../shared/index.ts';

/** The most characters a file may hold. */
export const MOST_FILE_CHARACTERS = 20_000_000;
/** The most columns of a foreign table. */
export const MOST_TABLE_COLUMNS = 400;

const TOO_LARGE = 'Files of up to 20 million characters can be opened.';

/** A tidy CSV file to open as an experiment. */
export class OpenFileRequest {
  @Trimmed()
  @Length(1, 200)
  fileName: string;

  @IsString()
  @MaxLength(MOST_FILE_CHARACTERS, { message: TOO_LARGE })
  text: string;
}

/** A spreadsheet to look into. */
export class ReadSheetRequest {
  /** The file, base64. */
  @IsBase64()
  @MaxLength(MOST_FILE_CHARACTERS, { message: TOO_LARGE })
  file: string;
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

/** A foreign table with its mapping. */
export class OpenTableRequest {
  @Trimmed()
  @Length(1, 200)
  fileName: string;

  /** Cells with the header first. */
  @IsArray()
  @ArrayMaxSize(MOST_TIDY_ROWS + 1, { message: `Tables of up to ${MOST_TIDY_ROWS} rows can be opened.` })
  @IsArray({ each: true })
  rows: string[][];

  @Nested(() => TableMappingPart)
  mapping: TableMappingPart;
}

/** A bundle to open. */
export class OpenBundleRequest {
  @Trimmed()
  @Length(1, 200)
  fileName: string;

  /** The zip, base64. */
  @IsBase64()
  @MaxLength(MOST_FILE_CHARACTERS, { message: 'Bundles of up to 15 MB can be opened here.' })
  file: string;
}
