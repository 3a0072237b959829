export { CropView, DayRangeView } from './crop-view.ts';
export {
  ContainerView,
  ExperimentView,
  FactorView,
  TreatmentView,
  UnitView,
  VariableView,
} from './experiment-view.ts';
export { MeasuringScale } from './measuring-scale.ts';
export {
  AssignmentRequest,
  DescriptionRequest,
  FinishRequest,
  LayoutRequest,
  LevelRequest,
  MEASURING_SCALES,
  PlanRequest,
  StartRequest,
} from './plan-request.ts';
export { planRoutes } from './routes.ts';
