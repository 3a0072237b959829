export { patchQuery, useChanges, useIsStale } from './use-changes.ts';
