import 'reflect-metadata';
import { EXPERIMENT_STATUSES, type ExperimentStatus, type Job } from '@bright-sprout/core/schedule';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString } from 'class-validator';
import { IsCalendarDay, IsId, Nested, NestedList } from '../shared/index.ts';

/** The next thing to do; the figures that belong to its code are given. */
export class JobView {
  @IsIn(['sow', 'read', 'read-next-class-day', 'all-read', 'lesson', 'nothing'])
  code: Job['code'];

  @IsOptional()
  @IsInt()
  inDays?: number;

  @IsOptional()
  @IsInt()
  left?: number;

  @IsOptional()
  @IsInt()
  of?: number;

  @IsBoolean()
  isDue: boolean;
}

/** A treatment on a card of the shelf, with the units that stand in it. */
export class CardTreatmentView {
  @IsString()
  name: string;

  @IsInt()
  style: number;

  @IsInt()
  units: number;

  /** Mean height on the last day read, in mm; absent when nothing has a height. */
  @IsOptional()
  meanHeightMm: number | null;
}

/** One experiment on the shelf. */
export class ExperimentCard {
  @IsId()
  id: string;

  @IsString()
  question: string;

  @IsString()
  cropName: string;

  @IsOptional()
  @IsString()
  habit: string | null;

  @IsIn(EXPERIMENT_STATUSES)
  status: ExperimentStatus;

  @IsCalendarDay()
  today: string;

  @IsCalendarDay()
  sowOn: string;

  @IsCalendarDay()
  lessonOn: string;

  @IsInt()
  units: number;

  @Nested(() => JobView)
  job: JobView;

  @NestedList(() => CardTreatmentView)
  treatments: CardTreatmentView[];
}
