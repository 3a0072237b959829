import { keys } from '../shared/api/index.ts';
import { say } from '@bright-sprout/words/student';
import type { ReadingRequest, ReadingView } from '@bright-sprout/contract/readings';
import type { DeviceView, StudentEntryRequest, StudentPotView } from '@bright-sprout/contract/student';
import type { ReadingState } from '@bright-sprout/core/shared';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { findingText } from '../shared/experiment/index.ts';
import { keepFor, type Maker, ownerClass, useIdOf, useKeep, waitingReading } from '../shared/outbox/index.ts';
import { potsQuery } from './queries.ts';

/** Who is at the device. */
export interface AtDevice {
  readonly device: DeviceView;
  readonly studentId: string;
  readonly displayName: string;
}

/** A value as it was entered. */
export interface Entered {
  readonly value: number;
  readonly unit: string;
  readonly text: string;
}

/** What is kept of a pot: a state or a value of one of its variables. */
export interface OwnReading {
  readonly variable: StudentPotView['variable'];
  readonly state: ReadingState;
  readonly entered?: Entered | undefined;
  readonly isReread?: boolean;
}

/** Keeps a student's readings of a pot: on the device first, then sent; trying again sends the same id. */
export function useKeepPot(pot: StudentPotView, at: AtDevice, onDone: () => void) {
  const queries = useQueryClient();
  const keep = useKeep();
  const id = useIdOf();
  return useMutation({
    mutationFn: async (wanted: OwnReading) => {
      const body = requestOf(pot, at.device.today, wanted);
      const readingId = id.of(body);
      const reading = waitingReading(readingId, body, at.displayName);
      await keep(
        {
          id: readingId,
          experimentId: pot.experimentId,
          route: 'keepPot',
          params: { readingId },
          body,
          label: say('pot', {
            displayName: at.displayName,
            number: pot.number,
            findingText: findingText(reading, wanted.variable),
          }),
          reading,
        },
        (own) =>
          queries.setQueryData(potsQuery(at.studentId).queryKey, (pots = []) =>
            pots.map((one) => (one.unitId === pot.unitId ? withOwn(one, own) : one)),
          ),
      );
    },
    onSuccess: () => {
      id.forget();
      onDone();
    },
  });
}

/** What is shown of a pot; a picture as JPEG in base64. */
export interface OwnEntry extends Pick<StudentEntryRequest, 'kind' | 'note' | 'drawing'> {
  readonly picture: string | null;
}

/** Keeps a photo, drawing or sentence of a pot. */
export function useKeepEntry(pot: StudentPotView, at: AtDevice, onDone: () => void) {
  const queries = useQueryClient();
  const keep = useKeep();
  const { experimentId, unitId } = pot;
  return useMutation({
    mutationFn: ({ picture, ...entry }: OwnEntry) => {
      const entryId = uuid();
      return keep({
        id: entryId,
        experimentId,
        route: 'keepOwnEntry',
        params: { entryId },
        body: { ...entry, experimentId, unitId, happenedOn: at.device.today, picture: null },
        label: say('pot2', { displayName: at.displayName, number: pot.number, kind: entry.kind }),
        picture,
      });
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.ofDevice('journal', pot.unitId) });
      onDone();
    },
  });
}

/** Notes that the student's pots of an experiment were watered. */
export function useWater(at: AtDevice) {
  return useMutation({
    mutationFn: async (pots: readonly StudentPotView[]) => {
      for (const experimentId of new Set(pots.map((pot) => pot.experimentId))) {
        const careId = uuid();
        const unitIds = pots.filter((pot) => pot.experimentId === experimentId).map((pot) => pot.unitId);
        const watered = { kind: 'watered', happenedOn: at.device.today, amount: null, note: '' } as const;
        await keepFor(makerOf(at), {
          id: careId,
          experimentId,
          route: 'keepOwnCare',
          params: { careId },
          body: { ...watered, experimentId, unitIds },
          label: say('wateredPots', { displayName: at.displayName, unitIdsCount: unitIds.length }),
        });
      }
    },
  });
}

/** The student at this device as a maker of things. */
export function makerOf({ device, studentId, displayName }: AtDevice): Maker {
  return { owner: ownerClass(device.classId), studentId, displayName };
}

function requestOf(pot: StudentPotView, day: string, wanted: OwnReading): ReadingRequest {
  const { variable, state, entered } = wanted;
  const own =
    variable.id === pot.variable.id
      ? pot.own
      : pot.others.find((other) => other.variable.id === variable.id)?.own;
  return {
    unitId: pot.unitId,
    variableId: variable.id,
    observedOn: day,
    state,
    value: entered?.value ?? null,
    entered: entered?.text ?? '',
    unitOfMeasure: entered?.unit ?? variable.unit,
    precision: variable.step,
    supersedesId: own?.id ?? null,
    isReread: wanted.isReread ?? false,
  };
}

function withOwn(pot: StudentPotView, own: ReadingView): StudentPotView {
  if (own.variableId === pot.variable.id) return { ...pot, own, isReadToday: own.state !== 'not_read' };
  return {
    ...pot,
    others: pot.others.map((other) => (other.variable.id === own.variableId ? { ...other, own } : other)),
  };
}
