export { useKeepExperiment } from './use-save-plan.ts';
