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
  if (!shown || !emergence) return <p className="quiet">Comparing …</p>;
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
    columns: ['Group', 'day of check', 'newly up'],
    rows: (emergence?.groups ?? []).flatMap((group) =>
      group.checks.map((check) => [nameOf(group.groupId), check.day, check.newlyUp]),
    ),
  };
  return (
    <ChartCard
      title="Up so far"
      label="Percent up by day for each group"
      figure={figure}
      table={table}
      note="Found up at a check means: came up after the check before."
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
    columns: ['Group', 'day', 'looked at', 'newly up', 'still waiting', '95 % interval'],
    rows: (emergence?.groups ?? []).flatMap((group) =>
      group.waiting.steps.map((step) => [
        nameOf(group.groupId),
        step.time,
        step.atRisk,
        step.events,
        `${Math.round(100 * step.waiting)} %`,
        step.interval.defined
          ? `${Math.round(100 * step.interval.value.low)} to ${Math.round(100 * step.interval.value.high)} %`
          : '–',
      ]),
    ),
  };
  return (
    <ChartCard
      title="Still waiting"
      label="Kaplan–Meier curves of pots not up yet"
      figure={figure}
      table={table}
      note="Kaplan–Meier: a pot not up yet is waiting, neither a 0 nor a failure."
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
    `${units.length === 1 ? 'pot' : 'pots'} ${units
      .map((unit) => numberOf(unit.unitId))
      .sort((a, b) => a - b)
      .join(', ')}`;
  return (
    <section className="panel" aria-label="First and last">
      <h3>First and last</h3>
      <p>
        First, by day {first}: {pots(up.filter((unit) => unit.upAt === first))}. Last so far, by day {last}:{' '}
        {pots(up.filter((unit) => unit.upAt === last))}.{waiting.length > 0 && ` Not up: ${pots(waiting)}.`}
        {lost.length > 0 && ` Lost before it was seen up: ${pots(lost)}.`}
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
    name: 'Final',
    definition: 'N ÷ S, with its Wilson 95 % interval',
    of: ({ final }) => final,
    text: ({ share, low, high }: { share: number; low: number; high: number }) =>
      `${Math.round(100 * share)} % (${Math.round(100 * low)} to ${Math.round(100 * high)})`,
  },
  { name: 'First', definition: 'first check with any newly up', of: ({ first }) => first, text: days },
  { name: 'Last', definition: 'last check with any newly up', of: ({ last }) => last, text: days },
  {
    name: 'Peak',
    definition: 'check with the most newly up',
    of: ({ peak }) => peak,
    text: days,
    isOlder: true,
  },
  { name: 'Spread', definition: 'last − first', of: ({ spread }) => spread, text: days },
  { name: 'Mean time', definition: 'Σ n·t ÷ N', of: ({ meanTime }) => meanTime, text: days },
  {
    name: 'Variance of time',
    definition: 'Σ n(t − mean)² ÷ (N − 1)',
    of: ({ variance }) => variance,
    text: plain,
    isOlder: true,
  },
  { name: 'CV of time', definition: '√variance ÷ mean', of: ({ cv }) => cv, text: plain, isOlder: true },
  {
    name: 'Mean rate',
    definition: '1 ÷ mean time',
    of: ({ meanRate }) => meanRate,
    text: plain,
    isOlder: true,
  },
  {
    name: 'Coefficient of velocity',
    definition: '100 N ÷ Σ n·t (Kotowski)',
    of: ({ velocity }) => velocity,
    text: plain,
    isOlder: true,
  },
  {
    name: 'T50 (Farooq)',
    definition: 'days to N ÷ 2, along straight lines',
    of: ({ t50 }) => t50,
    text: days,
  },
  {
    name: 'T50 (Coolbear)',
    definition: 'days to (N + 1) ÷ 2',
    of: ({ t50Coolbear }) => t50Coolbear,
    text: days,
    isOlder: true,
  },
  { name: 'Speed (Maguire)', definition: 'Σ n ÷ t', of: ({ speed }) => speed, text: plain, isOlder: true },
  {
    name: 'Timson',
    definition: 'sum of the cumulative percentages',
    of: ({ timson }) => timson,
    text: plain,
    isOlder: true,
  },
  {
    name: 'Germination index',
    definition: 'Σ (T + 1 − t)·n, daily checks',
    of: ({ index }) => index,
    text: plain,
    isOlder: true,
  },
  {
    name: 'Synchrony Z',
    definition: 'Σ C(n, 2) ÷ C(N, 2)',
    of: ({ synchrony }) => synchrony,
    text: plain,
    isOlder: true,
  },
  {
    name: 'Uncertainty U',
    definition: '−Σ f·log₂ f, in bits',
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
    <section className="panel" aria-label="Germination indices">
      <h3>In figures</h3>
      <PlainTable
        columns={['', ...emergence.groups.map((group) => nameOf(group.groupId)), 'what it is']}
        rows={[
          ...INDICES.filter((line) => isOld || !line.isOlder).map((line) => [
            line.name,
            ...emergence.groups.map((group) => cell(line, group)),
            line.definition,
          ]),
          ...(isOld
            ? [['Vigour', ...emergence.groups.map(vigour), 'final % × mean length (Abdul-Baki and Anderson)']]
            : []),
        ]}
      />
      <p className="quiet">
        n newly up at a check on day t, N up in all, S sown, T the last check.
        {emergence.groups[0]?.counted === 'pots'
          ? ' A pot counts once, when anything in it is up.'
          : ' Seeds are counted; seeds that share a pot are not independent of each other.'}
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
    <section className="panel" aria-label="Against the packet and each other">
      <h3>Against the packet, and against each other</h3>
      {emergence.packetRate === null ? (
        <p>
          This plan names no packet with a rate. Choose one in Plan, Sowing, to compare with what it promises.
        </p>
      ) : (
        <ul>
          {emergence.groups.map((group) => {
            const { final } = group.indices;
            const promised = Math.round(100 * (emergence.packetRate ?? 0));
            const found = final.defined ? `${Math.round(100 * final.value.share)} %` : 'nothing known';
            const isInside =
              final.defined &&
              final.value.low <= (emergence.packetRate ?? 0) &&
              final.value.high >= (emergence.packetRate ?? 0);
            return (
              <li key={group.groupId}>
                {nameOf(group.groupId)}: {found}, the packet says {promised} %.{' '}
                {final.defined &&
                  (isInside
                    ? 'That is within what so few seeds can differ by luck.'
                    : 'So few or so many would be rare with a packet as promised.')}
              </li>
            );
          })}
        </ul>
      )}
      {(level === '11-13' || level === '14+') && (
        <PlainTable
          columns={['Question', 'test', 'figures']}
          rows={[
            ...(emergence.packetRate === null
              ? []
              : emergence.groups.map((group) =>
                  testRow(`${nameOf(group.groupId)} against the packet`, group.againstPacket),
                )),
            ...(emergence.groups.length > 1 ? [testRow('Same speed in all groups?', emergence.logRank)] : []),
          ]}
        />
      )}
    </section>
  );
}
