import { say } from '@bright-sprout/words/app';
import { liveRoutes } from '@bright-sprout/contract/live';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { placedOn } from '@bright-sprout/core/design';
import { lastDayMostRead } from '@bright-sprout/core/growth';
import { daysBetween, calendarDay, isCalendarDay } from '@bright-sprout/core/shared';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useParams, useSearchParams } from 'react-router';
import { SharedNote } from '../sharing/index.ts';
import { useChanges } from '../shared/live/index.ts';
import { unsavedOf } from '../plans/index.ts';
import { useWithWaiting } from '../shared/outbox/index.ts';
import {
  addressOf,
  ApiFailure,
  careQuery,
  experimentQuery,
  readingsQuery,
  keys,
} from '../shared/api/index.ts';
import { ExperimentProvider, type Findings, findingsOf, unreadUnits } from '../shared/experiment/index.ts';
import { Timeline } from '../shared/timeline/index.ts';
import { Said, FailureNote, Logo, shortDay, StageBoundary } from '../shared/ui/index.ts';
import { hearOfExperiment } from './hear-changes.ts';
import { leftToRead } from './left-to-read.ts';
import { loadCompare, loadTeach, useFetchedAhead } from './stages.ts';

/** The frame of an experiment: question, stages, the timeline of days, and the stage that is open. */
export default function ExperimentFrame() {
  const { experimentId = '' } = useParams();
  const [gone, setGone] = useState<{ readonly id: string; readonly error: unknown }>();
  const queries = useQueryClient();
  useEffect(() => {
    if (gone) queries.removeQueries({ queryKey: keys.experiment(gone.id) });
  }, [gone, queries]);
  if (gone?.id === experimentId) return <CannotOpen error={gone.error} />;
  return <Opened experimentId={experimentId} onGone={(error) => setGone({ id: experimentId, error })} />;
}

/**
 * The frame once plan and readings are here. What this device kept stands in while the server cannot be asked, but not
 * when it says that the experiment is no longer there for this teacher.
 */
function Opened({ experimentId, onGone }: { experimentId: string; onGone: (error: unknown) => void }) {
  const plan = useQuery(experimentQuery(experimentId));
  const readings = useQuery(readingsQuery(experimentId));
  const error = plan.error ?? readings.error;
  const isGone = isNotFound(error);
  useEffect(() => {
    if (isGone) onGone(error);
  }, [isGone, error, onGone]);
  if (error && !(plan.data && readings.data)) return <CannotOpen error={error} />;
  if (!plan.data || !readings.data) return <p className="visually-hidden">{say('opening')}</p>;
  return <Frame experiment={plan.data} readings={readings.data} />;
}

/** Compared once there is something to compare. */
const COMPARED = [loadCompare, loadTeach] as const;

/** Pages that stand alone: the projector and its remote. */
const ALONE = /\/lesson\/(show|remote)$/;

/** Pages that look back on what was read. */
const LOOKING_BACK = /\/(compare(\/print)?|teach|lesson\/\w+)$/;

function Frame({
  experiment: sown,
  readings: stored,
}: {
  experiment: ExperimentView;
  readings: readonly ReadingView[];
}) {
  const readings = useWithWaiting(stored, sown.id);
  useFetchedAhead(readings.length > 0 ? COMPARED : undefined);
  useChanges(addressOf(liveRoutes.changes, { experimentId: sown.id }), hearOfExperiment, keys.anyExperiment);
  const [search, setSearch] = useSearchParams();
  const [first] = sown.variables;
  const variable = sown.variables.find(({ id }) => id === search.get('variable')) ?? first;
  const findings = useMemo(() => findingsOf(readings, variable?.id ?? ''), [readings, variable]);
  const { pathname } = useLocation();
  const asked = search.get('day');
  const lastRead = lastDayMostRead(findings, sown.units.length);
  const isReadToday = readings.some(({ observedOn }) => observedOn === sown.today);
  const looksBack = LOOKING_BACK.test(pathname) || (search.get('view') === 'progress' && !isReadToday);
  const begun = firstDay(sown, readings, looksBack ? lastRead : undefined);
  const day = isCalendarDay(asked) ? asked : begun;
  const isLookingBack = looksBack && day === lastRead && day < sown.today;
  const experiment = usePlacedOn(sown, day);
  if (!variable) return <CannotOpen error={new Error('no variable')} />;
  const setDay = (next: string): void =>
    setSearch(
      (before) => {
        before.set('day', next);
        return before;
      },
      { replace: true },
    );
  const stage = (
    <Suspense fallback={<div className="panel stage-waiting" aria-busy="true" />}>
      <StageBoundary home="/">
        <Outlet />
      </StageBoundary>
    </Suspense>
  );
  const value = { experiment, readings, variable, findings, day, setDay };
  if (ALONE.test(pathname)) return <ExperimentProvider value={value}>{stage}</ExperimentProvider>;
  return (
    <ExperimentProvider value={value}>
      <div className="frame">
        <header className="frame-head">
          <Link to="/" className="home-link" aria-label={say('toTheShelf')}>
            <Logo />
          </Link>
          <div className="frame-title">
            <h1 title={experiment.question}>{experiment.question}</h1>
            <p>
              {say('potsBrightSprout', {
                cropName: experiment.cropName && `${experiment.cropName}, `,
                unitsCount: experiment.units.length,
              })}
            </p>
          </div>
          <StageLinks
            experiment={experiment}
            findings={findings}
            hasReadings={readings.length > 0}
            search={search.toString()}
          />
        </header>
        <Timeline />
        <main className="frame-work">
          {experiment.shared && (
            <SharedNote
              subject={{ kind: 'experiment', id: experiment.id, name: experiment.question }}
              shared={experiment.shared}
            />
          )}
          <UnsavedPlan experimentId={experiment.id} />
          {isLookingBack && (
            <p className="day-note" role="status">
              {say('shownTheLastDayThatMostPots', { day: shortDay(day) })}
            </p>
          )}
          {stage}
        </main>
      </div>
    </ExperimentProvider>
  );
}

/** The experiment with its pots where they stand on a day. */
function usePlacedOn(experiment: ExperimentView, day: string): ExperimentView {
  const care = useQuery(careQuery(experiment.id)).data;
  return useMemo(() => {
    const moved = care?.some(({ moves }) => moves.length > 0) ?? false;
    return moved ? { ...experiment, units: placedOn(experiment.units, care ?? [], day) } : experiment;
  }, [experiment, care, day]);
}

/** What a change makes stale. */
function StageLinks({
  experiment,
  findings,
  hasReadings,
  search,
}: {
  experiment: ExperimentView;
  findings: Findings;
  hasReadings: boolean;
  search: string;
}) {
  const isDraft = experiment.status === 'draft';
  const left = isDraft ? 0 : unreadUnits(experiment, findings, experiment.today).length;
  const stages = [
    {
      to: 'plan',
      name: say('plan'),
      state: isDraft ? 'draft' : experiment.status === 'finished' ? 'finished' : 'set',
    },
    {
      to: 'sow',
      name: say('sow'),
      state: isDraft
        ? say('planned', { sowOn: shortDay(experiment.sowOn) })
        : say('done', { sowOn: shortDay(experiment.sowOn) }),
    },
    {
      to: 'record',
      name: say('record'),
      state: isDraft
        ? say('afterSowing')
        : experiment.status === 'finished'
          ? say('closed')
          : leftToRead(experiment, left),
    },
    {
      to: 'compare',
      name: say('compare'),
      state: hasReadings
        ? say('daySoFar', { lastAge: lastAge(experiment, findings) })
        : say('nothingReadYet'),
    },
    { to: 'teach', name: say('teach'), state: hasReadings ? say('aLessonIsReady') : say('afterReading') },
  ];
  return (
    <nav className="stages" aria-label={say('stages')}>
      {stages.map(({ to, name, state }) => (
        <NavLink key={to} to={{ pathname: to, search }}>
          <b>{name}</b>
          <small>{state}</small>
        </NavLink>
      ))}
    </nav>
  );
}

function lastAge(experiment: ExperimentView, findings: Findings): number {
  let last = calendarDay(experiment.sowOn);
  for (const history of findings.values()) {
    const day = history.at(-1)?.day;
    if (day !== undefined && day > last) last = day;
  }
  return daysBetween(calendarDay(experiment.sowOn), last);
}

/**
 * The day to begin with: where a class looks back, the last day that most pots were read; else today while the
 * experiment lasts, and the last day read when it is over.
 */
function firstDay(
  experiment: ExperimentView,
  readings: readonly ReadingView[],
  lastRead: string | undefined,
): string {
  if (experiment.status === 'draft') return experiment.sowOn;
  if (lastRead !== undefined) return lastRead;
  const isOver = experiment.status === 'finished' || experiment.today > experiment.lessonOn;
  const days = readings.map((reading) => reading.observedOn).sort();
  return isOver ? (days.at(-1) ?? experiment.sowOn) : experiment.today;
}

/**
 * Says that a page was left before the plan on it was saved: the other stages still show the plan of before. Opening the
 * plan saves what was typed.
 */
function UnsavedPlan({ experimentId }: { experimentId: string }) {
  const [isWaiting, setIsWaiting] = useState(() => unsavedOf(experimentId) !== undefined);
  const isPlan = useLocation().pathname.endsWith('/plan');
  if (isWaiting && isPlan) setIsWaiting(false);
  if (!isWaiting || isPlan) return null;
  return (
    <p className="day-note note-attention" role="alert">
      <Said
        by={say}
        code="whatWasTypedLastOnThePlan"
        values={{ link: (parts) => <Link to={`/experiments/${experimentId}/plan`}>{parts}</Link> }}
      />
    </p>
  );
}

function isNotFound(error: unknown): boolean {
  return error instanceof ApiFailure && error.body.code === 'not_found';
}

function CannotOpen({ error }: { error: unknown }) {
  const isGone = isNotFound(error);
  return (
    <main className="trouble">
      <h1>{isGone ? say('thisExperimentIsNotOnYourShelf') : say('thisCouldNotBeOpened')}</h1>
      <FailureNote error={error} />
      <Link className="btn btn-primary" to="/">
        {say('toTheShelf')}
      </Link>
    </main>
  );
}
