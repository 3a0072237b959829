export { StepTimer } from './step-timer.tsx';
export { unsavedOf } from './unsaved.ts';
export { useKeepExperiment } from './use-save-plan.ts';
