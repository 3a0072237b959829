export { CompareModule } from './compare.module.ts';
