import type { ReactNode } from 'react';
import { StandStill } from '../ui/index.ts';
import { useExperiment } from './context.tsx';

/** False for a co-teacher who may only see the experiment. */
export function useMayChange(): boolean {
  return useExperiment().experiment.shared?.may !== 'see';
}

/** What there is only for who may change the experiment. */
export function ForWhoMayChange({ children }: { children: ReactNode }) {
  return useMayChange() ? children : null;
}

/** Controls that stand still for a co-teacher who may only see the experiment. */
export function IfMayChange({ children }: { children: ReactNode }) {
  return <StandStill isOn={!useMayChange()}>{children}</StandStill>;
}
