import 'reflect-metadata';
import {
  ALSO_READ,
  type AlsoRead,
  INVESTIGATION_KINDS,
  type InvestigationKind,
  LAYOUT_METHODS,
  type Plan,
  PLANT_RULES,
} from '@bright-sprout/core/design';
import type { CalendarDay, LengthUnit } from '@bright-sprout/core/shared';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { IsCalendarDay, IsId, Nested, NestedList, Trimmed } from '../shared/index.ts';
import {
  CalendarPart,
  ConditionsPart,
  ContainerPart,
  FactorPart,
  GoalPart,
  MeasurePart,
  PredictionPart,
  StepPart,
} from './plan-parts.ts';

/** A whole plan: everything that is decided before sowing. */
export class PlanDocument implements Plan {
  @Trimmed()
  @Length(1, 300, { message: 'Write the question in up to 300 characters.' })
  question: string;

  @Trimmed()
  @MaxLength(1000, { message: 'Keep the prediction under 1000 characters.' })
  hypothesis: string;

  @IsIn(INVESTIGATION_KINDS, { message: 'Choose a kind of investigation.' })
  kind: InvestigationKind;

  @Trimmed()
  @Length(1, 40, { message: 'Choose a crop.' })
  cropId: string;

  @IsOptional()
  @IsId({ message: 'Choose a packet.' })
  lotId: string | null;

  @IsOptional()
  @IsCalendarDay({ message: 'Give a date that exists.' })
  sortOn?: CalendarDay | null;

  @ArrayMaxSize(3, { message: 'Change three things at most.' })
  @NestedList(() => FactorPart)
  factors: FactorPart[];

  /** Combinations of levels that are not grown, as level numbers from 0 joined by a full stop. */
  @IsArray()
  @ArrayMaxSize(512)
  @Length(1, 12, { each: true })
  leftOut: string[];

  @Min(1, { message: 'Each treatment needs at least one pot.' })
  @Max(200, { message: 'At most 200 pots a treatment.' })
  @IsInt({ message: 'Give a whole number of pots.' })
  replicates: number;

  @Min(1, { message: 'Sow at least one seed in a pot.' })
  @Max(1000, { message: 'At most 1000 seeds in a pot.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seedsPerUnit: number;

  @Min(1, { message: 'At least one plant in a pot.' })
  @Max(100, { message: 'At most 100 plants in a pot.' })
  @IsInt({ message: 'Give a whole number of plants.' })
  plantsPerUnit: number;

  @Min(0.5, { message: 'From 50 %.' })
  @Max(0.999, { message: 'Up to 99.9 %: nothing is certain.' })
  @IsNumber({}, { message: 'Give a chance.' })
  chance: number;

  @Min(1, { message: 'At least one seed in a packet.' })
  @Max(100_000, { message: 'At most 100 000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seedsPerPacket: number;

  @ArrayMinSize(1, { message: 'Choose a container.' })
  @ArrayMaxSize(40, { message: 'At most 40 containers.' })
  @NestedList(() => ContainerPart)
  containers: ContainerPart[];

  @IsIn(LAYOUT_METHODS)
  layoutMethod: Plan['layoutMethod'];

  /** Seed of the shuffle: the same seed lays the same plan out in the same way. */
  @IsInt()
  @Min(0)
  @Max(4_294_967_295)
  layoutSeed: number;

  @Nested(() => MeasurePart)
  measure: MeasurePart;

  @IsArray()
  @ArrayUnique()
  @IsIn(ALSO_READ, { each: true, message: 'Choose from the list.' })
  alsoRead: AlsoRead[] = [];

  @IsIn(PLANT_RULES)
  plantRule: Plan['plantRule'];

  @IsCalendarDay({ message: 'Give a sowing date that exists.' })
  sowOn: CalendarDay;

  @IsCalendarDay({ message: 'Give a lesson date that exists.' })
  lessonOn: CalendarDay;

  @Nested(() => GoalPart)
  goal: GoalPart;

  @IsOptional()
  @Min(1, { message: 'A mark is above the soil.' })
  @Max(5000, { message: 'At most 5 m.' })
  @IsNumber({}, { message: 'Give a height in mm.' })
  referenceMm: number | null;

  @Nested(() => ConditionsPart)
  conditions: ConditionsPart;

  @IsArray()
  @ArrayMaxSize(20, { message: 'At most 20 things.' })
  @Trimmed()
  @Length(1, 120, { each: true, message: 'Write each in up to 120 characters.' })
  constants: string[];

  @ArrayMaxSize(60, { message: 'At most 60 steps.' })
  @NestedList(() => StepPart)
  steps: StepPart[];

  @Nested(() => CalendarPart)
  calendar: CalendarPart;

  @Nested(() => PredictionPart)
  prediction: PredictionPart;
}

/** A plan to save, whole. Once seeds are in the soil only what the readings do not depend on may differ. */
export class PlanRequest extends PlanDocument {
  /** Version that the change was made on; another version on the server means that it changed elsewhere. */
  @IsInt()
  @Min(0)
  version: number;
}

/** Starts a draft; the rest of its plan is set to defaults of its kind, or taken from a template. */
export class StartRequest {
  @Trimmed()
  @Length(1, 300, { message: 'Write the question in up to 300 characters.' })
  question: string;

  @Trimmed()
  @Length(1, 40, { message: 'Choose a crop.' })
  cropId: string;

  @IsOptional()
  @IsIn(INVESTIGATION_KINDS, { message: 'Choose a kind of investigation.' })
  kind?: InvestigationKind;

  /** When left out, 25 days after the sowing. */
  @IsOptional()
  @IsCalendarDay({ message: 'Give a lesson date that exists.' })
  lessonOn?: CalendarDay;

  /** A template to start from, one that ships or one of the teacher's own. */
  @IsOptional()
  @Length(1, 40)
  templateId?: string;
}

/** What may change in an experiment whose design came from a file. */
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
  @IsId()
  unitId: string;

  @IsId()
  treatmentId: string;
}

/** A layout arranged by hand: every unit once, every treatment as often as before. */
export class LayoutRequest {
  @IsInt()
  @Min(0)
  version: number;

  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @NestedList(() => AssignmentRequest)
  assignments: AssignmentRequest[];
}

/** A unit added after sowing. */
export class UnitRequest {
  @IsId()
  treatmentId: string;

  @IsId()
  containerId: string;

  @Min(1, { message: 'Choose a free place.' })
  @IsInt()
  row: number;

  @Min(1, { message: 'Choose a free place.' })
  @IsInt()
  column: number;

  @IsCalendarDay({ message: 'Give the day it was sown.' })
  sownOn: string;
}

/** Which team a unit is given to. */
export class UnitTeamPart {
  @IsId()
  unitId: string;

  @IsOptional()
  @IsId()
  teamId: string | null;
}

/** The class that runs an experiment, and which team has which unit; units left out have none. */
export class ClassOfExperimentRequest {
  @IsOptional()
  @IsId({ message: 'Choose a class.' })
  classId: string | null;

  @ArrayMaxSize(500)
  @NestedList(() => UnitTeamPart)
  units: UnitTeamPart[];
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
  { unit: 'in', step: 0.125, name: 'eighths of an inch' },
  { unit: 'in', step: 0.0625, name: 'sixteenths of an inch' },
];

/** Which class runs the plan as well. */
export class RunRequest {
  @IsId({ message: 'Choose a class.' })
  classId: string;
}
