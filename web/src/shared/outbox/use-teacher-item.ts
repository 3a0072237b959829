import { useQuery } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { sessionQuery } from '../api/index.ts';
import type { OutboxItem } from '../offline/index.ts';

/** What differs between the things that a teacher keeps. */
export type TeacherItem = Pick<OutboxItem, 'route' | 'params' | 'body' | 'experimentId' | 'label'> &
  Partial<Pick<OutboxItem, 'id' | 'picture' | 'reading'>>;

/** Makes an item of the outbox that belongs to the teacher who is signed in. */
export function useTeacherItem(): (item: TeacherItem) => OutboxItem {
  const teacher = useQuery(sessionQuery).data;
  return (item) => ({
    id: uuid(),
    owner: `teacher ${teacher?.id ?? ''}`,
    studentId: null,
    madeAt: new Date().toISOString(),
    reading: null,
    picture: null,
    problem: null,
    ...item,
  });
}
