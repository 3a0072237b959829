export { Container, Factor, Level, Treatment, TreatmentLevel, Unit, Variable } from './design.entities.ts';
export { PlanTemplate, Task } from './plan-extras.entities.ts';
export { ClosedDay, Experiment } from './experiment.entity.ts';
export { ExperimentStore, type PlanRows, type StoredPlan } from './experiment-store.ts';
export { growthFactsOf } from './growth-facts.ts';
export { PlansModule } from './plans.module.ts';
export { PlansService } from './plans.service.ts';
export { experimentView } from './views.ts';
