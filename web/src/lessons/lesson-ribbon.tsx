import { say } from '@bright-sprout/words/lessons';
import { type Board, lessonMinutes } from '@bright-sprout/core/lessons';
import { boardTitle, type ReadingLevel } from '@bright-sprout/core/words';
import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { EyeOff } from 'lucide-react';
import { useRef } from 'react';

const DRAG_DISTANCE = 6;

/** What a board is called on the ribbon. */
export function nameOf(board: Board, level: ReadingLevel): string {
  if (board.kind === 'own_words' && board.title !== '') return board.title;
  return board.kind === 'not_known' ? say('notKnownShort') : boardTitle(board.kind, level);
}

/**
 * The lesson as a ribbon of minutes: each board a stretch as long as it takes. Arrow keys choose, with Alt they move
 * the board; a pointer drags it.
 */
export function LessonRibbon({
  boards,
  level,
  chosenId,
  onChoose,
  onMove,
}: {
  boards: readonly Board[];
  level: ReadingLevel;
  chosenId: string;
  onChoose: (id: string) => void;
  onMove: (from: number, to: number) => void;
}) {
  const strip = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_DISTANCE } }));
  const at = (id: unknown): number => boards.findIndex((board) => board.id === id);
  const drop = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) onMove(at(active.id), at(over.id));
  };
  const step = (event: React.KeyboardEvent): void => {
    const moves: Record<string, number> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      Home: -boards.length,
      End: boards.length,
    };
    const move = moves[event.key];
    if (move === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const from = at(chosenId);
    const to = Math.max(0, Math.min(boards.length - 1, from + move));
    const next = boards[to];
    if (!next || to === from) return;
    if (event.altKey) onMove(from, to);
    else {
      onChoose(next.id);
      strip.current?.querySelector<HTMLElement>(`[data-board="${next.id}"]`)?.focus();
    }
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop} accessibility={{ container: document.body }}>
      <SortableContext items={boards.map(({ id }) => id)} strategy={horizontalListSortingStrategy}>
        <div
          ref={strip}
          className="lesson-ribbon"
          role="radiogroup"
          aria-label={say('lessonRibbon', { minutes: lessonMinutes({ boards }) })}
          aria-describedby="lesson-ribbon-help"
          onKeyDown={step}
        >
          {boards.map((board) => (
            <Stretch
              key={board.id}
              board={board}
              level={level}
              isChosen={board.id === chosenId}
              onChoose={() => onChoose(board.id)}
            />
          ))}
        </div>
      </SortableContext>
      <p id="lesson-ribbon-help" className="visually-hidden">
        {say('lessonRibbonHelp')}
      </p>
    </DndContext>
  );
}

function Stretch({
  board,
  level,
  isChosen,
  onChoose,
}: {
  board: Board;
  level: ReadingLevel;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const { setNodeRef, listeners, transform, transition } = useSortable({ id: board.id });
  const classes = ['stretch'];
  if (isChosen) classes.push('is-chosen');
  if (board.isHidden) classes.push('is-hidden');
  const minutes = say('minutesOf', { minutes: board.minutes });
  const name = nameOf(board, level);
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      type="button"
      role="radio"
      aria-checked={isChosen}
      tabIndex={isChosen ? 0 : -1}
      data-board={board.id}
      aria-label={board.isHidden ? say('boardHidden', { name }) : say('boardMinutes', { name, minutes })}
      className={classes.join(' ')}
      style={{
        flexGrow: board.minutes,
        transform: CSS.Translate.toString(transform),
        transition: transition ?? '',
      }}
      onClick={onChoose}
    >
      <b>{name}</b>
      <small>{board.isHidden ? <EyeOff size={15} aria-hidden="true" /> : minutes}</small>
    </button>
  );
}
