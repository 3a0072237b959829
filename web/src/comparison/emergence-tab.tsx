import { useNames } from './use-names.ts';
import { GerminationTable } from './germination-table.tsx';
import { say } from '@bright-sprout/words/comparison';
import { emergenceWords } from '@bright-sprout/core/words';
import { Suspense, useMemo } from 'react';
import { ChartCard, type ChartTable, cumulativeFigure, waitingFigure } from '../shared/charts/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { type ShownComparison, useChoices, useComparison } from './compare-context.tsx';
import { PlainTable, Sentences, testRow } from './parts.tsx';

/** Coming up: how many by when, who is still waiting, the indices with their definitions, and the packet. */
export function EmergenceTab() {
  const { shown, error } = useComparison(['emergence']);
  const { level } = useChoices();
  if (error) return <FailureNote error={error} />;
  const emergence = shown?.comparison.emergence;
  if (!shown || !emergence) return <p className="quiet">{say('comparing')}</p>;
  return (
    <>
      <Sentences lines={emergenceWords(emergence, { groups: shown.groups, style: shown.style, level })} />
      <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
        <div className="chart-pair">
          <Cumulative shown={shown} />
          <Waiting shown={shown} />
        </div>
      </Suspense>
      <Order shown={shown} />
      <GerminationTable shown={shown} />
      <Packet shown={shown} />
    </>
  );
}

function Cumulative({ shown }: { shown: ShownComparison }) {
  const { emergence } = shown.comparison;
  const nameOf = useNames(shown);
  const figure = useMemo(
    () => (emergence ? cumulativeFigure(emergence, shown.groups) : { data: [], layout: {} }),
    [emergence, shown.groups],
  );
  const table: ChartTable = {
    columns: [say('group'), say('dayOfCheck'), say('newlyUp')],
    rows: (emergence?.groups ?? []).flatMap((group) =>
      group.checks.map((check) => [nameOf(group.groupId), check.day, check.newlyUp]),
    ),
  };
  return (
    <ChartCard
      title={say('upSoFar')}
      label={say('percentUpByDayForEachGroup')}
      figure={figure}
      table={table}
      note={say('foundUpAtACheckMeansCame')}
    />
  );
}

function Waiting({ shown }: { shown: ShownComparison }) {
  const { emergence } = shown.comparison;
  const nameOf = useNames(shown);
  const figure = useMemo(
    () => (emergence ? waitingFigure(emergence, shown.groups) : { data: [], layout: {} }),
    [emergence, shown.groups],
  );
  const table: ChartTable = {
    columns: [
      say('group'),
      say('day2'),
      say('lookedAt'),
      say('newlyUp'),
      say('stillWaiting'),
      say('n95Interval'),
    ],
    rows: (emergence?.groups ?? []).flatMap((group) =>
      group.waiting.steps.map((step) => [
        nameOf(group.groupId),
        step.time,
        step.atRisk,
        step.events,
        `${Math.round(100 * step.waiting)}%`,
        step.interval.defined
          ? say('to2', {
              value: Math.round(100 * step.interval.value.low),
              value2: Math.round(100 * step.interval.value.high),
            })
          : '–',
      ]),
    ),
  };
  return (
    <ChartCard
      title={say('stillWaiting2')}
      label={say('kaplanMeierCurvesOfPotsNotUp')}
      figure={figure}
      table={table}
      note={say('kaplanMeierAPotNotUpYet')}
    />
  );
}

function Order({ shown }: { shown: ShownComparison }) {
  const { experiment } = useExperiment();
  const { emergence } = shown.comparison;
  const numberOf = (id: string): number => experiment.units.find((unit) => unit.id === id)?.number ?? 0;
  const up = (emergence?.units ?? []).flatMap((unit) =>
    unit.upAt === null ? [] : [{ ...unit, upAt: unit.upAt }],
  );
  const waiting = (emergence?.units ?? []).filter((unit) => unit.upAt === null && !unit.isLost);
  const lost = (emergence?.units ?? []).filter((unit) => unit.isLost);
  if (up.length === 0) return null;
  const [first, last] = [Math.min(...up.map((unit) => unit.upAt)), Math.max(...up.map((unit) => unit.upAt))];
  const pots = (units: readonly { unitId: string }[]): string =>
    say('pots', {
      unitsCount: units.length,
      sort: units
        .map((unit) => numberOf(unit.unitId))
        .sort((a, b) => a - b)
        .join(', '),
    });
  return (
    <section className="panel" aria-label={say('firstAndLast')}>
      <h3>{say('firstAndLast')}</h3>
      <p>
        {say('firstByDayLastSoFarBy', {
          first,
          pots: pots(up.filter((unit) => unit.upAt === first)),
          last,
          pots2: pots(up.filter((unit) => unit.upAt === last)),
        })}
        {waiting.length > 0 && say('notUp', { pots: pots(waiting) })}
        {lost.length > 0 && say('lostBeforeItWasSeenUp', { pots: pots(lost) })}
      </p>
    </section>
  );
}

function Packet({ shown }: { shown: ShownComparison }) {
  const { level } = useChoices();
  const { emergence } = shown.comparison;
  const nameOf = useNames(shown);
  if (!emergence) return null;
  return (
    <section className="panel" aria-label={say('againstThePacketAndEachOther')}>
      <h3>{say('againstThePacketAndAgainstEachOther')}</h3>
      {emergence.packetRate === null ? (
        <p>{say('thisPlanNamesNoPacketWithA')}</p>
      ) : (
        <ul>
          {emergence.groups.map((group) => {
            const { final } = group.indices;
            const promised = Math.round(100 * (emergence.packetRate ?? 0));
            const found = final.defined ? `${Math.round(100 * final.value.share)}%` : say('nothingKnown');
            const isInside =
              final.defined &&
              final.value.low <= (emergence.packetRate ?? 0) &&
              final.value.high >= (emergence.packetRate ?? 0);
            return (
              <li key={group.groupId}>
                {say('thePacketSays', { nameOf: nameOf(group.groupId), found, promised })}{' '}
                {final.defined &&
                  (isInside ? say('thatIsWithinWhatSoFewSeeds') : say('soFewOrSoManyWouldBe'))}
              </li>
            );
          })}
        </ul>
      )}
      {(level === '11-13' || level === '14+') && (
        <PlainTable
          columns={[say('question'), say('test2'), say('figures')]}
          rows={[
            ...(emergence.packetRate === null
              ? []
              : emergence.groups.map((group) =>
                  testRow(say('againstThePacket', { nameOf: nameOf(group.groupId) }), group.againstPacket),
                )),
            ...(emergence.groups.length > 1 ? [testRow(say('sameSpeedInAllGroups'), emergence.logRank)] : []),
          ]}
        />
      )}
    </section>
  );
}
