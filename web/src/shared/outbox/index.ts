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
export {
  keepFor,
  type Maker,
  MakerProvider,
  ownerClass,
  ownerTeacher,
  useIdOf,
  useKeep,
  useMaker,
} from './use-keep.ts';
export { tickRequestsOf, useWithWaitingTicks } from './waiting-ticks.ts';
