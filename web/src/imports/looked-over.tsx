import { oneOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/imports';
import {
  type Course,
  coursesOf,
  type Doubled,
  doubledOf,
  gapOf,
  type MappedResult,
  type TableMapping,
  tellingApart,
} from '@bright-sprout/core/imports';
import { lengthText, type LengthUnit } from '@bright-sprout/core/shared';
import { useMemo } from 'react';

type Rows = readonly (readonly string[])[];

/** What a table would make before it is opened: its course by treatment, and what would be averaged in silence. */
export function LookedOver({
  rows,
  mapping,
  result,
}: {
  rows: Rows;
  mapping: TableMapping;
  result: MappedResult & { ok: true };
}) {
  const { experiment, taken } = result;
  const courses = useMemo(() => coursesOf(experiment), [experiment]);
  const doubled = useMemo(() => doubledOf(experiment), [experiment]);
  const gap = useMemo(() => gapOf(experiment), [experiment]);
  return (
    <>
      {doubled && <DoubledNote doubled={doubled} rows={rows} mapping={mapping} />}
      {gap && (
        <p className="note-attention" role="alert">
          {say('betweenAndNobodyReadAnythingForDays', { from: gap.from, to: gap.to, days: gap.days })}
        </p>
      )}
      {taken.partDays > 0 && (
        <p className="quiet">{say('valuesAreOfADayWithA', { partDays: taken.partDays })}</p>
      )}
      {taken.valuesDropped > 0 && (
        <p className="note-attention">{say('valuesBesideAState', { count: taken.valuesDropped })}</p>
      )}
      {courses.map((course) => (
        <CourseTable key={course.variable.name} course={course} />
      ))}
    </>
  );
}

/** Said aloud unless the columns already tell that several plants or readers share a pot. */
function DoubledNote({ doubled, rows, mapping }: { doubled: Doubled; rows: Rows; mapping: TableMapping }) {
  const apart = useMemo(() => tellingApart(rows, mapping), [rows, mapping]);
  const { pots, unit, day, values, variable } = doubled;
  const isKnown = mapping.roles.includes('plant') || mapping.roles.includes('observer');
  const figures = values.map((value) => valueText(value, variable)).join(', ');
  const fact =
    say('potsHaveSeveralValuesOfOnOne', { pots, variable: variable.name }) +
    say('whichCountByTheirMeanPotOn', { unit, day, figures });
  if (isKnown) return <p className="quiet">{fact}</p>;
  const names = apart.map((at) => (rows[0]?.[at] ?? '').trim() || say('column2', { at: at + 1 }));
  return (
    <p className="note-attention" role="alert">
      {fact}{' '}
      {names.length > 0
        ? say('columnTellsThemApartSayWhetherIt', { names: oneOf(names) })
        : say('ifTheseAreDishesPlantsOrReaders')}
    </p>
  );
}

function CourseTable({ course: { variable, days, rows } }: { course: Course }) {
  if (days.length === 0) return null;
  return (
    <>
      <p className="quiet">
        {say('byDay', {
          ifKind: variable.kind === 'count' ? 'yes' : 'no',
          variable: variable.name,
        })}
      </p>
      <div
        className="map-scroll"
        tabIndex={0}
        role="region"
        aria-label={say('whatItWouldLookLike', { variable: variable.name })}
      >
        <table className="data-table">
          <thead>
            <tr>
              <th scope="col">{say('treatment')}</th>
              {days.map((day) => (
                <th key={day} scope="col">
                  {day}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.treatment}>
                <th scope="row">{row.treatment}</th>
                {row.values.map((value, at) => (
                  <td key={days[at]}>{value === null ? '–' : valueText(value, variable)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

function valueText(value: number, { kind, unit }: Course['variable']): string {
  return kind === 'length'
    ? lengthText(value, { unit: unit as LengthUnit, step: unit === 'in' ? 0.25 : 0.1 })
    : String(Number(value.toFixed(2)));
}
