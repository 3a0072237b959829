export {
  growExperiment,
  type GrownReading,
  type GrownUnit,
  type GrowthSetting,
  NO_EFFECT,
  type TreatmentEffect,
} from './grow-experiment.ts';
export { growthSetting, USUAL_CV } from './growth-setting.ts';
export { chanceReady, chanceUp, heightSpread, type HeightSpread } from './readiness.ts';
