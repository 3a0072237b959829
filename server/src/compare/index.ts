export { CompareModule } from './compare.module.ts';
export { compareTasks } from './heavy-tasks.ts';
export { Conclusion, Prediction } from './idea.entities.ts';
