import { say } from '@bright-sprout/words/classes';
import { allOf } from '@bright-sprout/words/say';
import type { MovedPlan } from '@bright-sprout/contract/classes';
import type { MovedDay } from '@bright-sprout/core/calendar';
import { TASK_WORDS } from '@bright-sprout/core/words';
import { Link } from 'react-router';
import { shortDay } from '../shared/ui/index.ts';

/** Days of one task that are named; the others are counted. */
const MOST = 4;

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
            {[...new Set(moved.map(({ task }) => task))].flatMap((task) =>
              linesOf(moved.filter((day) => day.task === task)).map((line) => <li key={line}>{line}</li>),
            )}
          </ul>
        </section>
      ))}
    </div>
  );
}

/** What happened to the days of one task: those that moved, those that went, those that came. */
function linesOf(days: readonly MovedDay[]): string[] {
  const [first] = days;
  if (!first) return [];
  const task = TASK_WORDS[first.task];
  const moved = days.flatMap(({ from, to }) =>
    from && to ? [say('dayMoved', { from: shortDay(from), to: shortDay(to) })] : [],
  );
  const went = days.flatMap(({ from, to }) => (from && !to ? [shortDay(from)] : []));
  const came = days.flatMap(({ from, to }) => (to && !from ? [shortDay(to)] : []));
  return [
    ...(moved.length > 0 ? [say('daysMoved', { task, days: listed(moved) })] : []),
    ...(went.length > 0 ? [say('daysWent', { task, days: listed(went) })] : []),
    ...(came.length > 0 ? [say('daysCame', { task, days: listed(came) })] : []),
  ];
}

function listed(days: readonly string[]): string {
  const more = days.length - MOST;
  if (more <= 0) return allOf(days);
  return say('andMoreDays', { days: days.slice(0, MOST).join(', '), count: more });
}
