import 'reflect-metadata';
import type { InvestigationKind } from '@bright-sprout/core/design';
import { IsOptional } from 'class-validator';
import { IsCalendarDay, Note } from '../shared/index.ts';

/** What changed of one task of the calendar, or one added by hand. */
export class TaskRequest {
  /** Another day than the plan's; `null` to leave it there. */
  @IsOptional() @IsCalendarDay('a day that exists') movedTo: string | null;

  @IsOptional() @IsCalendarDay('a day that exists') doneOn: string | null;
  @Note(60) who: string;

  /** Words of a task added by hand; empty for one of the plan's own. */
  @Note(120) title: string;
}

/** A task as it was changed. */
export interface TaskView extends TaskRequest {
  key: string;
}

/** Keeps a plan as a template. */
export class TemplateRequest {
  @Note(200) about: string;
}

/** A plan to start from. */
export interface TemplateView {
  id: string;
  kind: InvestigationKind;
  question: string;
  about: string;
  cropId: string;
  cropName: string;
  /** Days from sowing to the lesson. */
  days: number;
  isOwn: boolean;
}
