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
          Between {gap.from} and {gap.to} nobody read anything for {gap.days} days. Is a year mistyped?
        </p>
      )}
      {taken.partDays > 0 && (
        <p className="quiet">
          {taken.partDays === 1 ? '1 value is' : `${taken.partDays} values are`} of a day with a part, such as
          2.5; each counts on its whole day, 2.
        </p>
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
    `${pots === 1 ? '1 pot has' : `${pots} pots have`} several values of ${variable.name} on one day, ` +
    `which count by their mean: pot ${unit} on ${day} has ${figures}.`;
  if (isKnown) return <p className="quiet">{fact}</p>;
  const names = apart.map((at) => (rows[0]?.[at] ?? '').trim() || `column ${at + 1}`);
  return (
    <p className="note-attention" role="alert">
      {fact}{' '}
      {names.length > 0
        ? `Column ${names.join(' or ')} tells them apart: say whether it names dishes, plants, readers or a treatment.`
        : 'If these are dishes, plants or readers of their own, a column must say which.'}
    </p>
  );
}

function CourseTable({ course: { variable, days, rows } }: { course: Course }) {
  if (days.length === 0) return null;
  return (
    <>
      <p className="quiet">
        {variable.kind === 'count'
          ? `${variable.name}, all pots together`
          : `Mean ${variable.name} of the pots`}
        , by day:
      </p>
      <div
        className="map-scroll"
        tabIndex={0}
        role="region"
        aria-label={`What it would look like: ${variable.name}`}
      >
        <table className="data-table">
          <thead>
            <tr>
              <th scope="col">Treatment</th>
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
