export { cameraOfADay, type CameraSetting, coverAtAge, drawScene, type Scene } from './camera.ts';
export {
  growExperiment,
  type GrownReading,
  type GrownUnit,
  type GrowthSetting,
  NO_EFFECT,
  type TreatmentEffect,
  typicalHeight,
} from './grow-experiment.ts';
export { growthSetting, heightInPot } from './growth-setting.ts';
export {
  type Classroom,
  classroomFrom,
  MISSED_READINGS,
  type LayoutPlace,
  POSITION_SLOPE,
  layoutPlaceOf,
  TEAM_ERROR,
  UNITS_A_TEAM,
} from './classroom.ts';
export { expectedSpread, POT_SHARE, usualSpread } from './plant-spread.ts';
export { chanceReady, chanceUp } from './readiness.ts';
export {
  PRACTICE_KINDS,
  type PracticeKind,
  practiceKinds,
  practiceTask,
  type PracticeTask,
  type StemPoint,
} from './practice.ts';
export { roomAt, type RoomSample, type Sensor, SENSOR_UNITS, SENSORS } from './room.ts';
