import { say } from '@bright-sprout/words/sowing';
import { waitBeforeSowing } from '@bright-sprout/core/calendar';
import { type ReactNode, useState } from 'react';
import { useCalendar, useExperiment } from '../shared/experiment/index.ts';
import { longDay } from '../shared/ui/index.ts';

/** Asks once before pots are marked as sown on a day on which their mix or their seeds still wait. */
export function useEarly(sownOn: string | undefined): {
  readonly note: ReactNode;
  readonly unlessAsked: (sow: () => void) => void;
} {
  const { experiment } = useExperiment();
  const calendar = useCalendar();
  const [askedFor, setAskedFor] = useState<string>();
  const wait = experiment.plan && calendar && waitBeforeSowing(experiment.plan, calendar.tasks);
  const isEarly = wait !== undefined && wait !== null && sownOn !== undefined && sownOn < wait.day;
  const isAsked = isEarly && askedFor === sownOn;
  return {
    note: isAsked && (
      <p className="note-attention" role="alert">
        {say('waitIsNotOver', { task: wait.task, day: longDay(wait.day) })}
      </p>
    ),
    unlessAsked: (sow) => (isEarly && !isAsked ? setAskedFor(sownOn) : sow()),
  };
}
