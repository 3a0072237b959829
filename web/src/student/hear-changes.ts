import type { ChangedThing } from '@bright-sprout/core/shared';
import { keys } from '../shared/api/index.ts';
import type { ChangeEvent, ReadPot } from '@bright-sprout/contract/live';
import type { DeviceView, StudentPotView } from '@bright-sprout/contract/student';
import type { QueryClient } from '@tanstack/react-query';
import { patchQuery } from '../shared/live/index.ts';
import { deviceQuery } from './queries.ts';

const POTS = keys.ofDevice('pots');

/** Brings a tablet up to date with what others of the class saved; it asks only where it cannot know. */
export function hearOfClass(queries: QueryClient, { thing, read }: ChangeEvent): void {
  if (NOT_FOR_DEVICES.includes(thing)) return;
  if (thing === 'poll') {
    void queries.invalidateQueries({ queryKey: keys.ofDevice('poll') });
    return;
  }
  if (thing === 'readings' && read) {
    const today = queries.getQueryData<DeviceView>(deviceQuery.queryKey)?.today;
    const pots = queries.getQueriesData<StudentPotView[]>({ queryKey: POTS }).flatMap(([, own]) => own ?? []);
    const isOwnCorrected = read.some(
      ({ isCorrection, unitId }) =>
        isCorrection && pots.some((pot) => pot.unitId === unitId && pot.own !== null),
    );
    if (isOwnCorrected) void queries.invalidateQueries({ queryKey: POTS });
    else patchQuery<StudentPotView[]>(queries, POTS, (kept) => withRead(kept, read, today));
    return;
  }
  void queries.invalidateQueries({ queryKey: POTS });
  if (thing === 'sowing') void queries.invalidateQueries({ queryKey: keys.ofDevice('sowing') });
}

/** Pots of which somebody read the first variable today are marked so; the rest stays as it is. */
export function withRead(
  pots: readonly StudentPotView[],
  read: readonly ReadPot[],
  today: string | undefined,
): StudentPotView[] {
  return pots.map((pot) => {
    const isRead = read.some(
      ({ unitId, variableId, observedOn, state }) =>
        unitId === pot.unitId &&
        variableId === pot.variable.id &&
        observedOn === today &&
        state !== 'not_read',
    );
    return isRead && !pot.isReadToday ? { ...pot, isReadToday: true } : pot;
  });
}

/** What no page of a device shows as it comes. */
const NOT_FOR_DEVICES: readonly ChangedThing[] = ['journal', 'photos', 'lesson', 'votes'];
