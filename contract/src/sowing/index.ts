import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import type { ExperimentView } from '../plans/index.ts';
import { IsCalendarDay, IsId, json, route, Trimmed, type Id } from '../shared/index.ts';

/** Marks every unit as sown on a day. */
export class SowingRequest {
  @IsCalendarDay({ message: 'Give the day the seeds went in.' })
  sownOn: string;

  /** The units sown; all of them when left out. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one pot.' })
  @ArrayMaxSize(500)
  @IsId({ each: true })
  unitIds?: string[];
}

/** What is ticked for each unit on sowing day. */
export const SOWING_ITEMS = ['seeds', 'depth', 'treatment', 'label'] as const;
export type SowingItem = (typeof SOWING_ITEMS)[number];

/** Ticks one item for some units, or takes the tick away. */
export class TickRequest {
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one pot.' })
  @ArrayMaxSize(500)
  @IsId({ each: true })
  unitIds: string[];

  @IsIn(SOWING_ITEMS)
  item: SowingItem;

  @IsBoolean()
  isDone: boolean;
}

/** What was different when one unit was sown. */
export class SowingNoteRequest {
  @IsId()
  unitId: string;

  @Min(0, { message: 'Give 0 seeds or more.' })
  @Max(1000, { message: 'Give at most 1000 seeds.' })
  @IsInt({ message: 'Give a whole number of seeds.' })
  seedsSown: number;

  @Trimmed()
  @MaxLength(300, { message: 'Keep the note under 300 characters.' })
  note: string;
}

/** A tick as it is kept. */
export interface TickView {
  unitId: Id;
  item: SowingItem;
  by: string;
}

/** Sowing. */
export const sowingRoutes = {
  sowAll: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing',
    summary: 'Mark all units, or some of them, as sown on a day',
    access: 'owner',
    body: SowingRequest,
    answer: json<ExperimentView>(),
  }),
  ticks: route({
    method: 'GET',
    path: '/experiments/:experimentId/sowing/ticks',
    summary: 'What is ticked of the sowing of each unit',
    access: 'owner',
    answer: json<TickView[]>(),
  }),
  tick: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing/ticks',
    summary: 'Tick an item of the sowing for some units, or take the tick away',
    access: 'owner',
    body: TickRequest,
    answer: json<TickView[]>(),
  }),
  noteSowing: route({
    method: 'PUT',
    path: '/experiments/:experimentId/sowing/notes',
    summary: 'Note what was different when a unit was sown',
    access: 'owner',
    body: SowingNoteRequest,
    answer: json<ExperimentView>(),
  }),
} as const;
