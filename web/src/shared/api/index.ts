export { addressOf, ApiFailure, call } from './call.ts';
export {
  classesQuery,
  comparisonQuery,
  containerSizesQuery,
  cropsQuery,
  experimentQuery,
  readingsQuery,
  seedLotsQuery,
  sessionQuery,
  shelfQuery,
  templatesQuery,
} from './queries.ts';
