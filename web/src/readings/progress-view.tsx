import { say } from '@bright-sprout/words/readings';
import { LATE_WORDS } from '@bright-sprout/core/shared';
import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import { type ReadingView, readingRoutes } from '@bright-sprout/contract/readings';
import { agreementOf } from '@bright-sprout/core/statistics';
import { computedText, undefinedWords } from '@bright-sprout/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { useKeepExperiment } from '../plans/index.ts';
import { call, keys } from '../shared/api/index.ts';
import { standingOn, styleOf, unreadUnits, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';

/** How far each team is today, live; how well two readers agree; and closing the day. */
export function ProgressView() {
  const { experiment, findings, day } = useExperiment();
  const keep = useKeepExperiment();
  const isClosed = experiment.closedDays.includes(day);
  const close = useMutation({
    mutationFn: () =>
      call(readingRoutes.closeDay, {
        params: { experimentId: experiment.id, dayKey: day },
        body: { isClosed: !isClosed },
      }),
    onSuccess: keep,
  });
  const unread = unreadUnits(experiment, findings, day);
  return (
    <section className="panel progress-view" aria-label={say('progress')}>
      <h2>
        {say('ofPots', {
          day: shortDay(day),
          unitsCount: experiment.units.length - unread.length,
          unitsCount2: experiment.units.length,
        })}
      </h2>
      <ul className="team-progress" aria-live="polite">
        {teamsOf(experiment).map(({ name, units }) => (
          <TeamProgress key={name} name={name} units={units} />
        ))}
      </ul>
      <AgreementTable />
      <LateReadings />
      <div className="button-row">
        <Button
          variant={isClosed ? 'light' : 'primary'}
          disabled={close.isPending}
          onClick={() => close.mutate()}
        >
          {isClosed ? say('openThisDayAgain') : say('closeThisDay')}
        </Button>
        <p className="quiet">
          {isClosed
            ? say('studentsAddNothingToThisDayWhat')
            : unread.length === 0
              ? say('everyPotIsRead')
              : say('potsStillToReadAClosedDay', { unread: unread.map(({ number }) => number).join(', ') })}
        </p>
      </div>
      <FailureNote error={close.error} />
    </section>
  );
}

function TeamProgress({ name, units }: { name: string; units: readonly UnitView[] }) {
  const { readings, findings, variable, day } = useExperiment();
  const done = units.filter((unit) => {
    const { isCurrent, isGone } = standingOn(findings, unit.id, day);
    return isCurrent || isGone;
  });
  const readers = new Set(
    readings
      .filter((reading) => reading.observedOn === day && units.some((unit) => unit.id === reading.unitId))
      .filter((reading) => reading.variableId === variable.id)
      .map((reading) => reading.observer),
  );
  return (
    <li>
      <b>{name}</b>
      <span className="progress-pots">
        {units.map((unit) => (
          <i key={unit.id} className={done.includes(unit) ? 'is-done' : ''}>
            {unit.number}
          </i>
        ))}
      </span>
      <span className="progress-count">
        {say('of2', { doneCount: done.length, unitsCount: units.length })}
      </span>
      <small className="quiet">{[...readers].join(', ')}</small>
    </li>
  );
}

/** Readings that arrived after their day was closed: they count once the teacher has looked at them. */
function LateReadings() {
  const { experiment, readings, day } = useExperiment();
  const queries = useQueryClient();
  const late = readings.filter(({ observedOn, setAside }) => observedOn === day && setAside === LATE_WORDS);
  const accept = useMutation({
    mutationFn: async () => {
      for (const { id } of late) {
        await call(readingRoutes.putReadingBack, { params: { experimentId: experiment.id, readingId: id } });
      }
    },
    onSettled: () => queries.invalidateQueries({ queryKey: keys.experiment(experiment.id) }),
  });
  if (late.length === 0) return null;
  const numbers = late.map(({ unitId }) => experiment.units.find(({ id }) => id === unitId)?.number ?? '?');
  return (
    <div className="note-attention">
      <p>
        {say('readingsArrivedAfterThisDayWasClosed', {
          lateCount: late.length,
          numbersCount: numbers.length,
          numbers: numbers.join(', '),
          value: [...new Set(late.map(({ observer }) => observer))].join(', '),
        })}
      </p>
      <Button size="sm" disabled={accept.isPending} onClick={() => accept.mutate()}>
        {say('letThemCount', { lateCount: late.length })}
      </Button>
      <FailureNote error={accept.error} />
    </div>
  );
}

function AgreementTable() {
  const { experiment, readings, variable } = useExperiment();
  const style = styleOf(variable);
  const rows = teamsOf(experiment)
    .map(({ name, units }) => ({ name, ...agreementOf(pairsOf(readings, units, variable.id)) }))
    .filter(({ n }) => n > 0);
  if (rows.length === 0) {
    return <p className="quiet">{say('whenTwoPeopleReadTheSamePot')}</p>;
  }
  return (
    <table className="agreement">
      <caption>{say('twoReadersOfTheSamePotOver')}</caption>
      <thead>
        <tr>
          <th scope="col">{say('team')}</th>
          <th scope="col">{say('potsReadTwice')}</th>
          <th scope="col">{say('secondFirstMean')}</th>
          <th scope="col">{say('n95OfDifferences')}</th>
          <th scope="col">{say('errorOfOneReading')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, n, bias, limits, technicalError }) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{n}</td>
            <td>{bias.defined ? computedText(bias.value, style) : undefinedWords(bias.reason)}</td>
            <td>
              {limits.defined
                ? say('to', {
                    computedText: computedText(limits.value.low, style),
                    computedText2: computedText(limits.value.high, style),
                  })
                : undefinedWords(limits.reason)}
            </td>
            <td>
              {technicalError.defined
                ? computedText(technicalError.value, style)
                : undefinedWords(technicalError.reason)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface TeamUnits {
  readonly name: string;
  readonly units: readonly UnitView[];
}

function teamsOf(experiment: ExperimentView): TeamUnits[] {
  const sown = experiment.units.filter((unit) => unit.sownOn !== null);
  const names = [...new Set(sown.map((unit) => unit.team))].sort();
  return names.map((name) => ({
    name: name === '' ? say('noTeam') : name,
    units: sown.filter((unit) => unit.team === name),
  }));
}

/** First and second value of each unit and day that two people read. */
export function pairsOf(
  readings: readonly ReadingView[],
  units: readonly UnitView[],
  variableId: string,
): [number, number][] {
  const groups = new Map<string, ReadingView[]>();
  for (const reading of readings) {
    const isOf = reading.variableId === variableId && units.some((unit) => unit.id === reading.unitId);
    if (!isOf || !reading.counts || reading.value === null) continue;
    const key = `${reading.unitId} ${reading.observedOn}`;
    groups.set(key, [...(groups.get(key) ?? []), reading]);
  }
  return [...groups.values()].flatMap(([first, ...others]): [number, number][] => {
    const second = others.find((other) => other.observer !== first?.observer);
    return first?.value == null || second?.value == null ? [] : [[first.value, second.value]];
  });
}
