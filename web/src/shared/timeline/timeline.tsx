import { say } from '@bright-sprout/words/interface';
import type { CareView } from '@bright-sprout/contract/care';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { type TimelineDay, timelineDays, type ScheduledTask } from '@bright-sprout/core/calendar';
import { isBegun } from '@bright-sprout/core/design';
import { addDays, type CalendarDay, calendarDay, daysBetween } from '@bright-sprout/core/shared';
import { CARE_WORDS, TASK_WORDS } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef } from 'react';
import { careQuery } from '../api/index.ts';
import { treatmentOf, useCalendar, useExperiment } from '../experiment/index.ts';
import { treatmentStyle } from '../plants/index.ts';
import { longDay, monthOf } from '../ui/index.ts';

const MOST_DOTS = 4;
/** Of several spans only those of so many days have room for words. */
const WIDE_SPAN = 4;

/** The timeline of days: a notch a day from sowing to the lesson. Choosing a day moves every view to it. */
export function Timeline() {
  const { experiment, readings, day, setDay } = useExperiment();
  const strip = useRef<HTMLDivElement>(null);
  const calendar = useCalendar();
  const stylesByDay = useMemo(() => treatmentsReadByDay(experiment, readings), [experiment, readings]);
  const days = useMemo(
    () =>
      timelineDays({
        sowOn: calendarDay(experiment.sowOn),
        lessonOn: calendarDay(experiment.lessonOn),
        today: calendarDay(experiment.today),
        emergence: bandsOf(experiment, calendar?.bands ?? []),
        readDays: [...stylesByDay.keys()].map(calendarDay),
        ...(experiment.plan ? { classDays: experiment.plan.calendar } : {}),
      }),
    [experiment, stylesByDay, calendar?.bands],
  );
  const care = useQuery(careQuery(experiment.id)).data;
  const careByDay = useMemo(() => careWordsByDay(care ?? []), [care]);
  const flags = useMemo(() => flagsByDay(calendar?.tasks ?? []), [calendar]);
  const chosen = days.some((notch) => notch.day === day) ? day : days[0]?.day;

  useEffect(() => {
    const notch = strip.current?.querySelector(`[data-day="${chosen}"]`);
    notch?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [chosen]);

  const step = (event: React.KeyboardEvent): void => {
    const moves: Record<string, number> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      PageUp: -7,
      PageDown: 7,
      Home: -days.length,
      End: days.length,
    };
    const move = moves[event.key];
    if (move === undefined) return;
    event.preventDefault();
    const at = days.findIndex((notch) => notch.day === chosen);
    const next = days[Math.max(0, Math.min(days.length - 1, at + move))];
    if (!next) return;
    setDay(next.day);
    strip.current?.querySelector<HTMLElement>(`[data-day="${next.day}"]`)?.focus();
  };

  const sowings = useMemo(() => sowingDaysOf(experiment), [experiment]);
  const spans = useMemo(() => spansOf(days), [days]);
  const todayAt = days.findIndex(({ isToday }) => isToday);
  return (
    <nav
      className="timeline"
      aria-label={say('daysFromSowingToTheLesson')}
      style={{ '--days': days.length } as React.CSSProperties}
    >
      <div className="timeline-band" aria-hidden="true">
        {spans.map(({ first, length }) => {
          // The stake of today would stand in the words.
          const isFree = todayAt < first || todayAt >= first + length;
          const isRoomy = length >= WIDE_SPAN || spans.length === 1;
          return (
            <span key={first} style={{ gridColumn: `${first + 1} / span ${length}` }}>
              {isFree && isRoomy ? say('mostComeUpHere') : ''}
            </span>
          );
        })}
      </div>
      <div ref={strip} className="timeline-strip" role="radiogroup" aria-label={say('day')} onKeyDown={step}>
        {days.map((notch, index) => (
          <Notch
            key={notch.day}
            notch={notch}
            ages={agesOn(sowings, notch.day)}
            isFirst={index === 0 || notch.day.endsWith('-01')}
            isChosen={notch.day === chosen}
            isSowing={sowings.has(notch.day)}
            isLesson={notch.day === experiment.lessonOn}
            styles={stylesByDay.get(notch.day) ?? []}
            flags={flags.get(notch.day) ?? []}
            care={careByDay.get(notch.day) ?? []}
            onChoose={() => setDay(notch.day)}
          />
        ))}
      </div>
    </nav>
  );
}

function Notch({
  notch,
  ages,
  isFirst,
  isChosen,
  isSowing,
  isLesson,
  styles,
  flags,
  care,
  onChoose,
}: {
  notch: TimelineDay;
  ages: string;
  isFirst: boolean;
  isChosen: boolean;
  isSowing: boolean;
  isLesson: boolean;
  styles: readonly number[];
  flags: readonly string[];
  care: readonly string[];
  onChoose: () => void;
}) {
  const classes = ['notch'];
  if (!notch.isClassDay) classes.push('is-off');
  if (notch.inEmergenceWindow) classes.push('is-emergence');
  if (styles.length > 0) classes.push('is-read');
  if (isChosen) classes.push('is-chosen');
  const words = [
    longDay(notch.day),
    ages,
    notch.isToday ? say('today') : '',
    isSowing ? say('sowing') : '',
    isLesson ? say('lesson') : '',
    styles.length > 0 ? say('hasReadings') : '',
    ...flags,
    ...care,
  ].filter(Boolean);
  return (
    <div className="notch-place">
      <span className="notch-above" aria-hidden="true">
        {notch.isToday && <b className="stake">{say('today')}</b>}
        {isLesson && <b className="lesson-flag">{say('lesson')}</b>}
      </span>
      <button
        type="button"
        role="radio"
        aria-checked={isChosen}
        aria-label={words.join(', ')}
        data-day={notch.day}
        tabIndex={isChosen ? 0 : -1}
        className={classes.join(' ')}
        title={[...flags, ...care].join(', ')}
        onClick={onChoose}
      >
        {flags.length > 0 && <i className="task-flag" aria-hidden="true" />}
        {care.length > 0 && <i className="care-drop" aria-hidden="true" />}
        {Number(notch.day.slice(8))}
      </button>
      <span className="notch-below" aria-hidden="true">
        {styles.slice(0, MOST_DOTS).map((style) => (
          <i key={style} style={{ background: treatmentStyle(style).color }} />
        ))}
        {styles.length === 0 && isSowing && <small>{say('sow')}</small>}
        {styles.length === 0 && isFirst && !isSowing && <small>{monthOf(notch.day)}</small>}
      </span>
    </div>
  );
}

function treatmentsReadByDay(
  experiment: ReturnType<typeof useExperiment>['experiment'],
  readings: ReturnType<typeof useExperiment>['readings'],
): Map<string, number[]> {
  const styleOfUnit = new Map(experiment.units.map((unit) => [unit.id, treatmentOf(experiment, unit).style]));
  const byDay = new Map<string, Set<number>>();
  for (const { observedOn, unitId } of readings) {
    const styles = byDay.get(observedOn) ?? new Set<number>();
    byDay.set(observedOn, styles.add(styleOfUnit.get(unitId) ?? 0));
  }
  return new Map([...byDay].map(([day, styles]) => [day, [...styles].sort((a, b) => a - b)]));
}

/** Spans of days in which seedlings are expected: by the plan's room, else by the crop. */
function bandsOf(
  { plan, crop, sowOn }: ExperimentView,
  bands: readonly { from: CalendarDay; to: CalendarDay }[],
): readonly { from: CalendarDay; to: CalendarDay }[] {
  if (bands.length > 0 || (plan && isBegun(plan)) || !crop?.daysToEmergence) return bands;
  const { min, max } = crop.daysToEmergence;
  const sown = calendarDay(sowOn);
  return [{ from: addDays(sown, min), to: addDays(sown, max) }];
}

/** Days on which pots are sown, or were: several in an age ladder. */
function sowingDaysOf({ units, sowOn }: ExperimentView): ReadonlySet<string> {
  return new Set([sowOn, ...units.map((unit) => unit.sownOn ?? unit.sowOn ?? sowOn)]);
}

/** How old plants are on a day, each from its own sowing: `day 5`, or `plants of 5 to 19 days`. */
function agesOn(sowings: ReadonlySet<string>, day: string): string {
  const ages = [...sowings]
    .map((sown) => daysBetween(calendarDay(sown), calendarDay(day)))
    .filter((age) => age >= 0)
    .sort((a, b) => a - b);
  const [youngest, oldest] = [ages[0], ages.at(-1)];
  if (youngest === undefined || oldest === undefined) return '';
  return youngest === oldest ? say('day2', { age: oldest }) : say('plantsOfDays', { youngest, oldest });
}

/** Runs of days in which seedlings are expected, by index and length. */
function spansOf(days: readonly TimelineDay[]): { first: number; length: number }[] {
  const spans: { first: number; length: number }[] = [];
  days.forEach(({ inEmergenceWindow }, index) => {
    const last = spans.at(-1);
    if (!inEmergenceWindow) return;
    if (last && last.first + last.length === index) last.length += 1;
    else spans.push({ first: index, length: 1 });
  });
  return spans;
}

const UNFLAGGED: readonly string[] = ['read', 'water', 'sow', 'lesson'];

/** Words of the tasks that get a flag; reading and watering come too often for one. */
function flagsByDay(tasks: readonly ScheduledTask[]): Map<string, string[]> {
  const byDay = new Map<string, string[]>();
  for (const task of tasks) {
    if (UNFLAGGED.includes(task.code) || task.doneOn !== null) continue;
    byDay.set(task.day, [...(byDay.get(task.day) ?? []), task.title || TASK_WORDS[task.code]]);
  }
  return byDay;
}

/** What was done on each day, each kind once. */
function careWordsByDay(events: readonly CareView[]): Map<string, string[]> {
  const byDay = new Map<string, string[]>();
  for (const event of events.filter(({ isUndone }) => !isUndone)) {
    const words = byDay.get(event.happenedOn) ?? [];
    const word = CARE_WORDS[event.kind].toLowerCase();
    if (!words.includes(word)) byDay.set(event.happenedOn, [...words, word]);
  }
  return byDay;
}
