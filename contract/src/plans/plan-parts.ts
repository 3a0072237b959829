import 'reflect-metadata';
import {
  type Aspect,
  ASPECTS,
  BRIGHT_SIDES,
  type BrightSide,
  type CalendarRules,
  type Conditions,
  CONTAINER_KINDS,
  type ContainerKind,
  COVER_RULES,
  DEPTH_RULES,
  type DepthRule,
  DOSE_UNITS,
  type DoseUnit,
  FILL_RULES,
  LIGHT_PLACES,
  type LightPlace,
  MEASURED,
  MOST_LEVELS,
  SEED_POSITIONS,
  type SeedPosition,
  START_FORMS,
  type StartForm,
  type PlanMeasure,
  type ProtocolStep,
  RHYTHMS,
  STEP_TIMES,
} from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import {
  ArrayMaxSize,
  ArrayMinSize,
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
import { ClassDaysPart } from '../classes/index.ts';
import { IsCalendarDay, NestedList, NestedOrNull, Trimmed } from '../shared/index.ts';

/** So much of a material in each unit. */
export class DosePart {
  @Trimmed()
  @Length(1, 60, { message: 'Name the material in up to 60 characters.' })
  material: string;

  @Min(0, { message: 'Give an amount of 0 or more.' })
  @Max(10_000, { message: 'That is too much: check the unit.' })
  @IsNumber({}, { message: 'Give the amount as a number.' })
  amount: number;

  @IsIn(DOSE_UNITS, { message: 'Choose a unit.' })
  unit: DoseUnit;
}

/** One setting of a factor; `null` means as everywhere else in the plan. */
export class LevelPart {
  @Trimmed()
  @Length(1, 60, { message: 'Name this level in up to 60 characters.' })
  name: string;

  @IsBoolean()
  isControl: boolean;

  @IsOptional()
  @Length(1, 40, { message: 'Choose a crop.' })
  cropId: string | null;

  @IsOptional()
  @Length(1, 40, { message: 'Choose a packet.' })
  lotId?: string | null;

  @IsOptional()
  @Min(1, { message: 'At least one seed.' })
  @Max(1000, { message: 'At most 1000 seeds in a pot.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seeds?: number | null;

  @IsOptional()
  @Min(0, { message: 'From 0 seeds.' })
  @Max(100_000, { message: 'At most 100 000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  sorted?: number | null;

  @IsOptional()
  @Min(1, { message: 'At least one plant.' })
  @Max(100, { message: 'At most 100 plants in a pot.' })
  @IsInt({ message: 'Give a whole number of plants.' })
  plants: number | null;

  @IsOptional()
  @Min(1, { message: 'At least one day old.' })
  @Max(366, { message: 'At most a year old.' })
  @IsInt({ message: 'Give a whole number of days.' })
  ageDays: number | null;

  @IsOptional()
  @Min(0, { message: 'A depth is 0 or more.' })
  @Max(300, { message: 'At most 300 mm deep.' })
  @IsNumber({}, { message: 'Give the depth in mm.' })
  depthMm: number | null;

  @IsOptional()
  @Min(0, { message: 'Give 0 mL or more.' })
  @Max(5000, { message: 'At most 5000 mL.' })
  @IsNumber({}, { message: 'Give the water in mL.' })
  waterMl: number | null;

  @IsOptional()
  @Min(-10, { message: 'Give a temperature from −10 °C.' })
  @Max(60, { message: 'Give a temperature up to 60 °C.' })
  @IsNumber({}, { message: 'Give the temperature in °C.' })
  temperatureC: number | null;

  @IsOptional()
  @IsIn(LIGHT_PLACES)
  light: LightPlace | null;

  @IsOptional()
  @IsBoolean()
  isCovered: boolean | null;

  @IsOptional()
  @Trimmed()
  @MaxLength(120, { message: 'Keep it under 120 characters.' })
  medium: string | null;

  @NestedOrNull(() => DosePart)
  dose: DosePart | null;
}

/** Something changed on purpose. */
export class FactorPart {
  @Trimmed()
  @Length(1, 60, { message: 'Name what you change in up to 60 characters.' })
  name: string;

  @IsIn(ASPECTS, { message: 'Choose what it is about.' })
  aspect: Aspect;

  @ArrayMinSize(2, { message: 'Compare at least two levels.' })
  @ArrayMaxSize(MOST_LEVELS, { message: `Compare at most ${MOST_LEVELS} levels.` })
  @NestedList(() => LevelPart)
  levels: LevelPart[];
}

/** A container of a plan. */
export class ContainerPart {
  @IsIn(CONTAINER_KINDS, { message: 'Choose a container.' })
  kind: ContainerKind;

  @Trimmed()
  @MaxLength(40, { message: 'Keep the name under 40 characters.' })
  name: string;

  @Min(1, { message: 'At least one row.' })
  @Max(40, { message: 'At most 40 rows.' })
  @IsInt({ message: 'Give a whole number of rows.' })
  rows: number;

  @Min(1, { message: 'At least one column.' })
  @Max(40, { message: 'At most 40 columns.' })
  @IsInt({ message: 'Give a whole number of columns.' })
  columns: number;

  @IsIn(BRIGHT_SIDES)
  brightSide: BrightSide;

  @Min(0, { message: 'A volume is 0 or more.' })
  @Max(20_000, { message: 'At most 20 L in a place.' })
  @IsNumber({}, { message: 'Give the volume of a place in mL.' })
  cellMl: number;
}

/** What is read, in which unit and step. */
export class MeasurePart implements PlanMeasure {
  @IsIn(MEASURED, { message: 'Choose what is read.' })
  variable: PlanMeasure['variable'];

  @IsIn(['mm', 'cm', 'in', 'seeds', 'leaves', '%'], { message: 'Choose a unit.' })
  unit: PlanMeasure['unit'];

  @Min(0.05)
  @Max(100)
  @IsNumber({}, { message: 'Choose a precision.' })
  step: number;
}

/** What is the same for every unit. */
export class ConditionsPart implements Conditions {
  @Min(-10, { message: 'Give a temperature from −10 °C.' })
  @Max(60, { message: 'Give a temperature up to 60 °C.' })
  @IsNumber({}, { message: 'Give the temperature in °C.' })
  temperatureC: number;

  @IsIn(LIGHT_PLACES)
  light: LightPlace;

  @Min(0, { message: 'From 0 hours.' })
  @Max(24, { message: 'A day has 24 hours.' })
  @IsNumber({}, { message: 'Give hours of light a day.' })
  lightHours: number;

  @IsIn(DEPTH_RULES)
  depthRule: DepthRule;

  @Trimmed()
  @MaxLength(120, { message: 'Keep it under 120 characters.' })
  medium: string;

  @IsBoolean()
  hasSoil: boolean;

  @IsOptional()
  @IsIn(START_FORMS, { message: 'Choose what is put in.' })
  startsAs?: StartForm;

  @IsOptional()
  @Min(1, { message: 'At least 1 mm.' })
  @Max(300, { message: 'At most 300 mm.' })
  @IsNumber({}, { message: 'Give the depth in mm.' })
  stemMm?: number | null;

  @IsOptional()
  @IsIn(SEED_POSITIONS, { message: 'Choose how a seed lies.' })
  position?: SeedPosition;

  @IsOptional()
  @Min(0, { message: 'From 0 parts.' })
  @Max(3, { message: 'At most three parts of water.' })
  @IsNumber({}, { message: 'Give parts of water to one of mix.' })
  wetting?: number | null;

  @IsOptional()
  @Trimmed()
  @MaxLength(120, { message: 'Keep it under 120 characters.' })
  protection?: string;

  @Min(0, { message: 'Give 0 mL or more.' })
  @Max(5000, { message: 'At most 5000 mL.' })
  @IsNumber({}, { message: 'Give the water in mL.' })
  waterMl: number;

  @IsIn(COVER_RULES)
  cover: Conditions['cover'];

  @IsIn(FILL_RULES)
  fill: Conditions['fill'];

  @IsBoolean()
  isFirmed: boolean;

  @Min(0, { message: 'From 0 days.' })
  @Max(60, { message: 'At most 60 days.' })
  @IsInt({ message: 'Give whole days.' })
  reactionDays: number;

  @Min(0, { message: 'From 0 hours.' })
  @Max(72, { message: 'At most 72 hours.' })
  @IsNumber({}, { message: 'Give hours.' })
  soakHours: number;

  @Min(0, { message: 'From 0 days.' })
  @Max(200, { message: 'At most 200 days.' })
  @IsInt({ message: 'Give whole days.' })
  coldDays: number;
}

/** One step of the protocol. */
export class StepPart implements ProtocolStep {
  @Length(1, 40)
  id: string;

  @Trimmed()
  @Length(1, 300, { message: 'Write the step in up to 300 characters.' })
  text: string;

  @IsIn(STEP_TIMES)
  when: ProtocolStep['when'];

  @IsOptional()
  @Min(1, { message: 'At least a minute.' })
  @Max(1440, { message: 'At most a day.' })
  @IsInt({ message: 'Give whole minutes.' })
  minutes: number | null;
}

/** When the class meets and what it does when. */
export class CalendarPart extends ClassDaysPart implements CalendarRules {
  @IsIn(RHYTHMS)
  rhythm: CalendarRules['rhythm'];

  @Min(1, { message: 'At least one day.' })
  @Max(30, { message: 'At most 30 days.' })
  @IsInt({ message: 'Give whole days.' })
  waterEveryDays: number;

  @Trimmed()
  @MaxLength(60, { message: 'Keep the name under 60 characters.' })
  helper: string;

  @IsBoolean()
  potsOn: boolean;

  @IsOptional()
  @Min(20, { message: 'At least 20 mL.' })
  @Max(20_000, { message: 'At most 20 L.' })
  @IsNumber({}, { message: 'Give the volume in mL.' })
  potOnMl?: number | null;

  @IsOptional()
  @IsCalendarDay({ message: 'Give a date that exists.' })
  lastFrostOn: CalendarDay | null;

  @IsBoolean()
  isHarvested: boolean;
}

/** The guess that the class makes. */
export class PredictionPart {
  @Trimmed()
  @MaxLength(200, { message: 'Keep it under 200 characters.' })
  prompt: string;

  @IsArray()
  @ArrayMaxSize(8, { message: 'At most eight answers.' })
  @Trimmed()
  @Length(1, 120, { each: true, message: 'Write each answer in up to 120 characters.' })
  choices: string[];

  @IsOptional()
  @IsCalendarDay({ message: 'Give a date that exists.' })
  closesOn?: CalendarDay | null;
}

/** What should stand on the layout on the lesson day. */
export class GoalPart {
  @Min(0.05, { message: 'At least 5 % of the pots.' })
  @Max(1, { message: 'At most all of the pots.' })
  @IsNumber({}, { message: 'Give a share of the pots.' })
  share: number;

  @Min(0, { message: 'A height is 0 or more.' })
  @Max(5000, { message: 'At most 5 m.' })
  @IsNumber({}, { message: 'Give a height in mm.' })
  heightMm: number;
}
