import type { Id, Instant, Right } from '../shared/index.ts';
import { OneOf } from '../shared/index.ts';

/** Rights that can be shared. */
export const SHARED_RIGHTS = ['see', 'change'] as const satisfies readonly Right[];
export type SharedRight = (typeof SHARED_RIGHTS)[number];

/** Days that an invitation waits to be taken. */
export const INVITATION_DAYS = 7;

/** What a co-teacher may do. */
export class ShareRequest {
  @OneOf(SHARED_RIGHTS, 'whether to see or to change') may: SharedRight;
}

/** A class or an experiment that is offered to a co-teacher, or that one has. */
export interface ShareView {
  id: Id;
  may: SharedRight;
  /** What the invited teacher types or opens; `null` once it is taken. */
  code: string | null;
  /** Until when it can be taken. */
  expiresAt: Instant;
  /** Name of the teacher who took it; `null` while it waits. */
  takenBy: string | null;
}

/** What a teacher is invited to. */
export interface InvitationView {
  what: 'class' | 'experiment';
  /** Name of the class, or question of the experiment. */
  name: string;
  /** Name of the teacher who invites. */
  from: string;
  may: SharedRight;
}

/** What became of an invitation: the class or the experiment that is shared now. */
export interface TakenView {
  classId: Id | null;
  experimentId: Id | null;
}

/** How a class or an experiment of another teacher came to this one. */
export interface SharedView {
  /** Name of its owner. */
  by: string;
  may: SharedRight;
  /** `class` where it comes with a shared class. */
  through: 'class' | 'experiment';
}
