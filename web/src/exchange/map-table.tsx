import { exchangeRoutes } from '@bright-sprout/contract/exchange';
import type { ExperimentView } from '@bright-sprout/contract/plan';
import {
  COLUMN_ROLES,
  type ColumnRole,
  type Counting,
  guessMapping,
  readMapped,
  type TableMapping,
  type TableShape,
  type VariableKind,
} from '@bright-sprout/core/exchange';
import { calendarDay, isCalendarDay } from '@bright-sprout/core/shared';
import { useMutation } from '@tanstack/react-query';
import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import { call, sendFile } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { ProblemTable } from './file-problems.tsx';
import { LookedOver } from './looked-over.tsx';
import type { ForeignTable } from './open-file.tsx';

const ROLE_WORDS: Record<ColumnRole, string> = {
  ignore: 'not used',
  unit: 'pot',
  treatment: 'treatment',
  factor: 'one of several factors',
  block: 'block',
  team: 'team',
  seeds_sown: 'seeds sown',
  sown: 'sowing date',
  date: 'date read',
  day: 'days since sowing',
  value: 'value',
  state: 'state (dead, not up …)',
};

const SHAPE_WORDS: Record<TableShape, string> = {
  long: 'a value a row',
  'pots-in-columns': 'a pot a column, a date a row',
  'pots-in-rows': 'a pot a row, a date a column',
};

const KIND_WORDS: Record<VariableKind, string> = {
  length: 'a length',
  count: 'a count',
  number: 'a number',
  score: 'a score from 1',
};

const COUNTING_WORDS: Record<Counting, string> = {
  so_far: 'all there are by then',
  new: 'new since the check before',
};

const SHOWN_ROWS = 6;
const MOST_LISTED = 12;

/** What the columns of a foreign table mean: guessed, shown with the first rows, changed by hand, then opened. */
export default function MapTable({
  table,
  onOpened,
  onClose,
}: {
  table: ForeignTable;
  onOpened: (experiment: ExperimentView) => void;
  onClose: () => void;
}) {
  const [sheetAt, setSheetAt] = useState(0);
  const rows = useMemo(() => padded(table.sheets[sheetAt]?.rows ?? []), [table, sheetAt]);
  const [mapping, setMapping] = useState<TableMapping>(() => guessMapping(rows, today()));
  const change = (changes: Partial<TableMapping>): void => setMapping({ ...mapping, ...changes });
  const result = useMemo(() => readMapped(rows, mapping, table.fileName), [rows, mapping, table.fileName]);
  const open = useMutation({
    mutationFn: async () => {
      const csv = new TextEncoder().encode(Papa.unparse(rows));
      return call(exchangeRoutes.openTable, {
        params: { newExperimentId: table.id },
        body: {
          fileName: table.fileName,
          ...(await sendFile(csv)),
          mapping: { ...mapping, roles: [...mapping.roles] },
        },
      });
    },
    onSuccess: onOpened,
  });
  const [header = [], ...body] = rows;
  const treatments = result.ok ? result.experiment.treatments.map((treatment) => treatment.name) : [];
  return (
    <Modal show onHide={onClose} size="xl" scrollable aria-labelledby="map-table">
      <Modal.Header closeButton>
        <Modal.Title id="map-table">What do the columns of {table.fileName} mean?</Modal.Title>
      </Modal.Header>
      <Modal.Body className="map-table">
        <div className="compare-controls">
          {table.sheets.length > 1 && (
            <Choice
              label="Sheet"
              value={String(sheetAt)}
              choices={table.sheets.map((sheet, at) => [String(at), sheet.name])}
              onChange={(value) => {
                setSheetAt(Number(value));
                setMapping(guessMapping(padded(table.sheets[Number(value)]?.rows ?? []), today()));
              }}
            />
          )}
          <Choice
            label="The table holds"
            value={mapping.shape}
            choices={Object.entries(SHAPE_WORDS)}
            onChange={(value) => change({ shape: value as TableShape })}
          />
          <label className="choice">
            <span>What was read</span>
            <Form.Control
              size="sm"
              value={mapping.variable.name}
              maxLength={60}
              onChange={(event) => change({ variable: { ...mapping.variable, name: event.target.value } })}
            />
          </label>
          <Choice
            label="It is"
            value={mapping.variable.kind}
            choices={Object.entries(KIND_WORDS)}
            onChange={(value) =>
              change({
                variable: {
                  ...mapping.variable,
                  kind: value as VariableKind,
                  unit: value === 'length' ? 'cm' : '',
                },
              })
            }
          />
          {mapping.variable.kind === 'length' ? (
            <Choice
              label="in"
              value={mapping.variable.unit}
              choices={[
                ['mm', 'mm'],
                ['cm', 'cm'],
                ['in', 'inches'],
              ]}
              onChange={(value) => change({ variable: { ...mapping.variable, unit: value } })}
            />
          ) : (
            <label className="choice">
              <span>in (unit, may be empty)</span>
              <Form.Control
                size="sm"
                value={mapping.variable.unit}
                maxLength={20}
                onChange={(event) => change({ variable: { ...mapping.variable, unit: event.target.value } })}
              />
            </label>
          )}
          {mapping.variable.kind === 'count' && (
            <Choice
              label="Each count is"
              value={mapping.counting}
              choices={Object.entries(COUNTING_WORDS)}
              onChange={(value) => change({ counting: value as Counting })}
            />
          )}
          <label className="choice">
            <span>All sown on (if known)</span>
            <Form.Control
              size="sm"
              type="date"
              value={mapping.sowedOn ?? ''}
              onChange={({ target }) =>
                change({ sowedOn: isCalendarDay(target.value) ? calendarDay(target.value) : null })
              }
            />
          </label>
          {!mapping.roles.includes('date') && !mapping.roles.includes('day') && mapping.shape === 'long' && (
            <label className="choice">
              <span>All read on</span>
              <Form.Control
                size="sm"
                type="date"
                value={mapping.observedOn}
                onChange={({ target }) => {
                  if (isCalendarDay(target.value)) change({ observedOn: calendarDay(target.value) });
                }}
              />
            </label>
          )}
          <Choice
            label="3/4 means"
            value={mapping.dateOrder}
            choices={[
              ['dmy', '3 April'],
              ['mdy', 'March 4'],
            ]}
            onChange={(value) => change({ dateOrder: value as TableMapping['dateOrder'] })}
          />
          {treatments.length > 1 && (
            <Choice
              label="Control"
              value={mapping.control}
              choices={[['', 'none'], ...treatments.map((name): [string, string] => [name, name])]}
              onChange={(value) => change({ control: value })}
            />
          )}
          {mapping.shape === 'pots-in-columns' && (
            <Form.Check
              id="treatment-row"
              label="The row below the names says the treatment"
              checked={mapping.hasTreatmentRow}
              onChange={(event) => change({ hasTreatmentRow: event.target.checked })}
            />
          )}
        </div>
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
                      value={mapping.roles[at] ?? 'ignore'}
                      className={mapping.roles[at] === 'ignore' ? 'is-ignored' : ''}
                      onChange={({ target }) =>
                        change({
                          roles: mapping.roles.map((role, index) =>
                            index === at ? (target.value as ColumnRole) : role,
                          ),
                        })
                      }
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
                    <td key={at} className={mapping.roles[at] === 'ignore' ? 'quiet' : ''}>
                      {row[at]}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {body.length > SHOWN_ROWS && <p className="quiet">… and {body.length - SHOWN_ROWS} more rows.</p>}
        {result.ok && <LookedOver experiment={result.experiment} name={mapping.variable.name} />}
        {result.ok ? (
          <p className="map-result" role="status">
            This gives {count(result.experiment.units.length, 'pot')} in{' '}
            {count(result.experiment.treatments.length, 'treatment')} ({treatments.slice(0, 6).join(', ')}
            {treatments.length > 6 ? ', …' : ''}) and {count(result.experiment.readings.length, 'reading')} of{' '}
            {mapping.variable.name}.
          </p>
        ) : (
          <>
            <p role="status" className="note-attention">
              {result.problems.length === 1 ? 'One place needs' : `${result.problems.length} places need`}{' '}
              mending, in the table or in what the columns mean:
            </p>
            <ProblemTable rows={result.problems.slice(0, MOST_LISTED)} count={result.problems.length} />
          </>
        )}
        <FailureNote error={open.error} />
      </Modal.Body>
      <Modal.Footer>
        <Button variant="light" onClick={onClose}>
          Leave it
        </Button>
        <Button disabled={!result.ok || open.isPending} onClick={() => open.mutate()}>
          {open.isPending ? 'Opening …' : 'Open and compare'}
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

function Choice({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: string;
  choices: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
}) {
  return (
    <label className="choice">
      <span>{label}</span>
      <Form.Select size="sm" value={value} onChange={(event) => onChange(event.target.value)}>
        {choices.map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </Form.Select>
    </label>
  );
}

/** All rows as wide as the header. */
function padded(rows: readonly (readonly string[])[]): string[][] {
  const width = Math.max(1, ...rows.slice(0, 200).map((row) => row.length));
  return rows.map((row) => Array.from({ length: width }, (_, at) => row[at] ?? ''));
}

function today() {
  const now = new Date();
  const two = (part: number): string => String(part).padStart(2, '0');
  return calendarDay(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
}

function count(number: number, what: string): string {
  return `${number} ${what}${number === 1 ? '' : 's'}`;
}
