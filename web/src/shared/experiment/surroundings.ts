import type { SeedLotView } from '@bright-sprout/contract/inventory';
import type { SeedLot } from '@bright-sprout/core/design';
import { calendarWithChanges, type PlanSurroundings } from '@bright-sprout/core/calendar';
import { calendarDay, type CalendarDay } from '@bright-sprout/core/shared';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { cropsQuery, seedLotsQuery } from '../api/index.ts';
import { useExperiment } from './context.tsx';

/** A packet with every test that the class made of it. */
export function wholeLot(lot: SeedLotView): SeedLot {
  return { ...lot, tests: [...lot.tests, ...lot.experimentTests] };
}

/** The crops and packets that plans are judged with; undefined until they are here. */
export function useSurroundings(): PlanSurroundings | undefined {
  const crops = useQuery(cropsQuery).data;
  const lots = useQuery(seedLotsQuery).data;
  return useMemo(
    () => crops && lots && { crops: crops.map((crop) => ({ ...crop })), lots: lots.map(wholeLot) },
    [crops, lots],
  );
}

/** The calendar of the open experiment's plan, with what was changed of it; undefined where there is no plan. */
export function useCalendar(): ReturnType<typeof calendarWithChanges> | undefined {
  const { experiment } = useExperiment();
  const surroundings = useSurroundings();
  return useMemo(() => {
    if (!experiment.plan || !surroundings) return undefined;
    const changes = experiment.tasks.map((task) => ({
      ...task,
      movedTo: dayOrNull(task.movedTo),
      doneOn: dayOrNull(task.doneOn),
    }));
    return calendarWithChanges(experiment.plan, surroundings, changes);
  }, [experiment.plan, experiment.tasks, surroundings]);
}

function dayOrNull(day: string | null): CalendarDay | null {
  return day === null ? null : calendarDay(day);
}
