export { ComparisonModule } from './comparison.module.ts';
export { comparisonTasks } from './heavy-tasks.ts';
