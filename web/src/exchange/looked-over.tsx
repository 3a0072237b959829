import { type ExchangedExperiment, lookOver } from '@bright-sprout/core/exchange';
import { lengthText, type LengthUnit } from '@bright-sprout/core/shared';
import { useMemo } from 'react';

/** What a table would make before it is opened: its course by treatment, and what would be averaged in silence. */
export function LookedOver({ experiment, name }: { experiment: ExchangedExperiment; name: string }) {
  const { rows, days, doubled, example } = useMemo(() => lookOver(experiment), [experiment]);
  const [variable] = experiment.variables;
  if (!variable || days.length === 0) return null;
  const text = (value: number): string =>
    variable.kind === 'length'
      ? lengthText(value, { unit: variable.unit as LengthUnit, step: variable.unit === 'in' ? 0.25 : 0.1 })
      : String(Number(value.toFixed(2)));
  return (
    <>
      {example && (
        <p className="note-attention" role="alert">
          {doubled === 1 ? '1 pot has' : `${doubled} pots have`} several values on one day, which would count
          by their mean: pot {example.unit} on {example.day} has {example.values.map(text).join(', ')}. If
          these are dishes, plants or readers of their own, say which column tells them apart, or leave the
          others out.
        </p>
      )}
      <p className="quiet">
        {variable.kind === 'count' ? `${name}, all pots together` : `Mean ${name} of the pots`}, by day:
      </p>
      <div className="map-scroll" tabIndex={0} role="region" aria-label="What it would look like">
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
                  <td key={days[at]}>{value === null ? '–' : text(value)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
