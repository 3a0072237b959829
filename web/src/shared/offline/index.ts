export {
  type AnswerTo,
  type Made,
  type OutboxItem,
  type OutboxRoute,
  upToDate,
  type Waiting,
} from './outbox-item.ts';
export { type DeviceStore, deviceStore, memoryStore } from './device-store.ts';
export { forgetQueries, keepQueries, restoreQueries } from './keep-queries.ts';
