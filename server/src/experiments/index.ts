export { ExperimentsModule } from './experiments.module.ts';
