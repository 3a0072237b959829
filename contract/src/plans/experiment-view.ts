import type { Day, Id } from '../shared/index.ts';
import 'reflect-metadata';
import type { BrightSide } from '@bright-sprout/core/design';
import type { VariableKind } from '@bright-sprout/core/imports';
import type { ExperimentStatus } from '@bright-sprout/core/calendar';
import type { SharedView } from '../sharing/index.ts';
import type { CropView } from '../inventory/index.ts';
import type { TaskView } from './plan-extras.ts';
import type { PlanDocument } from './plan-request.ts';

/** A factor and the names of its levels. */
export interface FactorView {
  name: string;
  levels: string[];
}

/** A combination of levels. */
export interface TreatmentView {
  id: Id;
  /** The letter on the label. */
  code: string;
  name: string;
  isControl: boolean;
  /** Which colour and mark it wears, from 0. */
  style: number;
}

/** A grid of places on the layout. */
export interface ContainerView {
  id: Id;
  kind: string;
  rows: number;
  columns: number;
  name: string;
  brightSide: BrightSide;
}

/** One pot, cell or bag. */
export interface UnitView {
  id: Id;
  number: number;
  containerId: Id;
  row: number;
  column: number;
  treatmentId: Id;
  replicate: number;
  block: string;
  team: string;
  teamId: Id | null;
  /** The day the plan has for it; `null` where no plan says. */
  sowOn: Day | null;
  sownOn: Day | null;
  seedsSown: number | null;
  /** What was different when it was sown. */
  sowingNote: string;
}

/** Something that is read on each unit. */
export interface VariableView {
  id: Id;
  name: string;
  kind: VariableKind;
  unit: string;
  step: number;
}

/** An experiment with its plan; readings have a route of their own. */
export interface ExperimentView {
  id: Id;
  version: number;
  /** What the same plan run by other classes has in common with this one. */
  studyId: Id | null;
  /** Days that the teacher closed: students add nothing to them. */
  closedDays: Day[];
  status: ExperimentStatus;
  question: string;
  hypothesis: string;
  /** The class that runs it. */
  classId: Id | null;
  /** Whose it is, where another teacher shared it; `null` for one’s own. */
  shared: SharedView | null;
  /** Absent when a file named a crop that is not in the inventory. */
  crop: CropView | null;
  cropName: string;
  sowOn: Day;
  lessonOn: Day;
  /** Today in the teacher's time zone. */
  today: Day;
  layoutSeed: number;
  seedsPerUnit: number;
  /** Absent for a design from a file that has more to it than a plan holds. */
  plan: PlanDocument | null;
  /** What was moved, done or added of the calendar. */
  tasks: TaskView[];
  factors: FactorView[];
  treatments: TreatmentView[];
  containers: ContainerView[];
  units: UnitView[];
  variables: VariableView[];
}
