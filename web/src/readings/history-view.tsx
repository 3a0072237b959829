import { say } from '@bright-sprout/words/readings';
import { type PlantsEvent, plantsLeft } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { careText } from '@bright-sprout/core/words';
import { type CareView, careRoutes } from '@bright-sprout/contract/care';
import { type EntryView, journalRoutes } from '@bright-sprout/contract/journal';
import type { UnitView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { addressOf, call, careQuery, journalQuery } from '../shared/api/index.ts';
import { findingText, treatmentOf, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { SetAside, useAct } from './set-aside.tsx';

/** Everything that happened to one pot: readings, corrections, what was set aside, care, pictures. */
export function HistoryView({ unit }: { unit: UnitView }) {
  const { experiment, readings } = useExperiment();
  const care = useQuery(careQuery(experiment.id)).data ?? [];
  const entries = useQuery(journalQuery(experiment.id)).data ?? [];
  const events = [
    ...readings
      .filter((reading) => reading.unitId === unit.id)
      .map((reading) => ({
        at: `${reading.observedOn} ${reading.recordedAt}`,
        day: reading.observedOn,
        reading,
      })),
    ...care
      .filter((event) => event.unitIds === null || event.unitIds.includes(unit.id))
      .map((event) => ({ at: `${event.happenedOn} ${event.recordedAt}`, day: event.happenedOn, event })),
    ...entries
      .filter((entry) => entry.unitId === unit.id)
      .map((entry) => ({ at: `${entry.happenedOn} ${entry.recordedAt}`, day: entry.happenedOn, entry })),
  ].sort((a, b) => b.at.localeCompare(a.at));
  return (
    <section className="panel history-view" aria-label={say('historyOfPot', { number: unit.number })}>
      <h2>
        <TreatmentMark style={treatmentOf(experiment, unit).style} size={20} />{' '}
        {say('pot2', { number: unit.number })}
      </h2>
      <p className="quiet">
        {unit.sownOn === null ? say('notSownYet') : say('sownOn', { sownOn: shortDay(unit.sownOn) })}
        {unit.seedsSown !== null && say('seeds', { seedsSown: unit.seedsSown })}
        {unit.sowingNote && `: ${unit.sowingNote}`}
      </p>
      <PlantsOverTime unit={unit} />
      {events.length === 0 && <p>{say('nothingWasNotedOfThisPotYet')}</p>}
      <ol className="history">
        {events.map((one) => (
          <li key={one.at}>
            <span className="history-day">{shortDay(one.day)}</span>
            {'reading' in one && <ReadingLine reading={one.reading} />}
            {'event' in one && <CareLine event={one.event} />}
            {'entry' in one && <EntryLine entry={one.entry} />}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** How many plants stood in the pot on each day on which they were counted, thinned or lost. */
function PlantsOverTime({ unit }: { unit: UnitView }) {
  const { experiment, readings } = useExperiment();
  const care = useQuery(careQuery(experiment.id)).data ?? [];
  const counted = experiment.variables.find(({ name }) => name === 'seeds up')?.id;
  const own = readings.filter((reading) => reading.unitId === unit.id && reading.counts);
  const lines = plantsLeft([
    ...own.flatMap((reading): PlantsEvent[] => {
      const day = calendarDay(reading.observedOn);
      const { state, value, variableId } = reading;
      if (state === 'dead' || state === 'removed') return [{ kind: 'ended', day, state }];
      return variableId === counted && value !== null ? [{ kind: 'counted', day, plants: value }] : [];
    }),
    ...care.flatMap(({ kind, amount, happenedOn, isUndone, unitIds }): PlantsEvent[] => {
      const isOwn = !isUndone && (unitIds === null || unitIds.includes(unit.id));
      if (!isOwn || kind !== 'thinned' || amount === null) return [];
      return [{ kind: 'thinned', day: calendarDay(happenedOn), plants: amount }];
    }),
  ]);
  if (lines.length === 0) return null;
  return (
    <p className="plants-over-time">
      {say('plantsOverTime', {
        lines: lines
          .map(({ day, left, thinned, ended }) =>
            say('plantsOnDay', { day: shortDay(day), left: left ?? -1, thinned, ended: ended ?? 'no' }),
          )
          .join('; '),
      })}
    </p>
  );
}

function ReadingLine({ reading }: { reading: ReadingView }) {
  const { experiment } = useExperiment();
  const variable = experiment.variables.find(({ id }) => id === reading.variableId);
  const value = variable ? findingText({ state: reading.state, value: reading.value ?? null }, variable) : '';
  const isCorrected = !reading.counts && reading.setAside === null;
  return (
    <Line
      words={
        <>
          <b className={reading.counts ? '' : 'is-out'}>
            {variable?.name}: {value}
          </b>{' '}
          <span className="quiet">
            {reading.observer}
            {reading.isReread && say('lookedAgain')}
            {isCorrected && say('correctedLater')}
            {reading.setAside !== null && say('setAside', { setAside: reading.setAside })}
          </span>
        </>
      }
      error={null}
    >
      <SetAside reading={reading} />
    </Line>
  );
}

function CareLine({ event }: { event: CareView }) {
  const { experiment } = useExperiment();
  const undo = useAct(() =>
    call(careRoutes.undoCare, {
      params: { experimentId: experiment.id, careId: event.id },
      body: { isUndone: !event.isUndone },
    }),
  );
  return (
    <Line
      words={
        <>
          <b className={event.isUndone ? 'is-out' : ''}>{careText(event)}</b>{' '}
          <span className="quiet">
            {event.observer}
            {event.unitIds === null && say('allPots')}
            {event.isUndone && say('takenBack')}
          </span>
        </>
      }
      error={undo.error}
    >
      <Button size="sm" variant="light" onClick={() => undo.mutate()}>
        {event.isUndone ? say('itWasDone') : say('takeItBack')}
      </Button>
    </Line>
  );
}

function EntryLine({ entry }: { entry: EntryView }) {
  const { experiment } = useExperiment();
  const params = { experimentId: experiment.id, entryId: entry.id };
  const remove = useAct(() => call(journalRoutes.removeEntry, { params }));
  return (
    <Line
      words={
        <>
          {entry.hasPicture && (
            <img
              src={addressOf(journalRoutes.picture, params)}
              alt={say('photoBy', {
                ifKind: entry.kind === 'photo' ? 'yes' : 'no',
                observer: entry.observer,
              })}
              loading="lazy"
            />
          )}
          {entry.note && <q>{entry.note}</q>} <span className="quiet">{entry.observer}</span>
        </>
      }
      error={remove.error}
    >
      <Button
        size="sm"
        variant="light"
        onClick={() => window.confirm(say('removeThisForGoodWithItsPicture')) && remove.mutate()}
      >
        {say('remove')}
      </Button>
    </Line>
  );
}

function Line({ words, error, children }: { words: ReactNode; error: unknown; children: ReactNode }) {
  return (
    <>
      <span className="history-words">{words}</span>
      {children}
      <FailureNote error={error} />
    </>
  );
}
