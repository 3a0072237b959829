import { say } from '@bright-sprout/words/student';
import { MOST_CLAIM_CHARACTERS } from '@bright-sprout/core/shared';
import type { StudentIdeasView } from '@bright-sprout/contract/predictions';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { v7 as uuid } from 'uuid';
import { useKeep, useOutboxItems } from '../shared/outbox/index.ts';
import { ClaimNotes, FailureNote } from '../shared/ui/index.ts';
import { ideasQuery } from './queries.ts';
import type { AtDevice } from './use-keep-own.ts';

/** What a student thinks: a guess before, a conclusion after. */
export function IdeasScreen({ at, onBack }: { at: AtDevice; onBack: () => void }) {
  const { data, error } = useQuery(ideasQuery);
  const ideas = useWithWaitingIdeas(data);
  return (
    <main className="ideas-screen">
      <Button variant="light" onClick={onBack}>
        {say('backToMyPots')}
      </Button>
      <FailureNote error={ideas ? undefined : error} />
      {ideas?.length === 0 && <p>{say('yourClassHasNoExperimentToThink')}</p>}
      {ideas?.map((idea) => (
        <section key={idea.experimentId} className="panel" aria-label={idea.question}>
          <h1>{idea.question}</h1>
          {idea.choices.length > 0 && <Guess idea={idea} at={at} />}
          {idea.measured > 0 && !isToGuess(idea) && <Conclude idea={idea} at={at} />}
        </section>
      ))}
    </main>
  );
}

/** What was measured is shown once there is nothing more to guess: a guess beside it would be none. */
function isToGuess({ choices, canGuess, ownChoice }: StudentIdeasView): boolean {
  return choices.length > 0 && canGuess && ownChoice === null;
}

function Guess({ idea, at }: { idea: StudentIdeasView; at: AtDevice }) {
  const queries = useQueryClient();
  const keep = useKeep();
  const guess = useMutation({
    mutationFn: (choice: string) => {
      const predictionId = uuid();
      return keep({
        route: 'keepOwnPrediction',
        experimentId: idea.experimentId,
        params: { predictionId },
        body: { choice, experimentId: idea.experimentId },
        label: say('aGuess', { displayName: at.displayName }),
      });
    },
    onSuccess: () => queries.invalidateQueries(ideasQuery),
  });
  const isOver = !idea.canGuess || (idea.measured > 0 && idea.ownChoice !== null);
  if (isOver) return idea.ownChoice ? <p>{say('youGuessed', { ownChoice: idea.ownChoice })}</p> : null;
  return (
    <div role="group" aria-label={idea.prompt}>
      <h2>{idea.prompt}</h2>
      <div className="big-answers">
        {idea.choices.map((choice) => (
          <Button
            key={choice}
            size="lg"
            variant={choice === idea.ownChoice ? 'primary' : 'light'}
            aria-pressed={choice === idea.ownChoice}
            disabled={guess.isPending}
            onClick={() => guess.mutate(choice)}
          >
            {choice}
          </Button>
        ))}
      </div>
      <p className="quiet" role="status">
        {idea.ownChoice ? say('yourGuessIsKeptOthersSeeOnly') : say('thereIsNoWrongGuess')}
      </p>
      <FailureNote error={guess.error} />
    </div>
  );
}

function Conclude({ idea, at }: { idea: StudentIdeasView; at: AtDevice }) {
  const queries = useQueryClient();
  const [claim, setClaim] = useState(idea.own?.claim ?? '');
  const [reasoning, setReasoning] = useState(idea.own?.reasoning ?? '');
  const [id, setId] = useState(() => uuid());
  const keepOwn = useKeep();
  const keep = useMutation({
    mutationFn: () =>
      keepOwn({
        route: 'keepOwnConclusion',
        experimentId: idea.experimentId,
        params: { conclusionId: id },
        body: { claim, reasoning, evidence: idea.evidence.join('\n'), experimentId: idea.experimentId },
        label: say('aConclusion', { displayName: at.displayName }),
      }),
    onSuccess: () => {
      setId(uuid());
      return queries.invalidateQueries(ideasQuery);
    },
  });
  return (
    <Form
      className="conclude"
      aria-label={say('whatDidWeFindOut')}
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <h2>{say('whatDidWeFindOut')}</h2>
      <p>{say('thisIsWhatWeMeasured')}</p>
      <ul>
        {idea.evidence.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Form.Group controlId={`claim-${idea.experimentId}`}>
        <Form.Label>{say('iSayThat')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          maxLength={MOST_CLAIM_CHARACTERS}
          value={claim}
          onChange={(event) => setClaim(event.target.value)}
        />
      </Form.Group>
      <ClaimNotes claim={claim} />
      <Form.Group controlId={`why-${idea.experimentId}`}>
        <Form.Label>{say('because')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          maxLength={MOST_CLAIM_CHARACTERS}
          value={reasoning}
          onChange={(event) => setReasoning(event.target.value)}
        />
      </Form.Group>
      <FailureNote error={keep.error} />
      <div className="button-row">
        <Button type="submit" size="lg" disabled={claim.trim() === '' || keep.isPending}>
          {say('keepIt')}
        </Button>
        {keep.isSuccess && <span role="status">{say('kept')}</span>}
      </div>
    </Form>
  );
}

/** What a student thinks with the guesses that wait on this device. */
function useWithWaitingIdeas(
  ideas: readonly StudentIdeasView[] | undefined,
): readonly StudentIdeasView[] | undefined {
  const items = useOutboxItems();
  return ideas?.map((idea) => {
    const waiting = items.filter(
      ({ route, experimentId }) => route === 'keepOwnPrediction' && experimentId === idea.experimentId,
    );
    const last = waiting.at(-1)?.body as { choice: string } | undefined;
    return last ? { ...idea, ownChoice: last.choice } : idea;
  });
}
