export { useChanges, useIsStale } from './use-changes.ts';
