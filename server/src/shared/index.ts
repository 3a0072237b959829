export { ApiError, invalidField, invalidFields, notFound } from './api-error.ts';
export { Clock } from './clock.ts';
export { addressesOf, DatabaseAddresses } from './database-addresses.ts';
export { ContractPipe } from './contract-pipe.ts';
export { ErrorFilter } from './error-filter.ts';
export {
  type HeavyTask,
  HeavyWork,
  jsonFile,
  READY,
  type Services,
  WORKER_FILE,
  type WorkerAnswer,
  type WorkerFile,
  type WorkerJob,
} from './heavy-work.ts';
export { asJson } from './json-column.ts';
export { UnderscoreNaming } from './naming.ts';
export { Operation, ROUTE_KEY } from './operation.ts';
export { RetryDeadlocks } from './retry-deadlocks.ts';
export { WriteQuota } from './write-quota.ts';
export { sentFailure } from './worker-failure.ts';
export { prepared } from './prepared.ts';
export { withNewCode } from './random-code.ts';
export { rowAsText } from './row-as-text.ts';
export { readBodies } from './read-bodies.ts';
export { readSettings, SETTINGS, type Settings } from './settings.ts';
export { SharedModule } from './shared.module.ts';
export {
  inTransaction,
  isConnectionLoss,
  isDeadlock,
  isDiskFull,
  isDuplicate,
  retried,
} from './transactions.ts';
