export { type OutboxItem, upToDate } from './outbox-item.ts';
export { type DeviceStore, deviceStore, memoryStore } from './device-store.ts';
export { forgetQueries, keepQueries, restoreQueries } from './keep-queries.ts';
