export {
  CropRequest,
  type CropView,
  DayRangeView,
  type MeasuredSpreadView,
  TemperatureRangeView,
} from './crop-view.ts';
export type {
  ContainerView,
  ExperimentView,
  FactorView,
  TreatmentView,
  UnitView,
  VariableView,
} from './experiment-view.ts';
export {
  ContainerSizeRequest,
  type ContainerSizeView,
  TaskRequest,
  type TaskView,
  TemplateRequest,
  type TemplateView,
} from './plan-extras.ts';
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
export { GerminationTestPart, SeedLotRequest, type SeedLotView } from './seed-lot.ts';
