import { lessonRoutes } from '@bright-sprout/contract/lessons';
import { predictionRoutes } from '@bright-sprout/contract/predictions';
import type { StudentPart } from '@bright-sprout/contract/classes';
import { type StudentPotView, studentRoutes } from '@bright-sprout/contract/student';
import { type QueryClient, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call, keys } from '../shared/api/index.ts';
import { useOutboxItems } from '../shared/outbox/index.ts';

const DAY_MAY_END_MS = 5 * 60_000;

/** Saves of others arrive as news; a sowing, a closed day or a new experiment is asked for this often. */
const ASK_AGAIN_MS = 15_000;

/** The class that this device joined. */
export const deviceQuery = queryOptions({
  queryKey: keys.ofDevice('class'),
  queryFn: () => call(studentRoutes.device, {}),
  retry: false,
  staleTime: DAY_MAY_END_MS,
});

/** The pots of the student at this device. What another student was shown is kept beside it. */
export function potsQuery(studentId: string) {
  return queryOptions({
    queryKey: keys.ofDevice('pots', studentId),
    queryFn: () => call(studentRoutes.pots, {}),
    refetchInterval: ASK_AGAIN_MS,
  });
}

/**
 * Pots that this device knows from other students, as they are for one who was not here before: without anybody's own
 * reading, and only the team's.
 */
function potsOfOthers(
  queries: QueryClient,
  { teamId }: Pick<StudentPart, 'teamId'>,
): StudentPotView[] | undefined {
  const known = queries
    .getQueriesData<StudentPotView[]>({ queryKey: keys.ofDevice('pots') })
    .flatMap(([, pots]) => pots ?? []);
  if (known.length === 0) return undefined;
  const isShared = teamId === null || known.every((pot) => pot.teamId === null);
  const own = known.filter((pot) => isShared || pot.teamId === teamId);
  return [...new Map(own.map((pot) => [pot.unitId, pot])).values()].map((pot) => ({
    ...pot,
    own: null,
    others: pot.others.map((other) => ({ ...other, own: null })),
  }));
}

/** What the student's team sows now. */
export const sowingQuery = queryOptions({
  queryKey: keys.ofDevice('sowing'),
  queryFn: () => call(studentRoutes.sowing, {}),
  refetchInterval: ASK_AGAIN_MS,
});

/** What the class is asked now: none or one. It is told when that changes. */
export const pollsQuery = queryOptions({
  queryKey: keys.ofDevice('poll'),
  queryFn: () => call(lessonRoutes.studentPoll, {}),
  refetchInterval: ASK_AGAIN_MS,
});

/** What the student may guess and conclude about. */
export const ideasQuery = queryOptions({
  queryKey: keys.ofDevice('ideas'),
  queryFn: () => call(predictionRoutes.studentIdeas, {}),
});

/** The pots with what still waits on this device in its place. */
export function usePots(student: StudentPart): {
  pots: readonly StudentPotView[] | undefined;
  error: unknown;
  isLoading: boolean;
} {
  const queries = useQueryClient();
  const studentId = student.id;
  const answer = useQuery(potsQuery(studentId));
  const isOut = answer.error !== null || answer.fetchStatus === 'paused';
  const data = useMemo(
    () => answer.data ?? (isOut ? potsOfOthers(queries, student) : undefined),
    [answer.data, isOut, queries, student],
  );
  const items = useOutboxItems();
  const pots = useMemo(() => {
    const waiting = items
      .filter((item) => item.studentId === studentId)
      .flatMap((item) => item.reading ?? []);
    return data?.map((pot): StudentPotView => {
      const ofPot = waiting.filter((reading) => reading.unitId === pot.unitId);
      const own = ofPot.filter((reading) => reading.variableId === pot.variable.id).at(-1);
      return {
        ...pot,
        ...(own ? { own, isReadToday: own.state !== 'not_read' } : {}),
        others: pot.others.map((other) => ({
          ...other,
          own: ofPot.filter((reading) => reading.variableId === other.variable.id).at(-1) ?? other.own,
        })),
      };
    });
  }, [data, items, studentId]);
  return { pots, error: pots ? null : answer.error, isLoading: answer.isLoading };
}
