import { say } from '@bright-sprout/words/refusals';
import type { TaskRequest } from '@bright-sprout/contract/plans';
import { calendarWithChanges } from '@bright-sprout/core/calendar';
import { addDays, type CalendarDay } from '@bright-sprout/core/shared';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { Injectable } from '@nestjs/common';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { ApiError, Clock } from '../shared/index.ts';
import { Task } from './plan-extras.entities.ts';
import { InventoryService } from '../inventory/index.ts';
import { Experiment } from './experiment.entity.ts';
import { ExperimentStore } from './experiment-store.ts';
import { planOf } from './plan-from-rows.ts';

const MOST_OWN_TASKS = 200;

/** The calendar of an experiment: tasks moved, done and added, and its file. */
@Injectable()
export class CalendarService {
  constructor(
    private readonly store: ExperimentStore,
    private readonly inventory: InventoryService,
    private readonly clock: Clock,
  ) {}

  /** Moves or ticks off a task, or adds one; a task with nothing left to say is as the plan has it. */
  async saveTask(experimentId: string, taskKey: string, request: TaskRequest): Promise<void> {
    await this.store.locked(experimentId, async (manager, experiment) => {
      const { movedTo, doneOn, who, title } = request;
      const isPlain = movedTo === null && doneOn === null && who === '' && title === '';
      if (isPlain) await manager.delete(Task, { experimentId, taskKey });
      else {
        const isKnown = await manager.existsBy(Task, { experimentId, taskKey });
        if (!isKnown && (await manager.countBy(Task, { experimentId })) >= MOST_OWN_TASKS) {
          throw new ApiError('too_large', say('atMostTasksCanBeChangedOr', { mostOwnTasks: MOST_OWN_TASKS }));
        }
        await manager.save(Task, { experimentId, taskKey, movedTo, doneOn, who, title });
      }
      await manager.update(Experiment, experimentId, { version: experiment.version + 1 });
    });
  }

  /**
   * The calendar as iCalendar (RFC 5545): whole-day events whose ids stay the same from one export to the next,
   * so that a calendar takes the newer one in place of the older.
   */
  async file(experimentId: string): Promise<string> {
    const stored = await this.store.load(experimentId);
    const plan = planOf(stored);
    if (!plan) {
      throw new ApiError('bad_request', say('thisDesignCameFromAFileWithout'));
    }
    const { crops, seedLots: lots } = await this.inventory.ofExperiment(experimentId);
    const { tasks } = calendarWithChanges(plan, { crops, lots }, stored.tasks.map(taskChange));
    const { question, version } = stored.experiment;
    const calendar = ical({
      name: oneLine(question),
      method: ICalCalendarMethod.PUBLISH,
      prodId: '//Bright Sprout//EN',
    });
    for (const task of tasks) {
      const words = task.title || TASK_WORDS[task.code];
      const forWhom = task.treatments.length > 0 ? ` (${task.treatments.join(', ')})` : '';
      calendar.createEvent({
        id: `${experimentId}-${task.key}@bright-sprout`,
        sequence: version,
        stamp: this.clock.now(),
        start: new Date(`${task.day}T00:00:00Z`),
        end: new Date(`${addDays(task.day, 1)}T00:00:00Z`),
        allDay: true,
        summary: oneLine(say('task', { words, forWhom, ifWho: task.who ? 'yes' : 'no', who: task.who })),
        description: oneLine(question),
      });
    }
    return calendar.toString();
  }
}

/** Text without line ends and other signs that would begin a line of their own in a calendar. */
function oneLine(text: string): string {
  return text.replaceAll(/[\p{Cc}\u2028\u2029]+/gu, ' ').trim();
}

function taskChange(task: Task) {
  return {
    key: task.taskKey,
    movedTo: task.movedTo as CalendarDay | null,
    doneOn: task.doneOn as CalendarDay | null,
    who: task.who,
    title: task.title,
  };
}
