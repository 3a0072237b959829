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
  SET_INS,
  type SetIn,
  type SeedPosition,
  START_FORMS,
  type StartForm,
  type PlanMeasure,
  type ProtocolStep,
  RHYTHMS,
  STEP_TIMES,
} from '@bright-sprout/core/design';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { IsBoolean, IsOptional, Length } from 'class-validator';
import { ClassDaysPart } from '../classes/index.ts';
import {
  IsCalendarDay,
  NestedOrNull,
  Note,
  OneOf,
  Parts,
  Quantity,
  ShortText,
  Texts,
  Whole,
} from '../shared/index.ts';

/** So much of a material in each unit. */
export class DosePart {
  @ShortText(60, 'Name the material') material: string;
  @Quantity(0, 10_000, 'the amount') amount: number;
  @OneOf(DOSE_UNITS, 'a unit') unit: DoseUnit;
}

/** One setting of a factor; `null` means as everywhere else in the plan. */
export class LevelPart {
  @ShortText(60, 'Name this level') name: string;
  @IsBoolean() isControl: boolean;
  @IsOptional() @Length(1, 40, { message: 'Choose a crop.' }) cropId: string | null;
  @IsOptional() @Length(1, 40, { message: 'Choose a packet.' }) lotId?: string | null;
  @IsOptional() @Whole(1, 1000, 'seeds') seeds?: number | null;
  @IsOptional() @Whole(0, 100_000, 'seeds') sorted?: number | null;
  @IsOptional() @Whole(1, 1000, 'plants') plants: number | null;
  @IsOptional() @Whole(1, 366, 'days') ageDays: number | null;
  @IsOptional() @Quantity(0, 300, 'the depth in mm') depthMm: number | null;
  @IsOptional() @Quantity(0, 5000, 'the water in mL') waterMl: number | null;
  @IsOptional() @Quantity(-10, 60, 'the temperature in °C') temperatureC: number | null;
  @IsOptional() @OneOf(LIGHT_PLACES) light: LightPlace | null;
  @IsOptional() @IsBoolean() isCovered: boolean | null;
  @IsOptional() @Note(120) medium: string | null;
  @NestedOrNull(() => DosePart) dose: DosePart | null;
}

/** Something changed on purpose. */
export class FactorPart {
  @ShortText(60, 'Name what you change') name: string;
  @OneOf(ASPECTS, 'what it is about') aspect: Aspect;
  @Parts(() => LevelPart, 2, MOST_LEVELS, 'levels') levels: LevelPart[];
}

/** A container of a plan. */
export class ContainerPart {
  @OneOf(CONTAINER_KINDS, 'a container') kind: ContainerKind;
  @Note(40) name: string;
  @Whole(1, 40, 'rows') rows: number;
  @Whole(1, 40, 'columns') columns: number;
  @OneOf(BRIGHT_SIDES) brightSide: BrightSide;
  @Quantity(0, 20_000, 'the volume of a place in mL') cellMl: number;
}

/** What is read, in which unit and step. */
export class MeasurePart implements PlanMeasure {
  @OneOf(MEASURED, 'what is read') variable: PlanMeasure['variable'];
  @OneOf(['mm', 'cm', 'in', 'seeds', 'leaves', '%'], 'a unit') unit: PlanMeasure['unit'];
  @Quantity(0.05, 100, 'a precision') step: number;
}

/** What is the same for every unit. */
export class ConditionsPart implements Conditions {
  @Quantity(-10, 60, 'the temperature in °C') temperatureC: number;
  @OneOf(LIGHT_PLACES) light: LightPlace;
  @Quantity(0, 24, 'hours of light a day') lightHours: number;
  @OneOf(DEPTH_RULES) depthRule: DepthRule;
  @Note(120) medium: string;
  @IsBoolean() hasSoil: boolean;
  @IsOptional() @OneOf(START_FORMS, 'what is put in') startsAs?: StartForm;
  @IsOptional() @Quantity(1, 300, 'the depth in mm') stemMm?: number | null;
  @IsOptional() @OneOf(SET_INS, 'how deep it is set in') setIn?: SetIn;
  @IsOptional() @OneOf(SEED_POSITIONS, 'how a seed lies') position?: SeedPosition;
  @IsOptional() @Quantity(0, 3, 'parts of water to one of mix') wetting?: number | null;
  @IsOptional() @Note(120) protection?: string;
  @Quantity(0, 5000, 'the water in mL') waterMl: number;
  @OneOf(COVER_RULES) cover: Conditions['cover'];
  @OneOf(FILL_RULES) fill: Conditions['fill'];
  @IsBoolean() isFirmed: boolean;
  @Whole(0, 60, 'days') reactionDays: number;
  @Quantity(0, 72, 'hours') soakHours: number;
  @Whole(0, 200, 'days') coldDays: number;
}

/** One step of the protocol. */
export class StepPart implements ProtocolStep {
  @Length(1, 40) id: string;
  @ShortText(300, 'Write the step') text: string;
  @OneOf(STEP_TIMES) when: ProtocolStep['when'];
  @IsOptional() @Whole(1, 1440, 'minutes') minutes: number | null;
}

/** When the class meets and what it does when. */
export class CalendarPart extends ClassDaysPart implements CalendarRules {
  @OneOf(RHYTHMS) rhythm: CalendarRules['rhythm'];
  @Whole(1, 30, 'days') waterEveryDays: number;
  @Note(60) helper: string;
  @IsBoolean() potsOn: boolean;
  @IsOptional() @Quantity(20, 20_000, 'the volume in mL') potOnMl?: number | null;
  @IsOptional() @IsCalendarDay('a date that exists') lastFrostOn: CalendarDay | null;
  @IsBoolean() isHarvested: boolean;
}

/** The guess that the class makes. */
export class PredictionPart {
  @Note(200) prompt: string;

  @Texts(0, 8, 'answers', 120) choices: string[];

  @IsOptional() @IsCalendarDay('a date that exists') closesOn?: CalendarDay | null;
}

/** What should stand on the layout on the lesson day. */
export class GoalPart {
  @Quantity(0.05, 1, 'a share of the pots') share: number;
  @Quantity(0, 5000, 'a height in mm') heightMm: number;
}
