export {
  growExperiment,
  type GrownReading,
  type GrownUnit,
  type GrowthSetting,
  NO_EFFECT,
  type TreatmentEffect,
} from './grow-experiment.ts';
export { growthSetting, USUAL_CV } from './growth-setting.ts';
export { chanceReady, chanceUp } from './readiness.ts';
export {
  PRACTICE_KINDS,
  type PracticeKind,
  practiceTask,
  type PracticeTask,
  type StemPoint,
} from './practice.ts';
export { roomAt, type RoomSample, type Sensor, SENSOR_UNITS, SENSORS } from './room.ts';
