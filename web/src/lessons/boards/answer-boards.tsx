import { say } from '@bright-sprout/words/lessons';
import { boardTitle, lineUpCounts, talkWords } from '@bright-sprout/core/words';
import { ShuffleWatch, type ShownComparison } from '../../comparison/index.ts';
import { useExperiment } from '../../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../../shared/ui/index.ts';
import { CurvesDrawing } from '../curves-drawing.tsx';
import type { LessonNow } from '../lesson-now.ts';
import { chosenTalk } from '../talk-choice.ts';
import { MarkKey } from './line-up-board.tsx';
import type { BoardProps } from './plain-boards.tsx';
import { NextPlan } from './next-plan.tsx';

/** The comparison of the day that is open; words where there is none. */
export function WithComparison({
  now,
  children,
}: {
  now: LessonNow;
  children: (shown: ShownComparison) => React.ReactNode;
}) {
  const { setDay } = useExperiment();
  const { shown, error, day } = now;
  if (error) return <FailureNote error={error} />;
  if (!shown) return <p aria-busy="true">{say('comparing')}</p>;
  const { readDays } = shown.comparison;
  if (!readDays.includes(day)) {
    const last = readDays.filter((one) => one <= day).at(-1) ?? readDays[0];
    return (
      <p className="note-attention">
        {say('nothingReadOn', { day: shortDay(day) })}{' '}
        {last && (
          <button type="button" className="link-button" onClick={() => setDay(last)}>
            {say('showDay', { day: shortDay(last) })}
          </button>
        )}
      </p>
    );
  }
  return children(shown);
}

/** Compare's headline, how sure it is, and one chart that can be read from the back of the room. */
export function AnswerBoard({ now }: BoardProps) {
  const { variable } = useExperiment();
  return (
    <WithComparison now={now}>
      {({ comparison }) => (
        <div className="answer-board">
          <h2 className="board-headline">{comparison.words.headline}</h2>
          {comparison.words.others.map((line) => (
            <p key={line} className="board-more">
              {line}
            </p>
          ))}
          <p className="board-sure">
            <b>{say('howSure')}</b> {capital(comparison.words.howSure)}
          </p>
          <p className="board-n quiet">{lineUpCounts(now.plants)}</p>
          <CurvesDrawing
            comparison={comparison}
            groups={now.groups}
            style={now.style}
            variableName={variable.name}
          />
        </div>
      )}
    </WithComparison>
  );
}

/** The shuffle, run in front of the class. */
export function LuckBoard({ now }: BoardProps) {
  return (
    <>
      <h2>{boardTitle('luck', now.level)}</h2>
      <WithComparison now={now}>{(shown) => <ShuffleWatch shown={shown} />}</WithComparison>
    </>
  );
}

/** What cannot be said, and the plan that would mend it. */
export function NotKnownBoard({ now }: BoardProps) {
  return (
    <>
      <h2>{boardTitle('not_known', now.level)}</h2>
      <WithComparison now={now}>
        {({ comparison }) => (
          <ul className="not-known-list">
            {comparison.words.notKnown.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
      </WithComparison>
      <NextPlan />
    </>
  );
}

/** Questions that follow from this class's own data. */
export function TalkBoard({ board, now }: BoardProps) {
  const points = chosenTalk(board, now.talk);
  return (
    <>
      <h2>{boardTitle('talk', now.level)}</h2>
      {points.length === 0 && <p>{say('nothingToTalkAboutYet')}</p>}
      <ol className="talk-list">
        {points.map((point) => (
          <li key={point.code}>{talkWords(point, { ...now, dayText: shortDay }).question}</li>
        ))}
      </ol>
      <MarkKey now={now} />
    </>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
