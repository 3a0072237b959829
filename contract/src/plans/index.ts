export type {
  ContainerView,
  ExperimentView,
  FactorView,
  TreatmentView,
  UnitView,
  VariableView,
} from './experiment-view.ts';
export { TaskRequest, type TaskView, TemplateRequest, type TemplateView } from './plan-extras.ts';
export { ContainerPart, FactorPart, LevelPart, MeasurePart, StepPart } from './plan-parts.ts';
export {
  AssignmentRequest,
  ClassOfExperimentRequest,
  DescriptionRequest,
  FinishRequest,
  LayoutRequest,
  MEASURING_SCALES,
  PlanDocument,
  PlanRequest,
  RunRequest,
  StartRequest,
  UnitRequest,
  UnitTeamPart,
} from './plan-request.ts';
export { planRoutes } from './routes.ts';
