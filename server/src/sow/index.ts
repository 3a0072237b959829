export { SowModule } from './sow.module.ts';
