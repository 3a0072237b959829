export { CareEvent, CareMove, CareUnit, Logger, LoggerSample } from './care.entities.ts';
export { CareModule } from './care.module.ts';
export { CareService, insertCare, type NewCare } from './care.service.ts';
export { LoggersService } from './loggers.service.ts';
