import { lessonRoutes, type PollRequest, type PollView } from '@bright-sprout/contract/lessons';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { v5 as uuidOf } from 'uuid';
import { ApiFailure, call, pollQuery } from '../../shared/api/index.ts';

/** A vote of the class, and how to ask, close and count. */
export interface ClassPoll {
  /** `null` before anybody was asked. */
  readonly poll: PollView | null;
  readonly error: unknown;
  keep: (changes: Partial<PollRequest>) => void;
}

/**
 * The vote of a board in one giving of a lesson: given again, the class is asked anew.
 * @param begunAt when the lesson began; empty while none is given, and nobody is asked
 */
export function useClassPoll(
  experimentId: string,
  boardId: string,
  begunAt: string,
  asked: Pick<PollRequest, 'prompt' | 'choices'>,
): ClassPoll {
  const pollId = uuidOf(begunAt, boardId);
  const queries = useQueryClient();
  const query = pollQuery(experimentId, pollId);
  const { data, error } = useQuery({ ...query, enabled: begunAt !== '' });
  const isNew = error instanceof ApiFailure && error.body.code === 'not_found';
  const poll = data ?? null;
  const save = useMutation({
    scope: { id: `poll-${pollId}` },
    mutationFn: (body: PollRequest) =>
      call(lessonRoutes.keepPoll, { params: { experimentId, pollId }, body }),
    onSuccess: (kept) => queries.setQueryData(query.queryKey, kept),
  });
  return {
    poll,
    error: save.error ?? (isNew ? null : error),
    keep: (changes) => {
      const now = {
        ...asked,
        isOpen: poll?.isOpen ?? false,
        hands: [...(poll?.hands ?? asked.choices.map(() => 0))],
      };
      const next = { ...now, ...changes, choices: [...(poll?.choices ?? asked.choices)] };
      if (poll)
        queries.setQueryData<PollView>(query.queryKey, { ...poll, hands: next.hands, isOpen: next.isOpen });
      save.mutate(next);
    },
  };
}
