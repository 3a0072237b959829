export {
  CropRequest,
  CropView,
  DayRangeView,
  MeasuredSpreadView,
  TemperatureRangeView,
} from './crop-view.ts';
export {
  ContainerView,
  ExperimentView,
  FactorView,
  TreatmentView,
  UnitView,
  VariableView,
} from './experiment-view.ts';
export {
  ContainerSizeRequest,
  ContainerSizeView,
  TaskRequest,
  TaskView,
  TemplateRequest,
  TemplateView,
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
export { GerminationTestPart, SeedLotRequest, SeedLotView } from './seed-lot.ts';
