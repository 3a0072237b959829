export * from './experiment-view.ts';
export { TaskRequest, type TaskView, TemplateRequest, type TemplateView } from './plan-extras.ts';
export { ContainerPart, FactorPart, LevelPart, MeasurePart, StepPart } from './plan-parts.ts';
export * from './plan-request.ts';
export { planRoutes } from './routes.ts';
