import { say } from '@bright-sprout/words/imports';
import { COLUMN_ROLES, type ColumnRole, type TableMapping } from '@bright-sprout/core/imports';
import Form from 'react-bootstrap/Form';

const ROLE_WORDS: Record<ColumnRole, string> = {
  ignore: say('notUsed'),
  unit: say('pot'),
  replicate: say('dishOrPotWithinItsTreatment'),
  plant: say('plantWithinItsPot'),
  treatment: say('treatment2'),
  factor: say('oneOfSeveralFactors'),
  block: say('block'),
  team: say('team'),
  observer: say('whoReadIt'),
  seeds_sown: say('seedsSown'),
  sown: say('sowingDate'),
  date: say('dateRead'),
  day: say('daysSinceSowing'),
  variable: say('whatWasRead'),
  value: say('value'),
  state: say('stateDeadNotUp'),
};

const SHOWN_ROWS = 6;

/** What each column is, above the first rows of the table. */
export function MapColumns({
  rows,
  roles,
  onChange,
}: {
  rows: readonly (readonly string[])[];
  roles: TableMapping['roles'];
  onChange: (roles: ColumnRole[]) => void;
}) {
  const [header = [], ...body] = rows;
  const change = (at: number, role: ColumnRole): void =>
    onChange(roles.map((own, index) => (index === at ? role : own)));
  return (
    <>
      <div className="map-scroll" tabIndex={0} role="region" aria-label={say('firstRowsOfTheTable')}>
        <table className="data-table">
          <thead>
            <tr>
              {header.map((name, at) => (
                <th key={at} scope="col">
                  <span>{name || say('column2', { at: at + 1 })}</span>
                  <Form.Select
                    size="sm"
                    aria-label={say('columnIs', { name: name || at + 1 })}
                    value={roles[at] ?? 'ignore'}
                    className={roles[at] === 'ignore' ? 'is-ignored' : ''}
                    onChange={({ target }) => change(at, target.value as ColumnRole)}
                  >
                    {COLUMN_ROLES.map((role) => (
                      <option key={role} value={role}>
                        {ROLE_WORDS[role]}
                      </option>
                    ))}
                  </Form.Select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {body.slice(0, SHOWN_ROWS).map((row, index) => (
              <tr key={index}>
                {header.map((_, at) => (
                  <td key={at} className={roles[at] === 'ignore' ? 'quiet' : ''}>
                    {row[at]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {body.length > SHOWN_ROWS && (
        <p className="quiet">{say('andMoreRows', { bodyCount: body.length - SHOWN_ROWS })}</p>
      )}
    </>
  );
}
