import { say } from '@bright-sprout/words/plans';
import { planRoutes } from '@bright-sprout/contract/plans';
import { isClassDay, holidayOn, type ScheduledTask } from '@bright-sprout/core/calendar';
import { addDays, type CalendarDay, calendarDay, daysFromTo, weekday } from '@bright-sprout/core/shared';
import { TASK_WORDS } from '@bright-sprout/core/words';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call } from '../shared/api/index.ts';
import { useCalendar, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, monthOf, shortDay } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { TaskCard } from './task-card.tsx';
import { planScope, useKeepExperiment } from './use-save-plan.ts';

const DRAG_DISTANCE = 4;
const QUIET_CODES = ['read', 'water'];
const MOST_WEEKS = 60;

/** What is saved of a task. */
export interface TaskSave {
  readonly movedTo: string | null;
  readonly doneOn: string | null;
  readonly who: string;
  readonly title: string;
}

/** Weeks as rows, every task on its day; tasks are dragged, or moved by Alt and the arrows. */
export function WeekBoard() {
  const { experiment, setDay } = useExperiment();
  const { plan } = usePlanEditor();
  const calendar = useCalendar();
  const keep = useKeepExperiment();
  const [openKey, setOpenKey] = useState<string>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_DISTANCE } }));
  const save = useMutation({
    scope: planScope(experiment.id),
    mutationFn: ({ key, body }: { key: string; body: TaskSave }) =>
      call(planRoutes.saveTask, { params: { experimentId: experiment.id, taskKey: key }, body }),
    onSuccess: keep,
  });
  if (!calendar) return null;
  const { tasks, emergence } = calendar;
  const weeks = weeksOf(tasks, plan.lessonOn);
  const change = (task: ScheduledTask, changes: Partial<TaskSave>): void => {
    const stored = experiment.tasks.find((one) => one.key === task.key);
    const before = {
      movedTo: stored?.movedTo ?? null,
      doneOn: task.doneOn,
      who: stored?.who ?? '',
      title: task.title,
    };
    save.mutate({ key: task.key, body: { ...before, ...changes } });
  };
  const moveTo = (task: ScheduledTask, day: string): void => change(task, { movedTo: day });
  const drop = ({ active, over }: DragEndEvent): void => {
    const task = tasks.find((one) => one.key === active.id);
    if (task && over && over.id !== task.day) moveTo(task, String(over.id));
  };
  const open = tasks.find((task) => task.key === openKey);
  return (
    <>
      <DndContext sensors={sensors} onDragEnd={drop} accessibility={{ container: document.body }}>
        <div className="week-board" role="group" aria-label={say('tasksByDay')}>
          {weeks.map((week) => (
            <div key={week[0]} className="week">
              {week.map((day) => (
                <DayCell
                  key={day}
                  day={day}
                  isClass={isClassDay(day, plan.calendar)}
                  holiday={holidayOn(day, plan.calendar)?.name}
                  isToday={day === experiment.today}
                  inBand={emergence !== undefined && day >= emergence.from && day <= emergence.to}
                  tasks={tasks.filter((task) => task.day === day)}
                  openKey={openKey}
                  onOpen={(key) => {
                    setOpenKey(key === openKey ? undefined : key);
                    setDay(day);
                  }}
                  onMove={moveTo}
                />
              ))}
            </div>
          ))}
        </div>
      </DndContext>
      <p className="board-key quiet">
        <span className="chip-read" /> {say('read')} <span className="chip-water" /> {say('checkTheWater')}{' '}
        <span className="band-key" /> {say('n19Of20ThatComeUpDo')}
      </p>
      {open && (
        <TaskCard
          key={open.key}
          task={open}
          today={experiment.today}
          onChange={(changes) => change(open, changes)}
          onClose={() => setOpenKey(undefined)}
        />
      )}
      <AddTask
        onAdd={(title, day) =>
          save.mutate({ key: `own-${uuid()}`, body: { movedTo: day, doneOn: null, who: '', title } })
        }
      />
      <FailureNote error={save.error} />
    </>
  );
}

function DayCell({
  day,
  isClass,
  holiday,
  isToday,
  inBand,
  tasks,
  openKey,
  onOpen,
  onMove,
}: {
  day: CalendarDay;
  isClass: boolean;
  holiday: string | undefined;
  isToday: boolean;
  inBand: boolean;
  tasks: readonly ScheduledTask[];
  openKey: string | undefined;
  onOpen: (key: string) => void;
  onMove: (task: ScheduledTask, day: string) => void;
}) {
  const drop = useDroppable({ id: day });
  const classes = [
    'day-cell',
    isClass ? '' : 'is-off',
    inBand ? 'in-band' : '',
    isToday ? 'is-today' : '',
    drop.isOver ? 'is-over' : '',
  ];
  const isFirst = day.endsWith('-01');
  const loud = tasks.filter((task) => !QUIET_CODES.includes(task.code) || task.isMoved || task.needsHelper);
  const still = tasks.filter((task) => !loud.includes(task));
  return (
    <div ref={drop.setNodeRef} className={classes.join(' ')} title={holiday}>
      <span className="day-number">
        {Number(day.slice(8))}
        {isFirst && ` ${monthOf(day)}`}
        {holiday && <small> {holiday}</small>}
        <span className="quiet-chips">
          {still.map((task) => (
            <TaskChip
              key={task.key}
              task={task}
              isOpen={task.key === openKey}
              onOpen={onOpen}
              onMove={onMove}
            />
          ))}
        </span>
      </span>
      {loud.map((task) => (
        <TaskChip key={task.key} task={task} isOpen={task.key === openKey} onOpen={onOpen} onMove={onMove} />
      ))}
    </div>
  );
}

const MOVES: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

function TaskChip({
  task,
  isOpen,
  onOpen,
  onMove,
}: {
  task: ScheduledTask;
  isOpen: boolean;
  onOpen: (key: string) => void;
  onMove: (task: ScheduledTask, day: string) => void;
}) {
  const drag = useDraggable({ id: task.key });
  const words = task.title || TASK_WORDS[task.code];
  const forWhom = task.treatments.length > 0 ? ` ${task.treatments.join(' ')}` : '';
  const isQuiet = QUIET_CODES.includes(task.code) && !task.isMoved && !task.needsHelper;
  const key = (event: React.KeyboardEvent): void => {
    const move = event.altKey ? MOVES[event.key] : undefined;
    if (move === undefined) return;
    event.preventDefault();
    onMove(task, addDays(task.day, move));
  };
  const classes = [
    'task-chip',
    `chip-${task.code}`,
    isQuiet ? 'is-quiet' : '',
    task.doneOn ? 'is-done' : '',
    isOpen ? 'is-open' : '',
    task.needsHelper && task.who === '' ? 'needs-helper' : '',
  ];
  return (
    <button
      ref={drag.setNodeRef}
      type="button"
      className={classes.join(' ')}
      style={
        drag.transform
          ? { transform: `translate(${drag.transform.x}px, ${drag.transform.y}px)`, zIndex: 5 }
          : {}
      }
      aria-label={say('taskOn', {
        words,
        forWhom,
        day: shortDay(task.day),
        ifDoneOn: task.doneOn ? 'yes' : 'no',
        ifWho: task.who ? 'yes' : 'no',
        who: task.who,
      })}
      title={words}
      onClick={() => onOpen(task.key)}
      {...drag.listeners}
      onKeyDown={key}
    >
      {!isQuiet && say('task', { words, forWhom, ifWho: task.who ? 'yes' : 'no', who: task.who })}
    </button>
  );
}

function AddTask({ onAdd }: { onAdd: (title: string, day: string) => void }) {
  const { day } = useExperiment();
  const [title, setTitle] = useState('');
  return (
    <form
      className="add-task"
      onSubmit={(event) => {
        event.preventDefault();
        if (title.trim() === '') return;
        onAdd(title.trim(), day);
        setTitle('');
      }}
    >
      <input
        className="form-control form-control-sm"
        value={title}
        maxLength={120}
        placeholder={say('aTaskOfYourOwnOn', { day: shortDay(day) })}
        aria-label={say('aTaskOfYourOwn')}
        onChange={(event) => setTitle(event.target.value)}
      />
      <button type="submit" className="btn btn-light btn-sm">
        {say('addIt')}
      </button>
    </form>
  );
}

/** Whole weeks, Monday first, from the first task to the last or the lesson. */
function weeksOf(tasks: readonly ScheduledTask[], lessonOn: CalendarDay): CalendarDay[][] {
  const first = tasks[0]?.day ?? lessonOn;
  const last = [lessonOn, tasks.at(-1)?.day ?? lessonOn].sort().at(-1) ?? lessonOn;
  const start = addDays(first, 1 - weekday(first));
  const most = addDays(start, MOST_WEEKS * 7 - 1);
  const end = addDays(last, 7 - weekday(last));
  const days = daysFromTo(start, end > most ? most : end);
  return Array.from({ length: Math.ceil(days.length / 7) }, (_, index) =>
    days.slice(index * 7, index * 7 + 7).map((day) => calendarDay(day)),
  );
}
