import { say } from '@bright-sprout/words/lessons';
import type { LessonDocument, LessonView } from '@bright-sprout/contract/lessons';
import { lessonMinutes, MOST_BOARDS, plainBoard } from '@bright-sprout/core/lessons';
import { arrayMove } from '@dnd-kit/sortable';
import { Play, Plus, Redo2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { IfMayChange, useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { useJoinAddress, FailureNote, QrCode } from '../shared/ui/index.ts';
import { Asking } from './asking.tsx';
import { BoardEditor } from './board-editor.tsx';
import { BoardView } from './board-view.tsx';
import { LessonChoices } from './lesson-choices.tsx';
import { useLessonNow } from './lesson-now.ts';
import { LessonRibbon } from './lesson-ribbon.tsx';
import { TakeHome } from './take-home.tsx';
import { type OpenLesson, sendable, useLessonDocument, useOpenLesson } from './use-lesson.ts';
import { useShowing } from './use-showing.ts';
import { LevelSelect } from './level-select.tsx';
import './lessons.scss';

/** Teach: a lesson made of this class's own plants, as a ribbon of minutes. */
export default function TeachStage() {
  const { experiment } = useExperiment();
  const found = useLessonDocument();
  if (!found) return <div className="panel" aria-busy="true" />;
  return <OpenStage key={experiment.id} view={found.view} begun={found.document} />;
}

function OpenStage({ view, begun }: { view: LessonView; begun: LessonDocument }) {
  const { experiment } = useExperiment();
  const lesson = useOpenLesson(experiment.id, view, begun);
  return (
    <LessonChoices level={lesson.document.level}>
      <Lesson lesson={lesson} begunAt={view.begunAt ?? ''} />
    </LessonChoices>
  );
}

/** @param begunAt when it was last given, for what was voted then; empty before it ever was */
function Lesson({ lesson, begunAt }: { lesson: OpenLesson; begunAt: string }) {
  const { document } = lesson;
  const mayChange = useMayChange();
  const change = (next: LessonDocument): void => {
    if (mayChange) lesson.change(next);
  };
  const { boards, level } = document;
  const now = useLessonNow(level);
  const [chosenId, setChosenId] = useState(boards[0]?.id ?? '');
  const [state, setState] = useState({ hidesTreatments: false, isRevealed: false });
  const board = boards.find(({ id }) => id === chosenId) ?? boards[0];
  const setBoard = (changes: Partial<LessonDocument['boards'][number]>): void =>
    change({
      ...document,
      boards: boards.map((one) => (one.id === board?.id ? { ...one, ...changes } : one)),
    });
  const add = (): void => {
    const made = sendable(plainBoard(uuid(), 'own_words', 1));
    const at = boards.findIndex(({ id }) => id === board?.id) + 1;
    change({ ...document, boards: [...boards.slice(0, at), made, ...boards.slice(at)] });
    setChosenId(made.id);
  };
  const isOwn = board?.kind === 'own_words';
  return (
    <div className="teach-stage">
      <div className="lesson-head">
        <LessonRibbon
          boards={boards}
          level={level}
          chosenId={board?.id ?? ''}
          onChoose={setChosenId}
          onMove={(from, to) => change({ ...document, boards: arrayMove(boards, from, to) })}
        />
        <Button variant="link" disabled={!mayChange || boards.length >= MOST_BOARDS} onClick={add}>
          <Plus size={18} aria-hidden="true" /> {say('oneOfYourOwn')}
        </Button>
      </div>
      <SavingNote lesson={lesson} />
      <div className="lesson-body">
        <article className="lesson-board panel" aria-label={say('boardShown')}>
          {board && (
            <BoardView
              key={board.id}
              board={board}
              now={now}
              state={{ ...state, order: board.order, begunAt }}
              onState={({ order, ...changes }) => {
                if (order !== undefined && order !== board.order) setBoard({ order });
                setState((before) => ({ ...before, ...changes }));
              }}
            />
          )}
        </article>
        <aside className="lesson-side">
          <IfMayChange>
            <BeginLesson lesson={lesson} />
            {board && <Asking board={board} now={now} />}
            {board && <BoardEditor key={board.id} board={board} now={now} onChange={setBoard} />}
            {isOwn && (
              <Button
                size="sm"
                variant="light"
                onClick={() => change({ ...document, boards: boards.filter(({ id }) => id !== board.id) })}
              >
                {say('removeBoard')}
              </Button>
            )}
            <div className="lesson-tools">
              <LevelSelect level={level} onChange={(next) => change({ ...document, level: next })} />
              <Button
                size="sm"
                variant="light"
                disabled={!lesson.undo}
                onClick={lesson.undo}
                aria-label={say('undo')}
              >
                <Undo2 size={17} aria-hidden="true" />
              </Button>
              <Button
                size="sm"
                variant="light"
                disabled={!lesson.redo}
                onClick={lesson.redo}
                aria-label={say('redo')}
              >
                <Redo2 size={17} aria-hidden="true" />
              </Button>
            </div>
            <TakeHome now={now} />
          </IfMayChange>
        </aside>
      </div>
    </div>
  );
}

/** One button fills the projector; a lesson that goes on is joined. */
function BeginLesson({ lesson: { document } }: { lesson: OpenLesson }) {
  const { experiment, day } = useExperiment();
  const navigate = useNavigate();
  const { showing, show } = useShowing(experiment.id);
  const first = document.boards.find(({ isHidden }) => !isHidden);
  const { origin } = useJoinAddress();
  const remoteAddress = `${origin}/experiments/${experiment.id}/lesson/remote`;
  const begin = (): void => {
    if (!first) return;
    if (!showing) {
      show({
        boardId: first.id,
        isBlank: false,
        isRevealed: false,
        hidesTreatments: false,
        order: first.order,
        level: document.level,
        day,
      });
    }
    // Where a browser does not fill the screen, the page fills its window.
    const page = window.document.documentElement;
    if (window.document.fullscreenEnabled) void page.requestFullscreen().catch(() => undefined);
    void navigate(`/experiments/${experiment.id}/lesson/show`);
  };
  return (
    <div className="begin-lesson">
      <Button size="lg" disabled={!first} onClick={begin}>
        <Play size={20} aria-hidden="true" /> {showing ? say('goOnWithTheLesson') : say('beginTheLesson')}
      </Button>
      <p className="quiet">{say('aboutMinutes', { minutes: lessonMinutes(document) })}</p>
      {showing && (
        <div className="follow-on-phone">
          <QrCode text={remoteAddress} label={say('openTheRemote')} size={84} />
          <p>
            {say('followOnPhone')}{' '}
            <Link to={`/experiments/${experiment.id}/lesson/remote`}>{say('openTheRemote')}</Link>
          </p>
        </div>
      )}
    </div>
  );
}

function SavingNote({ lesson }: { lesson: OpenLesson }) {
  if (lesson.state === 'changed_elsewhere') {
    return (
      <div className="note-attention" role="alert">
        {say('lessonChangedElsewhere')}{' '}
        <Button size="sm" variant="light" onClick={() => lesson.resolve('mine')}>
          {say('keepWhatIsHere')}
        </Button>{' '}
        <Button size="sm" variant="light" onClick={() => lesson.resolve('theirs')}>
          {say('takeWhatIsThere')}
        </Button>
      </div>
    );
  }
  if (lesson.state === 'failed') {
    return (
      <div>
        <FailureNote error={lesson.error} />
        <Button size="sm" variant="light" onClick={lesson.retry}>
          {say('saveAgain')}
        </Button>
      </div>
    );
  }
  return null;
}
