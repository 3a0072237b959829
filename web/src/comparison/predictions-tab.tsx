import { predictionRoutes, type PredictionView } from '@bright-sprout/contract/predictions';
import { isClearPair } from '@bright-sprout/core/comparison';
import { computedText } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Minus, Plus } from 'lucide-react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { call, predictionsQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { useKeep } from '../shared/outbox/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { Answer } from './answer-tab.tsx';
import { type ShownComparison, useComparison } from './compare-context.tsx';

/** Predictions: how many guessed what, beside what happened. Nobody’s name is shown. */
export function PredictionsTab() {
  const { experiment, readings } = useExperiment();
  const prompt = experiment.plan?.prediction;
  const { data: guesses = [], error } = useQuery(predictionsQuery(experiment.id));
  const { shown } = useComparison([]);
  if (error) return <FailureNote error={error} />;
  if (!prompt || prompt.choices.length === 0) {
    return (
      <div className="panel">
        <h2>No question to guess at</h2>
        <p>
          A guess made before makes the answer worth waiting for. Write a question with two or more answers in{' '}
          <Link to="../plan?part=question">Plan, Question</Link>.
        </p>
      </div>
    );
  }
  const early = guesses.filter((guess) => guess.isEarly).length;
  const found = shown && readings.length > 0 ? matching(prompt.choices, shown) : undefined;
  return (
    <>
      <h2 className="headline">{prompt.prompt}</h2>
      <section className="panel" aria-label="Guesses">
        <p className="quiet">
          {guesses.length === 0
            ? 'No guesses yet. Students guess on the tablet; a show of hands is counted with + and −.'
            : `${guesses.length} ${guesses.length === 1 ? 'guess' : 'guesses'}, ${early} of them before anything was up.`}
        </p>
        <div className="guesses">
          {prompt.choices.map((choice) => (
            <Choice
              key={choice}
              choice={choice}
              guesses={guesses.filter((guess) => guess.choice === choice)}
              most={Math.max(
                1,
                ...prompt.choices.map((one) => guesses.filter((guess) => guess.choice === one).length),
              )}
              isFound={found?.choice === choice}
            />
          ))}
        </div>
        {found && <p>{found.words}</p>}
      </section>
      {shown && readings.length > 0 && (
        <>
          <h2 className="tab-title">What happened</h2>
          <Answer shown={shown} />
          <p className="quiet">
            A guess that did not come true is as good as one that did: both had a reason. What made us think
            so?
          </p>
        </>
      )}
    </>
  );
}

/**
 * The choice that names the group with the largest mean, when the pots tell it from the next; the choice of no
 * difference only where no pair at all can be told apart.
 */
function matching(
  choices: readonly string[],
  { comparison, groups, style }: ShownComparison,
): { choice: string; words: string } | undefined {
  const named = groups.filter((group) => choices.includes(group.name));
  if (named.length < 2) return undefined;
  const means = comparison.groups.flatMap((group) => {
    const own = named.find(({ id }) => id === group.groupId);
    return own && group.description.mean.defined ? [{ ...own, mean: group.description.mean.value }] : [];
  });
  const [top, next] = [...means].sort((a, b) => b.mean - a.mean);
  if (!top || !next) return undefined;
  const pair = comparison.pairs.find(
    (one) =>
      (one.firstId === top.id && one.secondId === next.id) ||
      (one.firstId === next.id && one.secondId === top.id),
  );
  if (pair && isClearPair(pair)) {
    return {
      choice: top.name,
      words: `Largest so far: ${top.name}, ${computedText(top.mean, style)} on average, before ${next.name}, ${computedText(next.mean, style)}.`,
    };
  }
  const isAllAlike = !comparison.pairs.some(isClearPair);
  const none = choices.find((choice) => /no difference|the same|cannot tell/i.test(choice));
  const words = `${top.name} and ${next.name} are too close for these pots to tell which is first.`;
  return { choice: (isAllAlike ? none : undefined) ?? '', words };
}

function Choice({
  choice,
  guesses,
  most,
  isFound,
}: {
  choice: string;
  guesses: readonly PredictionView[];
  most: number;
  isFound: boolean;
}) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const experimentId = experiment.id;
  const keep = useKeep();
  const onSuccess = () => queries.invalidateQueries(predictionsQuery(experimentId));
  const add = useMutation({
    mutationFn: () => {
      const id = uuid();
      const params = { experimentId, predictionId: id };
      const label = `A guess: ${choice}`;
      return keep({ id, route: 'keepPrediction', experimentId, params, body: { choice }, label });
    },
    onSuccess,
  });
  const last = guesses.at(-1);
  const remove = useMutation({
    mutationFn: () =>
      call(predictionRoutes.removePrediction, { params: { experimentId, predictionId: last?.id ?? '' } }),
    onSuccess,
  });
  return (
    <div className={isFound ? 'guess is-found' : 'guess'}>
      <span className="guess-name">
        {choice}
        {isFound && <small>what the pots say so far</small>}
      </span>
      <span className="guess-bar" aria-hidden="true">
        <i style={{ width: `${(100 * guesses.length) / most}%` }} />
      </span>
      <b>{guesses.length}</b>
      {experiment.status !== 'finished' && (
        <span className="guess-hands">
          <button
            type="button"
            className="pill"
            aria-label={`One more for ${choice}`}
            onClick={() => add.mutate()}
          >
            <Plus size={16} aria-hidden="true" />
          </button>
          <button
            type="button"
            className="pill"
            aria-label={`One fewer for ${choice}`}
            disabled={!last}
            onClick={() => remove.mutate()}
          >
            <Minus size={16} aria-hidden="true" />
          </button>
        </span>
      )}
      <FailureNote error={add.error ?? remove.error} />
    </div>
  );
}
