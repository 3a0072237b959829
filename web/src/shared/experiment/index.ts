export { ExperimentProvider, type OpenExperiment, treatmentOf, useExperiment } from './context.tsx';
export {
  type Findings,
  findingsOf,
  findingText,
  scaleOf,
  type Standing,
  standingOn,
  styleOf,
  unreadUnits,
} from './findings.ts';
export { useGrowthFacts } from './growth-facts.ts';
export { usePotSowing } from './pot-sowing.ts';
export { useCalendar, useSurroundings, wholeLot } from './surroundings.ts';
export { TreatmentKey } from './treatment-key.tsx';
