export { LiveModule } from './live.module.ts';
