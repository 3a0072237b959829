export { addressOf, ApiFailure, call, send } from './call.ts';
export { keys } from './keys.ts';
export { isPassing, sendFile, timeFor } from './send-file.ts';
export {
  careQuery,
  classesQuery,
  comparisonQuery,
  conclusionsQuery,
  containerSizesQuery,
  cropsQuery,
  experimentQuery,
  journalQuery,
  photosQuery,
  lessonQuery,
  networkQuery,
  registrationQuery,
  pollQuery,
  practiceQuery,
  predictionsQuery,
  readingsQuery,
  seedLotsQuery,
  sensorDaysQuery,
  sessionQuery,
  sessionsQuery,
  experimentsQuery,
  studyQuery,
  ticksQuery,
  templatesQuery,
} from './queries.ts';
