import { say } from '@bright-sprout/words/care';
import { planRoutes, type TaskRequest } from '@bright-sprout/contract/plans';
import type { ScheduledTask } from '@bright-sprout/core/calendar';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Check } from 'lucide-react';
import { useKeepExperiment } from '../plans/index.ts';
import { call, sessionQuery } from '../shared/api/index.ts';
import { useCalendar, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import './care.scss';

const ELSEWHERE: readonly string[] = ['sow', 'read', 'lesson'];

/** The plan's tasks of the chosen day, to be ticked by whoever does them. */
export function DueTasks() {
  const { experiment, day } = useExperiment();
  const teacher = useQuery(sessionQuery).data;
  const calendar = useCalendar();
  const keep = useKeepExperiment();
  const save = useMutation({
    mutationFn: ({ key, ...task }: TaskRequest & { key: string }) =>
      call(planRoutes.saveTask, { params: { experimentId: experiment.id, taskKey: key }, body: task }),
    onSuccess: keep,
  });
  const due = (calendar?.tasks ?? []).filter((task) => task.day === day && !ELSEWHERE.includes(task.code));
  const tick = (task: ScheduledTask): void => {
    const isDone = task.doneOn === null;
    const before = experiment.tasks.find(({ key }) => key === task.key);
    save.mutate({
      key: task.key,
      movedTo: before?.movedTo ?? null,
      title: task.title,
      doneOn: isDone ? day : null,
      who: isDone ? task.who || (teacher?.displayName ?? '') : '',
    });
  };
  return (
    <div className="due-tasks">
      <h3>{say('dueOn', { day: shortDay(day) })}</h3>
      {due.length === 0 && <p className="quiet">{say('thePlanHasNothingToDoOn')}</p>}
      <ul>
        {due.map((task) => (
          <li key={task.key}>
            <button
              type="button"
              className="tick"
              aria-pressed={task.doneOn !== null}
              onClick={() => tick(task)}
            >
              <Check size={18} aria-hidden="true" /> {task.title || TASK_WORDS[task.code]}
            </button>
            {task.doneOn !== null && (
              <span className="quiet">{say('by', { who: task.who || 'somebody' })}</span>
            )}
            {task.needsHelper && task.doneOn === null && (
              <span className="quiet">
                {say('nobodyIsInClass', { who: task.who || say('nameAHelperInPlanDays') })}
              </span>
            )}
          </li>
        ))}
      </ul>
      <FailureNote error={save.error} />
    </div>
  );
}
