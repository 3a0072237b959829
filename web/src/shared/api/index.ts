export { addressOf, ApiFailure, call } from './call.ts';
export {
  comparisonQuery,
  cropsQuery,
  experimentQuery,
  readingsQuery,
  sessionQuery,
  shelfQuery,
} from './queries.ts';
