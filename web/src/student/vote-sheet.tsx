import { say } from '@bright-sprout/words/student';
import type { StudentPollView } from '@bright-sprout/contract/lessons';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Vote } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { v7 as uuid } from 'uuid';
import { useKeep, useOutboxItems } from '../shared/outbox/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { pollsQuery } from './queries.ts';

/** What the class is asked, over whatever is open: nothing under it moves or is lost. */
export function VoteSheet({ studentId, displayName }: { studentId: string; displayName: string }) {
  const [poll] = useQuery(pollsQuery).data ?? [];
  const [putAway, setPutAway] = useState<string>();
  if (!poll) return null;
  if (putAway === poll.id) {
    return (
      <Button className="vote-chip" onClick={() => setPutAway(undefined)}>
        <Vote size={22} aria-hidden="true" /> {say('theVote')}
      </Button>
    );
  }
  return (
    <section className="vote-sheet" aria-label={say('theVote')}>
      <VoteChoices
        key={`${poll.id} ${studentId}`}
        poll={poll}
        studentId={studentId}
        displayName={displayName}
      />
      <Button variant="light" onClick={() => setPutAway(poll.id)}>
        {say('putTheVoteAway')}
      </Button>
    </section>
  );
}

function VoteChoices({
  poll,
  studentId,
  displayName,
}: {
  poll: StudentPollView;
  studentId: string;
  displayName: string;
}) {
  const queries = useQueryClient();
  const keep = useKeep();
  const waiting = useOutboxItems().findLast(
    (item) => item.route === 'keepOwnVote' && item.studentId === studentId && item.body.pollId === poll.id,
  );
  // What was just chosen stays chosen while it goes from this device to the server and back.
  const [chosen, setChosen] = useState<number>();
  const own = waiting?.route === 'keepOwnVote' ? waiting.body.choice : (chosen ?? poll.ownChoice);
  const vote = useMutation({
    mutationFn: (choice: number) =>
      keep(
        {
          route: 'keepOwnVote',
          experimentId: poll.experimentId,
          params: { voteId: uuid() },
          body: { pollId: poll.id, choice },
          label: say('aVoteOf', { displayName }),
        },
        () =>
          queries.setQueryData(pollsQuery.queryKey, (polls) =>
            polls?.map((one) => (one.id === poll.id ? { ...one, ownChoice: choice } : one)),
          ),
      ),
    onError: () => setChosen(undefined),
  });
  return (
    <>
      <h2>{poll.prompt}</h2>
      <div className="big-answers" role="group" aria-label={poll.prompt}>
        {poll.choices.map((choice, at) => (
          <Button
            key={choice}
            size="lg"
            variant={at === own ? 'primary' : 'light'}
            aria-pressed={at === own}
            disabled={vote.isPending}
            onClick={() => {
              setChosen(at);
              vote.mutate(at);
            }}
          >
            {choice}
          </Button>
        ))}
      </div>
      <p role="status">{own === null ? say('thereIsNoWrongGuess') : say('yourVoteIsKept')}</p>
      <FailureNote error={vote.error} />
    </>
  );
}
