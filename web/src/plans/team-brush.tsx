import type { TeamPart } from '@bright-sprout/contract/classes';
import { createContext, type ReactNode, useContext, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { useGiveToClass } from './use-give-to-class.ts';

/** The team that pots on the layout are being given to. */
export interface TeamBrush {
  readonly team: TeamPart | undefined;
  readonly take: (team: TeamPart | undefined) => void;
  /** Gives a unit to the team in hand, or takes it back when the team has it already. */
  readonly give: (unitId: string) => void;
}

const NOTHING: TeamBrush = { team: undefined, take: () => undefined, give: () => undefined };
const Context = createContext<TeamBrush>(NOTHING);

/** The brush in hand; on a layout outside a plan there is none. */
export function useTeamBrush(): TeamBrush {
  return useContext(Context);
}

/** Holds the team in hand for the parts of a plan and its layout. */
export function TeamBrushProvider({ children }: { children: ReactNode }) {
  const { experiment } = useExperiment();
  const [team, setTeam] = useState<TeamPart>();
  const save = useGiveToClass();
  const give = (unitId: string): void => {
    if (!team) return;
    const units = experiment.units.map((unit) => ({
      unitId: unit.id,
      teamId: unit.id === unitId ? (unit.teamId === team.id ? null : team.id) : unit.teamId,
    }));
    save.mutate({ classId: experiment.classId, units });
  };
  return <Context.Provider value={{ team, take: setTeam, give }}>{children}</Context.Provider>;
}
