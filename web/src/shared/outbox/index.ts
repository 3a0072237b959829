export type { OutboxItem } from '../offline/index.ts';
export {
  outbox,
  useOutboxItems,
  useOutboxOf,
  useWithWaiting,
  waitingReading,
  withReading,
} from './use-outbox.ts';
export { confirmLeaving, WaitingNote } from './waiting-note.tsx';
export { type TeacherItem, useTeacherItem } from './use-teacher-item.ts';
export { tickRequestsOf, useWithWaitingTicks } from './waiting-ticks.ts';
