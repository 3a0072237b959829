export {
  growExperiment,
  type GrownReading,
  type GrownUnit,
  type GrowthSetting,
  NO_EFFECT,
  type TreatmentEffect,
} from './grow-experiment.ts';
