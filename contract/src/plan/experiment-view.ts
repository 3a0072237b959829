import 'reflect-metadata';
import { BRIGHT_SIDES, type BrightSide } from '@bright-sprout/core/design';
import { VARIABLE_KINDS, type VariableKind } from '@bright-sprout/core/exchange';
import { EXPERIMENT_STATUSES, type ExperimentStatus } from '@bright-sprout/core/schedule';
import { IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsCalendarDay, IsId, NestedList, NestedOrNull } from '../shared/index.ts';
import { CropView } from './crop-view.ts';
import { TaskView } from './plan-extras.ts';
import { PlanDocument } from './plan-request.ts';

/** A factor and the names of its levels. */
export class FactorView {
  @IsString()
  name: string;

  @IsString({ each: true })
  levels: string[];
}

/** A combination of levels. */
export class TreatmentView {
  @IsId()
  id: string;

  /** The letter on the label. */
  @IsString()
  code: string;

  @IsString()
  name: string;

  @IsBoolean()
  isControl: boolean;

  /** Which colour and mark it wears, from 0. */
  @IsInt()
  style: number;
}

/** A grid of places on the sill. */
export class ContainerView {
  @IsId()
  id: string;

  @IsString()
  kind: string;

  @IsInt()
  rows: number;

  @IsInt()
  columns: number;

  @IsString()
  name: string;

  @IsIn(BRIGHT_SIDES)
  brightSide: BrightSide;
}

/** One pot, cell or bag. */
export class UnitView {
  @IsId()
  id: string;

  @IsInt()
  number: number;

  @IsId()
  containerId: string;

  @IsInt()
  row: number;

  @IsInt()
  column: number;

  @IsId()
  treatmentId: string;

  @IsInt()
  replicate: number;

  @IsString()
  block: string;

  @IsString()
  team: string;

  @IsOptional()
  @IsId()
  teamId: string | null;

  /** The day the plan has for it; `null` where no plan says. */
  @IsOptional()
  @IsCalendarDay()
  sowOn: string | null;

  @IsOptional()
  @IsCalendarDay()
  sowedOn: string | null;

  @IsOptional()
  @IsInt()
  seedsSown: number | null;

  /** What was different when it was sown. */
  @IsString()
  sowingNote: string;
}

/** Something that is read on each unit. */
export class VariableView {
  @IsId()
  id: string;

  @IsString()
  name: string;

  @IsIn(VARIABLE_KINDS)
  kind: VariableKind;

  @IsString()
  unit: string;

  @IsNumber()
  step: number;
}

/** An experiment with its plan; readings have a route of their own. */
export class ExperimentView {
  @IsId()
  id: string;

  @IsInt()
  version: number;

  /** What the same plan run by other classes has in common with this one. */
  @IsOptional()
  @IsId()
  studyId: string | null;

  /** Days that the teacher closed: students add nothing to them. */
  @IsArray()
  @IsCalendarDay({ each: true })
  closedDays: string[];

  @IsIn(EXPERIMENT_STATUSES)
  status: ExperimentStatus;

  @IsString()
  question: string;

  @IsString()
  hypothesis: string;

  /** The class that runs it. */
  @IsOptional()
  @IsId()
  classId: string | null;

  /** Absent when a file named a crop that is not in the drawer. */
  @NestedOrNull(() => CropView)
  crop: CropView | null;

  @IsString()
  cropName: string;

  @IsCalendarDay()
  sowOn: string;

  @IsCalendarDay()
  lessonOn: string;

  /** Today in the teacher's time zone. */
  @IsCalendarDay()
  today: string;

  @IsInt()
  layoutSeed: number;

  @IsInt()
  seedsPerUnit: number;

  /** Absent for a design from a file that has more to it than a plan holds. */
  @NestedOrNull(() => PlanDocument)
  plan: PlanDocument | null;

  /** What was moved, done or added of the calendar. */
  @NestedList(() => TaskView)
  tasks: TaskView[];

  @NestedList(() => FactorView)
  factors: FactorView[];

  @NestedList(() => TreatmentView)
  treatments: TreatmentView[];

  @NestedList(() => ContainerView)
  containers: ContainerView[];

  @NestedList(() => UnitView)
  units: UnitView[];

  @NestedList(() => VariableView)
  variables: VariableView[];
}
