import type { Day, Id } from '../shared/index.ts';
import 'reflect-metadata';
import type { SharedView } from '../sharing/index.ts';
import type { ExperimentStatus, Job } from '@bright-sprout/core/calendar';

/** The next thing to do; the figures that belong to its code are given. */
export interface JobView {
  code: Job['code'];
  inDays?: number;
  left?: number;
  of?: number;
  isDue: boolean;
}

/** A treatment on a card of an experiment, with the units that stand in it. */
export interface CardTreatmentView {
  name: string;
  style: number;
  units: number;
  /** Mean height on the last day read, in mm; absent when nothing has a height. */
  meanHeightMm: number | null;
}

/** One experiment as a card. */
export interface ExperimentCard {
  id: Id;
  question: string;
  cropName: string;
  habit: string | null;
  status: ExperimentStatus;
  today: Day;
  sowOn: Day;
  lessonOn: Day;
  units: number;
  /** The class that runs it; `null` for none. */
  className: string | null;
  /** Whose it is, where another teacher shared it; `null` for one’s own. */
  shared: SharedView | null;
  job: JobView;
  treatments: CardTreatmentView[];
}
