export { StepTimer } from './step-timer.tsx';
export { findingStyleOf } from './finding-style.ts';
export { useReviewOf } from './use-review.ts';
export { unsavedOf } from './unsaved.ts';
export { useKeepExperiment } from './use-save-plan.ts';
