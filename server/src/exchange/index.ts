export { ExchangeModule } from './exchange.module.ts';
export { ExchangeService, type NewExperiment } from './exchange.service.ts';
export { exchangeTasks } from './heavy-tasks.ts';
