import { createContext, useContext, useRef } from 'react';
import { v7 as uuid } from 'uuid';
import type { AnswerTo, Made, OutboxItem, OutboxRoute, Waiting } from '../offline/index.ts';
import type { PutResult } from './outbox.ts';
import { outbox } from './use-outbox.ts';

/** Who makes things on this page. */
export interface Maker {
  /** To whom it belongs on this device: see {@link Waiting.owner}. */
  readonly owner: string;
  /** `null` for a teacher. */
  readonly studentId: string | null;
  readonly displayName: string;
}

const MakerContext = createContext<Maker | undefined>(undefined);

/** Says who makes what is made inside. */
export const MakerProvider = MakerContext.Provider;

/** Who makes things on this page. */
export function useMaker(): Maker {
  const maker = useContext(MakerContext);
  if (!maker) throw new Error('useMaker outside a MakerProvider');
  return maker;
}

/** What differs between the things that are kept; with an id of its own where none is given. */
export type ToKeep<Name extends OutboxRoute> = Made<Name> &
  Pick<Waiting, 'experimentId' | 'label'> &
  Partial<Pick<Waiting, 'id' | 'reading' | 'picture'>>;

/**
 * Keeps what a maker made: the one way in for all that is made in class. The kind of an item tells its request and its
 * answer; that the two go together is known here, and the outbox need not know it.
 */
export function keepFor<Name extends OutboxRoute>(
  { owner, studentId }: Pick<Maker, 'owner' | 'studentId'>,
  made: ToKeep<Name>,
  onAnswer?: (answer: AnswerTo<Name>) => void,
): Promise<PutResult<AnswerTo<Name>>> {
  const waiting = { id: uuid(), owner, studentId, madeAt: new Date().toISOString(), problem: null };
  const item = { reading: null, picture: null, ...waiting, ...made } as unknown as OutboxItem;
  const take = onAnswer as ((answer: unknown) => void) | undefined;
  // eslint-disable-next-line no-restricted-syntax -- the one place
  return outbox.put(item, take) as Promise<PutResult<AnswerTo<Name>>>;
}

/**
 * Gives the function that keeps what is made on this page, for teacher and student alike: it is written down on the
 * device first, then sent. `onAnswer` takes over what the server answered before the item leaves.
 */
export function useKeep(): <Name extends OutboxRoute>(
  made: ToKeep<Name>,
  onAnswer?: (answer: AnswerTo<Name>) => void,
) => Promise<PutResult<AnswerTo<Name>>> {
  const maker = useMaker();
  return (made, onAnswer) => keepFor(maker, made, onAnswer);
}

/** Gives the same id for the same content until it is forgotten, so that trying again after a refusal stores it once. */
export function useIdOf(): { of: (content: object) => string; forget: () => void } {
  const pending = useRef<{ readonly content: string; readonly id: string }>(undefined);
  return {
    of: (content) => {
      const text = JSON.stringify(content);
      if (pending.current?.content !== text) pending.current = { content: text, id: uuid() };
      return pending.current.id;
    },
    forget: () => {
      pending.current = undefined;
    },
  };
}

/** To whom belongs what a teacher makes on this device. */
export function ownerTeacher(teacherId: string): string {
  return `teacher ${teacherId}`;
}

/** To whom belongs what a class makes on this device. */
export function ownerClass(classId: string): string {
  return `class ${classId}`;
}
