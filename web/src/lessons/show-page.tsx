import { say } from '@bright-sprout/words/lessons';
import { ChevronLeft, ChevronRight, Square, X } from 'lucide-react';
import { useEffect, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { ExperimentProvider, useExperiment } from '../shared/experiment/index.ts';
import { shortDay } from '../shared/ui/index.ts';
import { BoardView } from './board-view.tsx';
import { LessonChoices } from './lesson-choices.tsx';
import { useLessonNow } from './lesson-now.ts';
import { LessonPlaceProvider } from './lesson-place.ts';
import { type GivenLesson, useGivenLesson } from './use-given-lesson.ts';
import { LevelSelect } from './level-select.tsx';
import './lessons.scss';

/** The projector: the board and nothing else, with what is needed at its foot. */
export default function ShowPage() {
  const { experiment } = useExperiment();
  const lesson = useGivenLesson();
  if (lesson === undefined) return <main className="show-page" aria-busy="true" />;
  if (lesson === null) {
    return (
      <main className="show-page is-over">
        <p>{say('noLessonIsGiven')}</p>
        <Link className="btn btn-primary" to={`/experiments/${experiment.id}/teach`}>
          {say('toTheLesson')}
        </Link>
      </main>
    );
  }
  return <Shown lesson={lesson} />;
}

function Shown({ lesson }: { lesson: GivenLesson }) {
  const open = useExperiment();
  const { showing, change } = lesson;
  const value = { ...open, day: showing.day, setDay: (day: string) => change({ day }) };
  return (
    <ExperimentProvider value={value}>
      <LessonPlaceProvider value="room">
        <LessonChoices level={showing.level}>
          <Projected lesson={lesson} />
        </LessonChoices>
      </LessonPlaceProvider>
    </ExperimentProvider>
  );
}

/** Keys of a clicker, a keyboard and a presenter's remote. */
const KEYS: Readonly<Record<string, 'next' | 'back' | 'blank'>> = {
  ArrowRight: 'next',
  PageDown: 'next',
  ' ': 'next',
  ArrowLeft: 'back',
  PageUp: 'back',
  b: 'blank',
  B: 'blank',
  '.': 'blank',
};

function useLessonKeys({ go, change, showing }: GivenLesson): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent): void => {
      const at = event.target as HTMLElement;
      const isOnControl = event.key === ' ' && at.closest('button, a, input, select, textarea');
      const isTyping = at.closest('input, select, textarea');
      const what = KEYS[event.key];
      if (!what || isOnControl || isTyping || event.defaultPrevented || event.ctrlKey || event.metaKey)
        return;
      event.preventDefault();
      if (what === 'blank') change({ isBlank: !showing.isBlank });
      else go(what === 'next' ? 1 : -1);
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  });
}

function Projected({ lesson }: { lesson: GivenLesson }) {
  const { board, boards, at, showing, change, go } = lesson;
  const { experiment } = useExperiment();
  const navigate = useNavigate();
  const now = useLessonNow(showing.level);
  useLessonKeys(lesson);
  const leave = (): void => {
    if (document.fullscreenElement) void document.exitFullscreen();
    void navigate(`/experiments/${experiment.id}/teach`);
  };
  if (showing.isBlank) {
    return (
      <main className="show-page is-blank">
        <button
          type="button"
          className="visually-hidden-focusable btn btn-dark"
          onClick={() => change({ isBlank: false })}
        >
          {say('showAgain')}
        </button>
      </main>
    );
  }
  return (
    <main className={`show-page is-${board.kind}`}>
      <article className="show-board" key={board.id}>
        <BoardView board={board} now={now} state={showing} onState={(changes) => change(changes)} />
      </article>
      <footer className="show-foot">
        <DayChoice />
        <LevelSelect level={showing.level} onChange={(next) => change({ level: next })} />
        <span className="show-at" aria-live="polite">
          {say('boardAt', { at: at + 1, boards: boards.length })}
        </span>
        <button type="button" aria-label={say('back')} disabled={at === 0} onClick={() => go(-1)}>
          <ChevronLeft size={26} aria-hidden="true" />
        </button>
        <button
          type="button"
          aria-label={say('next')}
          disabled={at === boards.length - 1}
          onClick={() => go(1)}
        >
          <ChevronRight size={26} aria-hidden="true" />
        </button>
        <button type="button" aria-label={say('blank')} onClick={() => change({ isBlank: true })}>
          <Square size={20} aria-hidden="true" />
        </button>
        <button type="button" aria-label={say('leaveTheProjector')} onClick={leave}>
          <X size={24} aria-hidden="true" />
        </button>
      </footer>
    </main>
  );
}

/** The days that were read, as a slider under the board. */
function DayChoice() {
  const { experiment, readings, day, setDay } = useExperiment();
  const days = useMemo(
    () => [...new Set([experiment.sowOn, ...readings.map(({ observedOn }) => observedOn)])].sort(),
    [experiment.sowOn, readings],
  );
  const at = Math.max(
    0,
    days.findLastIndex((one) => one <= day),
  );
  if (days.length < 2) return null;
  return (
    <label className="show-day">
      <span>{shortDay(day)}</span>
      <input
        type="range"
        min={0}
        max={days.length - 1}
        value={at}
        aria-label={say('dayShown')}
        aria-valuetext={shortDay(day)}
        onChange={({ target }) => setDay(days[Number(target.value)] ?? day)}
      />
    </label>
  );
}
