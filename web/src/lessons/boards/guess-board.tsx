import { say } from '@bright-sprout/words/lessons';
import { boardTitle, lineUpCounts } from '@bright-sprout/core/words';
import { Minus, Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useExperiment } from '../../shared/experiment/index.ts';
import { FailureNote } from '../../shared/ui/index.ts';
import { CurvesDrawing } from '../curves-drawing.tsx';
import { useLessonPlace } from '../lesson-place.ts';
import { WithComparison } from './answer-boards.tsx';
import type { BoardProps } from './plain-boards.tsx';
import { type ClassPoll, useClassPoll } from './use-poll.ts';

/** The class guesses; then growth draws itself, the dots land, and the sentence appears. */
export function GuessBoard({
  board,
  now,
  begunAt,
  isRevealed,
  onReveal,
}: BoardProps & {
  /** Of the lesson that is given; empty at the desk. */
  begunAt: string;
  isRevealed: boolean;
  onReveal: (isRevealed: boolean) => void;
}) {
  const { experiment, variable } = useExperiment();
  const place = useLessonPlace();
  const prompt = experiment.plan?.prediction;
  const usual = [...now.groups.map(({ name }) => name), say('noDifferenceWeCanSee')];
  const choices = prompt && prompt.choices.length > 1 ? prompt.choices : usual;
  const asked = { prompt: (prompt?.prompt ?? '') || say('whichWillBeTallest'), choices: [...choices] };
  const poll = useClassPoll(experiment.id, board.id, begunAt, asked);
  useClosedOnceSeen(poll, isRevealed && place === 'room');
  return (
    <div className={isRevealed ? 'guess-board is-revealed' : 'guess-board'}>
      <h2>{boardTitle('guess', now.level)}</h2>
      <div>
        <p className="board-question">{asked.prompt}</p>
        <Tally poll={poll} asked={asked} now={now} isRevealed={isRevealed} />
        {place === 'desk' && <p className="quiet">{say('votingIsOnTheProjector')}</p>}
        <FailureNote error={poll.error} />
        {place === 'room' && <VoteButtons poll={poll} isRevealed={isRevealed} onReveal={onReveal} />}
      </div>
      {isRevealed && (
        <WithComparison now={now}>
          {({ comparison }) => (
            <div className="revealed" key={begunAt}>
              <CurvesDrawing
                className="draws-itself"
                comparison={comparison}
                groups={now.groups}
                style={now.style}
                variableName={variable.name}
              />
              <p className="board-headline appears-last">{comparison.words.headline}</p>
              <p className="board-n quiet appears-last">{lineUpCounts(now.plants)}</p>
            </div>
          )}
        </WithComparison>
      )}
    </div>
  );
}

/** Nobody votes on what is seen, whichever device showed it. */
function useClosedOnceSeen({ poll, keep }: ClassPoll, isSeen: boolean): void {
  const isToClose = isSeen && poll?.isOpen === true;
  useEffect(() => {
    if (isToClose) keep({ isOpen: false });
  }, [isToClose, keep]);
}

function VoteButtons({
  poll,
  isRevealed,
  onReveal,
}: {
  poll: ClassPoll;
  isRevealed: boolean;
  onReveal: (isRevealed: boolean) => void;
}) {
  const isOpen = poll.poll?.isOpen === true;
  return (
    <div className="pills">
      {!isRevealed && (
        <Button variant={isOpen ? 'light' : 'primary'} onClick={() => poll.keep({ isOpen: !isOpen })}>
          {isOpen ? say('closeTheVote') : poll.poll ? say('openTheVoteAgain') : say('askTheTablets')}
        </Button>
      )}
      <Button variant={isRevealed ? 'light' : 'primary'} onClick={() => onReveal(!isRevealed)}>
        {isRevealed ? say('backToTheVote') : say('letUsSee')}
      </Button>
    </div>
  );
}

/** How many chose what: tablets and hands together, and beside them what was guessed before sowing. Nobody is named. */
function Tally({
  poll: { poll, keep },
  asked,
  now,
  isRevealed,
}: {
  poll: ClassPoll;
  asked: { choices: readonly string[] };
  now: BoardProps['now'];
  isRevealed: boolean;
}) {
  const place = useLessonPlace();
  const choices = poll?.choices ?? asked.choices;
  const votes = choices.map((_, at) => (poll?.tablets[at] ?? 0) + (poll?.hands[at] ?? 0));
  const before = choices.map((choice) => now.guesses.find((one) => one.choice === choice)?.guesses ?? 0);
  const most = Math.max(1, ...votes, ...before);
  const hasBefore = before.some((count) => count > 0);
  const [isCounting, setIsCounting] = useState(false);
  const count = (at: number, by: 1 | -1): void => {
    const hands = choices.map((_, index) => poll?.hands[index] ?? 0);
    hands[at] = Math.max(0, (hands[at] ?? 0) + by);
    keep({ hands, isOpen: poll?.isOpen ?? false });
  };
  return (
    <>
      <ul className="tally" aria-label={say('votes')}>
        {choices.map((choice, at) => (
          <li key={choice}>
            <span className="tally-name">{choice}</span>
            <span className="tally-bars" aria-hidden="true">
              <i style={{ width: `${(100 * (votes[at] ?? 0)) / most}%` }} />
              {hasBefore && (
                <i className="is-before" style={{ width: `${(100 * (before[at] ?? 0)) / most}%` }} />
              )}
            </span>
            <b>{say('votesNow', { votes: votes[at] ?? 0 })}</b>
            {hasBefore && <small>{say('votesBefore', { votes: before[at] ?? 0 })}</small>}
            {isCounting && place === 'room' && !isRevealed && (
              <span className="tally-hands">
                <button
                  type="button"
                  className="pill"
                  aria-label={say('oneMoreHand', { choice })}
                  onClick={() => count(at, 1)}
                >
                  <Plus size={20} aria-hidden="true" />
                </button>
                <button
                  type="button"
                  className="pill"
                  aria-label={say('oneHandFewer', { choice })}
                  disabled={(poll?.hands[at] ?? 0) === 0}
                  onClick={() => count(at, -1)}
                >
                  <Minus size={20} aria-hidden="true" />
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
      {place === 'room' && !isRevealed && (
        <button
          type="button"
          className="link-button"
          aria-pressed={isCounting}
          onClick={() => setIsCounting(!isCounting)}
        >
          {isCounting ? say('handsAreCounted') : say('countHands')}
        </button>
      )}
    </>
  );
}
