export { CareEvent, Logger, LoggerSample } from './care.entities.ts';
export { CareModule } from './care.module.ts';
export { CareService } from './care.service.ts';
export { LoggersService } from './loggers.service.ts';
