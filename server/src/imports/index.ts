export { ImportsModule } from './imports.module.ts';
export { ImportsService, type NewExperiment } from './imports.service.ts';
export { exchangeTasks } from './heavy-tasks.ts';
