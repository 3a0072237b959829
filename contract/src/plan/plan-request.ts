import 'reflect-metadata';
import { CONTAINER_KINDS, type ContainerKind, MOST_LEVELS } from '@bright-sprout/core/design';
import type { LengthUnit } from '@bright-sprout/core/shared';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsCalendarDay, Trimmed } from '../shared/index.ts';
import { MeasuringScale } from './measuring-scale.ts';

/** One level of the factor. */
export class LevelRequest {
  @Trimmed()
  @Length(1, 60, { message: 'Name this level in up to 60 characters.' })
  name: string;

  @IsBoolean()
  isControl: boolean;
}

/** The plan of a draft, whole; what it does not change stays as it was. */
export class PlanRequest {
  /** Version that the change was made on; another version on the server means that it changed elsewhere. */
  @IsInt()
  @Min(0)
  version: number;

  @Trimmed()
  @Length(1, 300, { message: 'Write the question in up to 300 characters.' })
  question: string;

  @Trimmed()
  @MaxLength(1000, { message: 'Keep the prediction under 1000 characters.' })
  hypothesis: string;

  @Trimmed()
  @Length(1, 40, { message: 'Choose a crop.' })
  cropId: string;

  @Trimmed()
  @Length(1, 60, { message: 'Name what you change in up to 60 characters.' })
  factorName: string;

  @IsArray()
  @ArrayMinSize(2, { message: 'Compare at least two levels.' })
  @ArrayMaxSize(MOST_LEVELS, { message: 'Compare at most four levels.' })
  @ValidateNested({ each: true })
  @Type(() => LevelRequest)
  levels: LevelRequest[];

  @Min(1, { message: 'Each level needs at least one pot.' })
  @Max(50, { message: 'At most 50 pots a level.' })
  @IsInt({ message: 'Give a whole number of pots.' })
  replicates: number;

  @IsIn(CONTAINER_KINDS, { message: 'Choose a container.' })
  containerKind: ContainerKind;

  @ValidateNested()
  @Type(() => MeasuringScale)
  measure: MeasuringScale;

  @Min(1, { message: 'Sow at least one seed in a pot.' })
  @Max(50, { message: 'At most 50 seeds in a pot.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seedsPerUnit: number;

  @IsCalendarDay({ message: 'Give a sowing date that exists.' })
  sowOn: string;

  @IsCalendarDay({ message: 'Give a lesson date that exists.' })
  lessonOn: string;

  /** Seed of the shuffle: the same seed lays the same plan out in the same way. */
  @IsInt()
  @Min(0)
  @Max(4_294_967_295)
  layoutSeed: number;
}

/** Starts a draft. The rest of its plan is set to sensible defaults. */
export class StartRequest {
  @Trimmed()
  @Length(1, 300, { message: 'Write the question in up to 300 characters.' })
  question: string;

  @Trimmed()
  @Length(1, 40, { message: 'Choose a crop.' })
  cropId: string;
}

/** What may still change once seeds are in the soil. */
export class DescriptionRequest {
  @IsInt()
  @Min(0)
  version: number;

  @Trimmed()
  @Length(1, 300, { message: 'Write the question in up to 300 characters.' })
  question: string;

  @Trimmed()
  @MaxLength(1000, { message: 'Keep the prediction under 1000 characters.' })
  hypothesis: string;

  @IsCalendarDay({ message: 'Give a lesson date that exists.' })
  lessonOn: string;
}

/** Which treatment stands in a unit. */
export class AssignmentRequest {
  @IsUUID()
  unitId: string;

  @IsUUID()
  treatmentId: string;
}

/** A layout arranged by hand: every unit once, every treatment as often as before. */
export class LayoutRequest {
  @IsInt()
  @Min(0)
  version: number;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => AssignmentRequest)
  assignments: AssignmentRequest[];
}

/** Closes an experiment, or opens it again. */
export class FinishRequest {
  @IsBoolean()
  finished: boolean;
}

/** The ways of reading a ruler that a plan can agree on. */
export const MEASURING_SCALES: readonly { unit: LengthUnit; step: number; name: string }[] = [
  { unit: 'cm', step: 1, name: 'whole centimetres' },
  { unit: 'cm', step: 0.5, name: 'half centimetres' },
  { unit: 'cm', step: 0.1, name: 'centimetres and millimetres' },
  { unit: 'mm', step: 1, name: 'millimetres' },
  { unit: 'in', step: 0.25, name: 'quarter inches' },
];
