import { say } from '@bright-sprout/words/comparison';
import { predictionRoutes, type PredictionView } from '@bright-sprout/contract/predictions';
import { isClearPair } from '@bright-sprout/core/comparison';
import { computedText } from '@bright-sprout/core/words';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Minus, Plus } from 'lucide-react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { call, predictionsQuery } from '../shared/api/index.ts';
import { useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { useKeep } from '../shared/outbox/index.ts';
import { Said, FailureNote } from '../shared/ui/index.ts';
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
        <h2>{say('noQuestionToGuessAt')}</h2>
        <p>
          <Said
            by={say}
            code="aGuessMadeBeforeMakesTheAnswer"
            values={{ link: (parts) => <Link to="../plan?part=question">{parts}</Link> }}
          />
        </p>
      </div>
    );
  }
  const early = guesses.filter((guess) => guess.isEarly).length;
  const found = shown && readings.length > 0 ? matching(prompt.choices, shown) : undefined;
  return (
    <>
      <h2 className="headline">{prompt.prompt}</h2>
      <section className="panel" aria-label={say('guesses')}>
        <p className="quiet">
          {guesses.length === 0
            ? say('noGuessesYetStudentsGuessOnThe')
            : say('guessesOfThemBeforeAnythingWasUp', { guessesCount: guesses.length, early })}
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
          <h2 className="tab-title">{say('whatHappened')}</h2>
          <Answer shown={shown} />
          <p className="quiet">{say('aGuessThatDidNotComeTrue')}</p>
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
      words: say('largestSoFarOnAverageBefore', {
        top: top.name,
        computedText: computedText(top.mean, style),
        next: next.name,
        computedText2: computedText(next.mean, style),
      }),
    };
  }
  const isAllAlike = !comparison.pairs.some(isClearPair);
  const none = choices.find((choice) => /no difference|the same|cannot tell/i.test(choice));
  const words = say('andAreTooCloseForThesePots', { top: top.name, next: next.name });
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
  const mayChange = useMayChange();
  const queries = useQueryClient();
  const experimentId = experiment.id;
  const keep = useKeep();
  const onSuccess = () => queries.invalidateQueries(predictionsQuery(experimentId));
  const add = useMutation({
    mutationFn: () => {
      const id = uuid();
      const params = { experimentId, predictionId: id };
      const label = say('aGuess', { choice });
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
        {isFound && <small>{say('whatThePotsSaySoFar')}</small>}
      </span>
      <span className="guess-bar" aria-hidden="true">
        <i style={{ width: `${(100 * guesses.length) / most}%` }} />
      </span>
      <b>{guesses.length}</b>
      {mayChange && experiment.status !== 'finished' && (
        <span className="guess-hands">
          <button
            type="button"
            className="pill"
            aria-label={say('oneMoreFor', { choice })}
            onClick={() => add.mutate()}
          >
            <Plus size={16} aria-hidden="true" />
          </button>
          <button
            type="button"
            className="pill"
            aria-label={say('oneFewerFor', { choice })}
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
