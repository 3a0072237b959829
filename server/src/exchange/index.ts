export { ExchangeModule } from './exchange.module.ts';
export { ExchangeService, type NewExperiment } from './exchange.service.ts';
