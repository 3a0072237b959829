import type { ExperimentView, TreatmentView, UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { createContext, useContext } from 'react';
import type { Findings } from './findings.ts';

/** What every stage of an experiment works on. */
export interface OpenExperiment {
  readonly experiment: ExperimentView;
  readonly readings: readonly ReadingView[];
  /** The variable that the plan measures first. */
  readonly variable: VariableView;
  readonly findings: Findings;
  /** Day chosen on the timeline. */
  readonly day: string;
  readonly setDay: (day: string) => void;
}

const Context = createContext<OpenExperiment | undefined>(undefined);

/** Gives the stages their experiment. */
export const ExperimentProvider = Context.Provider;

/** The experiment that is open. */
export function useExperiment(): OpenExperiment {
  const open = useContext(Context);
  if (!open) throw new Error('no experiment is open here');
  return open;
}

/** The treatment of a unit. */
export function treatmentOf(experiment: ExperimentView, unit: UnitView): TreatmentView {
  const treatment = experiment.treatments.find(({ id }) => id === unit.treatmentId);
  if (!treatment) throw new Error(`unit ${unit.number} has no treatment`);
  return treatment;
}
