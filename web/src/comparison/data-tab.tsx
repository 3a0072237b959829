import { say } from '@bright-sprout/words/comparison';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { computedText, LEFT_OUT_WORDS } from '@bright-sprout/core/words';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Suspense, useMemo, useRef, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { boxFigure, ChartCard } from '../shared/charts/index.ts';
import { SetAside } from '../readings/index.ts';
import { findingText, useExperiment } from '../shared/experiment/index.ts';
import { FailureNote, shortDay } from '../shared/ui/index.ts';
import { useChoices, useComparison } from './compare-context.tsx';
import { MissingMap } from './missing-map.tsx';
import { PlainTable } from './parts.tsx';

/** Data: every reading, what is missing, how values lie, what was left out and what that changes. */
export function DataTab() {
  return (
    <>
      <WithAndWithout />
      <MissingMap />
      <Distribution />
      <Readings />
    </>
  );
}

function WithAndWithout() {
  const { shown, error } = useComparison([]);
  const withAside = useComparison([], { setAside: 'included' }).shown;
  const { readings } = useExperiment();
  if (error) return <FailureNote error={error} />;
  if (!shown) return null;
  const { comparison, groups, style } = shown;
  const aside = readings.filter((reading) => reading.setAside !== null);
  const corrected = readings.filter((reading) => !reading.counts && reading.setAside === null).length;
  const leftOut = comparison.groups
    .flatMap((group) => group.counts.leftOut)
    .sort((first, second) => first.number - second.number);
  return (
    <section className="panel" aria-label={say('whatIsLeftOut')}>
      <h3>{say('whatIsLeftOutAndWhy')}</h3>
      <p>
        {leftOut.length === 0
          ? say('everyPotHasAValueOnThis')
          : say('potsHaveNoValueOnThisDay', {
              leftOutCount: leftOut.length,
              leftOut: leftOut
                .map((unit) =>
                  say('pot3', { number: unit.number, leftOutWords: LEFT_OUT_WORDS[unit.reason] }),
                )
                .join(', '),
            })}{' '}
        {aside.length === 0
          ? say('noReadingIsSetAside')
          : say('readingsAreSetAside', { asideCount: aside.length })}{' '}
        {corrected > 0 && say('wereCorrectedLater', { corrected })}
      </p>
      {comparison.setAside > 0 && withAside && (
        <PlainTable
          columns={[say('group'), say('withoutWhatIsSetAside'), say('withIt')]}
          rows={groups.map((group) => [
            group.name,
            ...[comparison, withAside.comparison].map((one) => {
              const own = one.groups.find(({ groupId }) => groupId === group.id)?.description;
              return own?.mean.defined
                ? `${computedText(own.mean.value, style)}, n = ${own.n}`
                : say('noValue');
            }),
          ])}
        />
      )}
      {comparison.setAside > 0 && withAside && (
        <p>
          {say('withoutWith', {
            headline: comparison.words.headline,
            headline2: withAside.comparison.words.headline,
          })}
        </p>
      )}
    </section>
  );
}

function Distribution() {
  const { shown } = useComparison([]);
  const figure = useMemo(
    () => (shown ? boxFigure(shown.comparison, shown.groups, shown.style) : { data: [], layout: {} }),
    [shown],
  );
  if (!shown) return null;
  const { comparison, groups, style } = shown;
  return (
    <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
      <ChartCard
        title={say('howTheValuesLie')}
        label={say('boxPlotWithEveryPotForEach')}
        figure={figure}
        table={{
          columns: [
            say('group'),
            'n',
            say('smallest'),
            say('lowerQuartile'),
            say('median'),
            say('upperQuartile'),
            say('largest'),
          ],
          rows: comparison.groups.map(({ groupId, description: d }) => [
            groups.find((group) => group.id === groupId)?.name ?? '',
            d.n,
            ...[d.min, d.lowerQuartile, d.median, d.upperQuartile, d.max].map((figureOf) =>
              figureOf.defined ? computedText(figureOf.value, style) : '–',
            ),
          ]),
        }}
        note={say('quartilesByStraightLinesBetween')}
      />
    </Suspense>
  );
}

interface Row {
  readonly reading: ReadingView;
  readonly pot: number;
  readonly treatment: string;
  readonly variable: string;
  readonly text: string;
  readonly status: string;
}

const column = createColumnHelper<Row>();
const COLUMNS = [
  column.accessor('pot', { header: say('pot') }),
  column.accessor('treatment', { header: say('treatment') }),
  column.accessor((row) => row.reading.observedOn, {
    id: 'day',
    header: say('day'),
    cell: ({ getValue }) => shortDay(getValue()),
  }),
  column.accessor('variable', { header: say('what') }),
  column.accessor((row) => row.reading.value ?? -1, {
    id: 'value',
    header: say('value'),
    cell: ({ row }) => (
      <span className={row.original.reading.counts ? '' : 'is-out'}>{row.original.text}</span>
    ),
  }),
  column.accessor((row) => row.reading.observer, { id: 'observer', header: say('readBy') }),
  column.accessor('status', { header: say('counts') }),
  column.display({ id: 'aside', header: '', cell: ({ row }) => <SetAside reading={row.original.reading} /> }),
];

const ROW_PX = 44;

function Readings() {
  const { readings } = useExperiment();
  const [filter, setFilter] = useState('');
  const rows = useRows();
  const table = useReactTable({
    data: rows,
    columns: COLUMNS,
    state: { globalFilter: filter },
    onGlobalFilterChange: setFilter,
    globalFilterFn: (row, _, text: string) =>
      say('pot4', {
        pot: row.original.pot,
        treatment: row.original.treatment,
        variable: row.original.variable,
        original: row.original.text,
        status: row.original.status,
        observer: row.original.reading.observer,
        observedOn: row.original.reading.observedOn,
        observedOn2: shortDay(row.original.reading.observedOn),
      })
        .toLowerCase()
        .includes(text.toLowerCase()),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    initialState: { sorting: [{ id: 'day', desc: true }] },
  });
  const shownRows = table.getRowModel().rows;
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: shownRows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  });
  return (
    <section className="panel" aria-label={say('allReadings')}>
      <div className="chart-head">
        <h3>{say('allReadings')}</h3>
        <Form.Control
          size="sm"
          className="data-filter"
          type="search"
          placeholder={say('filterPot3SetAsideHeronDead')}
          aria-label={say('filterReadings')}
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
        />
      </div>
      <p className="quiet" role="status">
        {say('ofReadings', { shownRowsCount: shownRows.length, readingsCount: readings.length })}
      </p>
      <div
        ref={scroller}
        className="data-scroll"
        tabIndex={0}
        role="region"
        aria-label={say('readingsScrollable')}
      >
        <table className="data-table">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id}>
                {group.headers.map((header) => {
                  const sorted = header.column.getIsSorted();
                  return (
                    <th
                      key={header.id}
                      scope="col"
                      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    >
                      {header.column.getCanSort() ? (
                        <button type="button" onClick={header.column.getToggleSortingHandler()}>
                          {flexRender(header.column.columnDef.header, header.getContext())}
                          {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                        </button>
                      ) : (
                        <span className="visually-hidden">{say('setAside3')}</span>
                      )}
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody>
            <Space height={virtual.getVirtualItems()[0]?.start ?? 0} />
            {virtual.getVirtualItems().map((item) => {
              const row = shownRows[item.index];
              if (!row) return null;
              return (
                <tr key={row.id} ref={virtual.measureElement} data-index={item.index}>
                  {row.getVisibleCells().map((cell) => (
                    <td key={cell.id}>{flexRender(cell.column.columnDef.cell, cell.getContext())}</td>
                  ))}
                </tr>
              );
            })}
            <Space height={virtual.getTotalSize() - (virtual.getVirtualItems().at(-1)?.end ?? 0)} />
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** The readings of the pots that are chosen, as they are shown. */
function useRows(): Row[] {
  const { experiment, readings } = useExperiment();
  const { chosen } = useChoices();
  return useMemo(() => {
    const units = new Map(experiment.units.map((unit) => [unit.id, unit]));
    const treatments = new Map(experiment.treatments.map((treatment) => [treatment.id, treatment.name]));
    const variables = new Map(experiment.variables.map((variable) => [variable.id, variable]));
    return readings.flatMap((reading): Row[] => {
      const unit = units.get(reading.unitId);
      const variable = variables.get(reading.variableId);
      if (!unit || !variable || (chosen.size > 0 && !chosen.has(unit.id))) return [];
      return [
        {
          reading,
          pot: unit.number,
          treatment: treatments.get(unit.treatmentId) ?? '',
          variable: variable.name,
          text: findingText({ state: reading.state, value: reading.value ?? null }, variable),
          status: reading.counts
            ? 'yes'
            : reading.setAside === null
              ? say('correctedLater')
              : say('setAside2', { setAside: reading.setAside }),
        },
      ];
    });
  }, [experiment, readings, chosen]);
}

/** Room for rows that are out of sight. */
function Space({ height }: { height: number }) {
  return height > 0 ? (
    <tr aria-hidden="true">
      <td colSpan={COLUMNS.length} style={{ height, padding: 0, border: 0 }} />
    </tr>
  ) : null;
}
