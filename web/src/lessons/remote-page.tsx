import { say } from '@bright-sprout/words/lessons';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { ChevronLeft, ChevronRight, Eye, EyeOff } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { IfMayChange, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { Asking } from './asking.tsx';
import { LessonChoices } from './lesson-choices.tsx';
import { useLessonNow } from './lesson-now.ts';
import { nameOf } from './lesson-ribbon.tsx';
import { type GivenLesson, useGivenLesson, useSecondsSince } from './use-given-lesson.ts';
import { LevelSelect } from './level-select.tsx';
import './lessons.scss';

/** A second device of the teacher: notes, what comes next, time gone, and the buttons. */
export default function RemotePage() {
  const { experiment } = useExperiment();
  const lesson = useGivenLesson();
  return (
    <main className="remote-page">
      <h1>{experiment.question}</h1>
      {lesson === null && (
        <>
          <p>{say('noLessonIsGivenYet')}</p>
          <Link to={`/experiments/${experiment.id}/teach`}>{say('toTheLesson')}</Link>
        </>
      )}
      {lesson && (
        <LessonChoices level={lesson.showing.level}>
          <IfMayChange>
            <Remote lesson={lesson} />
          </IfMayChange>
        </LessonChoices>
      )}
    </main>
  );
}

function Remote({ lesson }: { lesson: GivenLesson }) {
  const { board, boards, at, showing, change, go, end, error } = lesson;
  const { level, day } = showing;
  const now = useLessonNow(level);
  const seconds = useSecondsSince(showing.begunAt);
  const following = boards[at + 1];
  const planned = boards.slice(0, at + 1).reduce((sum, one) => sum + one.minutes, 0);
  return (
    <>
      <p className="remote-time" role="timer">
        {say('timeGone', { minutes: Math.floor(seconds / 60), planned })}
      </p>
      <section className="panel" aria-label={say('boardShown')}>
        <p className="quiet">{say('boardAt', { at: at + 1, boards: boards.length })}</p>
        <h2>{nameOf(board, level)}</h2>
        {board.note !== '' && <p className="remote-note">{board.note}</p>}
      </section>
      <div className="remote-buttons">
        <Button size="lg" variant="light" disabled={at === 0} onClick={() => go(-1)}>
          <ChevronLeft aria-hidden="true" /> {say('back')}
        </Button>
        <Button size="lg" disabled={!following} onClick={() => go(1)}>
          {say('next')} <ChevronRight aria-hidden="true" />
        </Button>
        <Button
          size="lg"
          variant="light"
          aria-pressed={showing.isBlank}
          onClick={() => change({ isBlank: !showing.isBlank })}
        >
          {showing.isBlank ? <Eye aria-hidden="true" /> : <EyeOff aria-hidden="true" />}{' '}
          {showing.isBlank ? say('showAgain') : say('blank')}
        </Button>
        {board.kind === 'guess' && (
          <Button size="lg" variant="light" onClick={() => change({ isRevealed: !showing.isRevealed })}>
            {showing.isRevealed ? say('backToTheVote') : say('letUsSee')}
          </Button>
        )}
      </div>
      <p className="quiet">
        {following ? say('thenComes', { name: nameOf(following, level) }) : say('thisIsTheLastBoard')}
      </p>
      <div className="remote-settings">
        <Form.Control
          type="date"
          aria-label={say('dayShown')}
          value={day}
          onChange={({ target }) => target.value !== '' && change({ day: target.value })}
        />
        <Button
          variant="light"
          aria-label={say('dayBefore', { day: shortDay(day) })}
          onClick={() => change({ day: addDays(calendarDay(day), -1) })}
        >
          −
        </Button>
        <Button
          variant="light"
          aria-label={say('dayAfter', { day: shortDay(day) })}
          onClick={() => change({ day: addDays(calendarDay(day), 1) })}
        >
          +
        </Button>
        <LevelSelect level={level} onChange={(next) => change({ level: next })} />
      </div>
      <Asking board={board} now={now} />
      <FailureNote error={error} />
      <Button variant="light" onClick={end}>
        {say('endTheLesson')}
      </Button>
    </>
  );
}
