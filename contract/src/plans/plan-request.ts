import 'reflect-metadata';
import {
  ALSO_READ,
  type AlsoRead,
  INVESTIGATION_KINDS,
  type InvestigationKind,
  LAYOUT_METHODS,
  MOST_CONTAINERS,
  type Plan,
  PLANT_RULES,
} from '@bright-sprout/core/design';
import type { CalendarDay, LengthUnit } from '@bright-sprout/core/shared';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  Length,
  Min,
} from 'class-validator';
import {
  IsCalendarDay,
  IsId,
  Nested,
  Note,
  OneOf,
  Parts,
  Quantity,
  ShortText,
  Texts,
  Trimmed,
  Whole,
} from '../shared/index.ts';
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
  @ShortText(300, 'Write the question') question: string;
  @Note(1000) hypothesis: string;
  @OneOf(INVESTIGATION_KINDS, 'a kind of investigation') kind: InvestigationKind;
  @Trimmed() @Length(1, 40, { message: 'Choose a crop.' }) cropId: string;
  @IsOptional() @IsId('a packet') lotId: string | null;
  @IsOptional() @IsCalendarDay('a date that exists') sortOn?: CalendarDay | null;
  @Parts(() => FactorPart, 0, 3, 'things') factors: FactorPart[];

  /** Combinations of levels that are not grown, as level numbers from 0 joined by a full stop. */
  @IsArray() @ArrayMaxSize(512) @Length(1, 12, { each: true }) leftOut: string[];

  @Whole(1, 200, 'pots') replicates: number;
  @Whole(1, 1000, 'seeds') seedsPerUnit: number;
  @Whole(1, 1000, 'plants') plantsPerUnit: number;
  @Quantity(0.5, 0.999, 'a chance') chance: number;
  @Whole(1, 100_000, 'seeds') seedsPerPacket: number;
  @Parts(() => ContainerPart, 1, MOST_CONTAINERS, 'containers') containers: ContainerPart[];
  @OneOf(LAYOUT_METHODS) layoutMethod: Plan['layoutMethod'];

  /** Seed of the shuffle: the same seed lays the same plan out in the same way. */
  @Whole(0, 4_294_967_295) layoutSeed: number;

  @Nested(() => MeasurePart) measure: MeasurePart;

  @IsArray()
  @ArrayUnique()
  @IsIn(ALSO_READ, { each: true, message: 'Choose from the list.' })
  alsoRead: AlsoRead[] = [];

  @OneOf(PLANT_RULES) plantRule: Plan['plantRule'];
  @IsCalendarDay('a sowing date that exists') sowOn: CalendarDay;
  @IsCalendarDay('a lesson date that exists') lessonOn: CalendarDay;
  @Nested(() => GoalPart) goal: GoalPart;
  @IsOptional() @Quantity(1, 5000, 'a height in mm') referenceMm: number | null;
  @Nested(() => ConditionsPart) conditions: ConditionsPart;

  @Texts(0, 20, 'things', 120) constants: string[];

  @Parts(() => StepPart, 0, 60, 'steps') steps: StepPart[];
  @Nested(() => CalendarPart) calendar: CalendarPart;
  @Nested(() => PredictionPart) prediction: PredictionPart;
}

/** A plan to save, whole. Once seeds are in the soil only what the readings do not depend on may differ. */
export class PlanRequest extends PlanDocument {
  /** Version that the change was made on; another version on the server means that it changed elsewhere. */
  @IsInt() @Min(0) version: number;
}

/** Starts a draft; the rest of its plan is set to defaults of its kind, or taken from a template. */
export class StartRequest {
  @ShortText(300, 'Write the question') question: string;
  @Trimmed() @Length(1, 40, { message: 'Choose a crop.' }) cropId: string;
  @IsOptional() @OneOf(INVESTIGATION_KINDS, 'a kind of investigation') kind?: InvestigationKind;

  /** When left out, 25 days after the sowing. */
  @IsOptional() @IsCalendarDay('a lesson date that exists') lessonOn?: CalendarDay;

  /** A template to start from, one that ships or one of the teacher's own. */
  @IsOptional() @Length(1, 40) templateId?: string;
}

/** What may change in an experiment whose design came from a file. */
export class DescriptionRequest {
  @IsInt() @Min(0) version: number;
  @ShortText(300, 'Write the question') question: string;
  @Note(1000) hypothesis: string;
  @IsCalendarDay('a lesson date that exists') lessonOn: string;
}

/** Which treatment stands in a unit. */
export class AssignmentRequest {
  @IsId() unitId: string;
  @IsId() treatmentId: string;
}

/** A layout arranged by hand: every unit once, every treatment as often as before. */
export class LayoutRequest {
  @IsInt() @Min(0) version: number;
  @Parts(() => AssignmentRequest, 1, 500, 'entries') assignments: AssignmentRequest[];
}

/** A unit added after sowing. */
export class UnitRequest {
  @IsId() treatmentId: string;
  @IsId() containerId: string;
  @Min(1, { message: 'Choose a free place.' }) @IsInt() row: number;
  @Min(1, { message: 'Choose a free place.' }) @IsInt() column: number;
  @IsCalendarDay('the day it was sown') sownOn: string;
}

/** Which team a unit is given to. */
export class UnitTeamPart {
  @IsId() unitId: string;
  @IsOptional() @IsId() teamId: string | null;
}

/** The class that runs an experiment, and which team has which unit; units left out have none. */
export class ClassOfExperimentRequest {
  @IsOptional() @IsId('a class') classId: string | null;
  @Parts(() => UnitTeamPart, 0, 500, 'entries') units: UnitTeamPart[];
}

/** Closes an experiment, or opens it again. */
export class FinishRequest {
  @IsBoolean() finished: boolean;
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
  @IsId('a class') classId: string;
}
