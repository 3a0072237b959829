import type { InventoryView, SeedLotView } from '@bright-sprout/contract/inventory';
import type { SeedLot } from '@bright-sprout/core/design';
import { calendarWithChanges, type PlanSurroundings } from '@bright-sprout/core/calendar';
import { calendarDay, type CalendarDay } from '@bright-sprout/core/shared';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { containerSizesQuery, cropsQuery, inventoryOfQuery, seedLotsQuery } from '../api/index.ts';
import { useExperiment } from './context.tsx';

/** A packet with every test that the class made of it. */
export function wholeLot(lot: SeedLotView): SeedLot {
  return { ...lot, tests: [...lot.tests, ...lot.experimentTests] };
}

/** What the owner of the open experiment has to plant with; each part undefined until it is here. */
export function useInventory(): { readonly [Part in keyof InventoryView]?: InventoryView[Part] | undefined } {
  const { experiment } = useExperiment();
  const enabled = !experiment.shared;
  const crops = useQuery({ ...cropsQuery, enabled }).data;
  const seedLots = useQuery({ ...seedLotsQuery, enabled }).data;
  const containerSizes = useQuery({ ...containerSizesQuery, enabled }).data;
  const theirs = useQuery({ ...inventoryOfQuery(experiment.id), enabled: !enabled }).data;
  return enabled ? { crops, seedLots, containerSizes } : (theirs ?? {});
}

/** The crops and packets that plans are judged with; undefined until they are here. */
export function useSurroundings(): PlanSurroundings | undefined {
  const { crops, seedLots } = useInventory();
  return useMemo(
    () => crops && seedLots && { crops: crops.map((crop) => ({ ...crop })), lots: seedLots.map(wholeLot) },
    [crops, seedLots],
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
