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
export { ForWhoMayChange, IfMayChange, useMayChange } from './if-may-change.tsx';
export { useGrowthFacts } from './growth-facts.ts';
export { usePotSowing } from './pot-sowing.ts';
export { useCalendar, useInventory, useSurroundings, wholeLot } from './surroundings.ts';
export { TreatmentKey } from './treatment-key.tsx';
