import { say } from '@bright-sprout/words/classes';
import type { MovedPlan } from '@bright-sprout/contract/classes';
import type { MovedDay } from '@bright-sprout/core/calendar';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { Link } from 'react-router';
import { shortDay } from '../shared/ui/index.ts';

/** Days of one plan that are listed; the others are counted. */
const MOST = 6;

/** The plans whose days followed those of their class, each with what changed. */
export function MovedPlans({ plans }: { plans: readonly MovedPlan[] }) {
  return (
    <div role="status">
      {plans.map(({ experimentId, question, moved, offClassDay }) => (
        <section key={experimentId} className="note-attention">
          <Link to={`/experiments/${experimentId}`}>
            {moved.length > 0 ? say('planFollowed', { question }) : say('planFollowedAlike', { question })}
          </Link>
          <ul>
            {offClassDay.map((what) => (
              <li key={what}>{say('ownDayOff', { what })}</li>
            ))}
            {moved.slice(0, MOST).map((day) => (
              <li key={`${day.task} ${day.from} ${day.to}`}>{movedText(day)}</li>
            ))}
            {moved.length > MOST && <li>{say('andMoreDays', { count: moved.length - MOST })}</li>}
          </ul>
        </section>
      ))}
    </div>
  );
}

function movedText({ task, from, to }: MovedDay): string {
  const words = TASK_WORDS[task];
  if (from && to) return say('dayMoved', { task: words, from: shortDay(from), to: shortDay(to) });
  return from
    ? say('dayWent', { task: words, from: shortDay(from) })
    : say('dayCame', { task: words, to: shortDay(to ?? '') });
}
