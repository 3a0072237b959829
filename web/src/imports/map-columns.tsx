import { COLUMN_ROLES, type ColumnRole, type TableMapping } from '@bright-sprout/core/imports';
import Form from 'react-bootstrap/Form';

const ROLE_WORDS: Record<ColumnRole, string> = {
  ignore: 'not used',
  unit: 'pot',
  replicate: 'dish or pot within its treatment',
  plant: 'plant within its pot',
  treatment: 'treatment',
  factor: 'one of several factors',
  block: 'block',
  team: 'team',
  observer: 'who read it',
  seeds_sown: 'seeds sown',
  sown: 'sowing date',
  date: 'date read',
  day: 'days since sowing',
  variable: 'what was read',
  value: 'value',
  state: 'state (dead, not up …)',
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
      <div className="map-scroll" tabIndex={0} role="region" aria-label="First rows of the table">
        <table className="data-table">
          <thead>
            <tr>
              {header.map((name, at) => (
                <th key={at} scope="col">
                  <span>{name || `column ${at + 1}`}</span>
                  <Form.Select
                    size="sm"
                    aria-label={`Column ${name || at + 1} is`}
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
      {body.length > SHOWN_ROWS && <p className="quiet">… and {body.length - SHOWN_ROWS} more rows.</p>}
    </>
  );
}
