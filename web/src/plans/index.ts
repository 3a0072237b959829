export { StepTimer } from './step-timer.tsx';
export { useKeepExperiment } from './use-save-plan.ts';
