import { IsIn, IsOptional, MaxLength } from 'class-validator';
import {
  IsCalendarDay,
  IsId,
  NestedOrNull,
  json,
  route,
  Trimmed,
  type Day,
  type Id,
  type Instant,
} from '../shared/index.ts';
import { UploadPart } from '../uploads/index.ts';

/** What an entry of the journal is. */
export const ENTRY_KINDS = ['photo', 'drawing', 'note'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** The largest picture that is taken, in bytes; devices send far smaller ones. */
export const MOST_PICTURE_BYTES = 2_000_000;

/** A photo, a drawing or a sentence about a unit, or about all pots. */
export class EntryRequest {
  @IsOptional()
  @IsId()
  unitId: string | null;

  @IsCalendarDay({ message: 'Give the day of the entry.' })
  happenedOn: string;

  @IsIn(ENTRY_KINDS)
  kind: EntryKind;

  @Trimmed()
  @MaxLength(1000, { message: 'Keep it under 1000 characters.' })
  note: string;

  /** The picture of a photo or drawing, sent before. */
  @NestedOrNull(() => UploadPart)
  picture: UploadPart | null;
}

/** An entry without its picture, which has an address of its own. */
export interface EntryView {
  id: Id;
  unitId: Id | null;
  happenedOn: Day;
  kind: EntryKind;
  note: string;
  hasPicture: boolean;
  observer: string;
  recordedAt: Instant;
}

/** The journal of an experiment. */
export const journalRoutes = {
  entries: route({
    method: 'GET',
    path: '/experiments/:experimentId/journal',
    summary: 'Photos, drawings and sentences, the newest last',
    access: 'owner',
    answer: json<EntryView[]>(),
  }),
  keepEntry: route({
    method: 'PUT',
    path: '/experiments/:experimentId/journal/:entryId',
    summary: 'Keep an entry under an id made on the device',
    access: 'owner',
    body: EntryRequest,
    answer: json<EntryView>(),
  }),
  removeEntry: route({
    method: 'DELETE',
    path: '/experiments/:experimentId/journal/:entryId',
    summary: 'Remove an entry with its picture for good',
    access: 'owner',
  }),
  picture: route({
    method: 'GET',
    path: '/experiments/:experimentId/journal/:entryId/picture',
    summary: 'The picture of an entry',
    access: 'owner',
    file: 'image/jpeg',
  }),
} as const;
