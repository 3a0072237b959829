export { CompareModule } from './compare.module.ts';
export { Conclusion, Prediction } from './idea.entities.ts';
