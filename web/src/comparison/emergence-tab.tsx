import { say } from '@bright-sprout/words/comparison';
import type { GroupEmergence } from '@bright-sprout/core/comparison';
import type { GerminationIndices } from '@bright-sprout/core/germination';
import type { Outcome } from '@bright-sprout/core/shared';
import { computedText, emergenceWords, undefinedWords } from '@bright-sprout/core/words';
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
      <Indices shown={shown} />
      <Packet shown={shown} />
    </>
  );
}

function useNames(shown: ShownComparison): (id: string) => string {
  return (id) => shown.groups.find((group) => group.id === id)?.name ?? '';
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
        `${Math.round(100 * step.waiting)} %`,
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

interface IndexLine {
  readonly name: string;
  readonly definition: string;
  readonly of: (indices: GerminationIndices) => Outcome<unknown>;
  readonly text: (value: never) => string;
  readonly isOlder?: boolean;
}

const days = (value: number): string => `${Number(value.toFixed(2))} d`;
const plain = (value: number): string => String(Number(value.toFixed(3)));

const INDICES: readonly IndexLine[] = [
  {
    name: say('final'),
    definition: say('nSWithItsWilson95Interval'),
    of: ({ final }) => final,
    text: ({ share, low, high }: { share: number; low: number; high: number }) =>
      say('to3', {
        value: Math.round(100 * share),
        value2: Math.round(100 * low),
        value3: Math.round(100 * high),
      }),
  },
  { name: say('first'), definition: say('firstCheckWithAnyNewlyUp'), of: ({ first }) => first, text: days },
  { name: say('last'), definition: say('lastCheckWithAnyNewlyUp'), of: ({ last }) => last, text: days },
  {
    name: say('peak'),
    definition: say('checkWithTheMostNewlyUp'),
    of: ({ peak }) => peak,
    text: days,
    isOlder: true,
  },
  { name: say('spread'), definition: say('lastFirst'), of: ({ spread }) => spread, text: days },
  { name: say('meanTime'), definition: 'Σ n·t ÷ N', of: ({ meanTime }) => meanTime, text: days },
  {
    name: say('varianceOfTime'),
    definition: 'Σ n(t − mean)² ÷ (N − 1)',
    of: ({ variance }) => variance,
    text: plain,
    isOlder: true,
  },
  { name: say('cvOfTime'), definition: '√variance ÷ mean', of: ({ cv }) => cv, text: plain, isOlder: true },
  {
    name: say('meanRate'),
    definition: say('n1MeanTime'),
    of: ({ meanRate }) => meanRate,
    text: plain,
    isOlder: true,
  },
  {
    name: say('coefficientOfVelocity'),
    definition: say('n100NNTKotowski'),
    of: ({ velocity }) => velocity,
    text: plain,
    isOlder: true,
  },
  {
    name: say('t50Farooq'),
    definition: say('daysToN2AlongStraightLines'),
    of: ({ t50 }) => t50,
    text: days,
  },
  {
    name: say('t50Coolbear'),
    definition: say('daysToN12'),
    of: ({ t50Coolbear }) => t50Coolbear,
    text: days,
    isOlder: true,
  },
  { name: say('speedMaguire'), definition: 'Σ n ÷ t', of: ({ speed }) => speed, text: plain, isOlder: true },
  {
    name: say('timson'),
    definition: say('sumOfTheCumulativePercentages'),
    of: ({ timson }) => timson,
    text: plain,
    isOlder: true,
  },
  {
    name: say('germinationIndex'),
    definition: say('t1TNDailyChecks'),
    of: ({ index }) => index,
    text: plain,
    isOlder: true,
  },
  {
    name: say('synchronyZ'),
    definition: 'Σ C(n, 2) ÷ C(N, 2)',
    of: ({ synchrony }) => synchrony,
    text: plain,
    isOlder: true,
  },
  {
    name: say('uncertaintyU'),
    definition: say('fLogFInBits'),
    of: ({ uncertainty }) => uncertainty,
    text: plain,
    isOlder: true,
  },
];

function Indices({ shown }: { shown: ShownComparison }) {
  const { level } = useChoices();
  const { emergence } = shown.comparison;
  const nameOf = useNames(shown);
  if (!emergence || level === '5-7') return null;
  const isOld = level === '14+';
  const cell = (line: IndexLine, group: GroupEmergence): string => {
    const outcome = line.of(group.indices);
    return outcome.defined ? line.text(outcome.value as never) : `– ${undefinedWords(outcome.reason)}`;
  };
  const vigour = (group: GroupEmergence): string => {
    const { vigour: outcome } = group.indices;
    return outcome.defined
      ? `${computedText(outcome.value, shown.readStyle)} · %`
      : `– ${undefinedWords(outcome.reason)}`;
  };
  return (
    <section className="panel" aria-label={say('germinationIndices')}>
      <h3>{say('inFigures')}</h3>
      <PlainTable
        columns={['', ...emergence.groups.map((group) => nameOf(group.groupId)), say('whatItIs')]}
        rows={[
          ...INDICES.filter((line) => isOld || !line.isOlder).map((line) => [
            line.name,
            ...emergence.groups.map((group) => cell(line, group)),
            line.definition,
          ]),
          ...(isOld
            ? [[say('vigour'), ...emergence.groups.map(vigour), say('finalMeanLengthAbdulBakiAndAnderson')]]
            : []),
        ]}
      />
      <p className="quiet">
        {say('nNewlyUpAtACheckOn', { ifCounted: emergence.groups[0]?.counted === 'pots' ? 'yes' : 'no' })}
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
            const found = final.defined ? `${Math.round(100 * final.value.share)} %` : say('nothingKnown');
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
