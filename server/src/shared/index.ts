export { ApiError, invalidField, invalidFields, notFound } from './api-error.ts';
export { Clock } from './clock.ts';
export { ContractPipe } from './contract-pipe.ts';
export { ErrorFilter } from './error-filter.ts';
export { UnderscoreNaming } from './naming.ts';
export { Operation, ROUTE_KEY } from './operation.ts';
export { readSettings, type Settings } from './settings.ts';
export { SETTINGS, SharedModule } from './shared.module.ts';
export { inTransaction, isConnectionLoss, isDuplicate } from './transactions.ts';
