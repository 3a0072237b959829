import { ENTRY_KINDS, type EntryKind } from '@bright-sprout/core/shared';
import { IsBoolean, IsOptional } from 'class-validator';
import {
  type Day,
  type Id,
  type Instant,
  IsCalendarDay,
  IsId,
  NestedOrNull,
  Note,
  OneOf,
} from '../shared/index.ts';
import { DrawingPart } from './drawing.ts';
import { UploadPart } from '../uploads/index.ts';

/** A photo, a drawing or a sentence about a unit, or about all pots. */
export class EntryRequest {
  @IsOptional() @IsId() unitId: string | null;
  @IsCalendarDay('the day of the entry') happenedOn: string;
  @OneOf(ENTRY_KINDS) kind: EntryKind;
  @Note(1000) note: string;

  /** The picture of a photo or drawing, sent before. */
  @NestedOrNull(() => UploadPart) picture: UploadPart | null;

  /** How a drawing was drawn. */
  @NestedOrNull(() => DrawingPart) drawing?: DrawingPart | null;
}

/** Whether an entry is hidden from everybody but who made it. */
export class HideEntryRequest {
  @IsBoolean() isHidden: boolean;
}

/** An entry without its picture, which has an address of its own. */
export interface EntryView {
  id: Id;
  unitId: Id | null;
  happenedOn: Day;
  kind: EntryKind;
  note: string;
  hasPicture: boolean;
  /** Only who made it and the teacher see it. */
  isHidden: boolean;
  /** For the student who drew it, where its lines were kept. */
  canGoOn: boolean;
  observer: string;
  recordedAt: Instant;
}
