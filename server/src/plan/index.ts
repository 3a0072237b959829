export { Crop } from './crop.entity.ts';
export { Container, Factor, Level, Treatment, TreatmentLevel, Unit, Variable } from './design.entities.ts';
export { ContainerSize, PlanTemplate, SeedLot, Task } from './drawer.entities.ts';
export { ClosedDay, Experiment } from './experiment.entity.ts';
export { ExperimentStore, type PlanRows, type StoredPlan } from './experiment-store.ts';
export { PlanModule } from './plan.module.ts';
export { PlanService } from './plan.service.ts';
export { experimentView } from './views.ts';
