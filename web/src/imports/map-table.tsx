import { say } from '@bright-sprout/words/imports';
import { importRoutes } from '@bright-sprout/contract/imports';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import {
  guessMapping,
  type MappedResult,
  readMapped,
  type TableMapping,
  variablesIn,
  wordsIn,
} from '@bright-sprout/core/imports';
import { calendarDay } from '@bright-sprout/core/shared';
import { useMutation } from '@tanstack/react-query';
import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { call, sendFile } from '../shared/api/index.ts';
import { Choice, FailureNote } from '../shared/ui/index.ts';
import { ProblemTable } from './file-problems.tsx';
import { LookedOver } from './looked-over.tsx';
import { MapColumns } from './map-columns.tsx';
import { MapSettings } from './map-settings.tsx';
import { MapVariables } from './map-variables.tsx';
import { MapWords } from './map-words.tsx';
import type { ForeignTable } from './read-picked.ts';
import './imports.scss';

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
  const change = (changes: Partial<TableMapping>): void => {
    const next = { ...mapping, ...changes };
    const isMoved = changes.roles !== undefined || changes.shape !== undefined;
    setMapping(isMoved ? { ...next, variables: variablesIn(rows, next, mapping.variables) } : next);
  };
  const result = useMemo(() => readMapped(rows, mapping, table.fileName), [rows, mapping, table.fileName]);
  const words = useMemo(() => wordsIn(rows, mapping), [rows, mapping]);
  const open = useMutation({
    mutationFn: async () => {
      const csv = new TextEncoder().encode(Papa.unparse(rows));
      const sent = await sendFile(csv);
      return call(importRoutes.openTable, {
        params: { newExperimentId: table.id },
        body: { fileName: table.fileName, ...sent, mapping: sentMapping(mapping) },
      });
    },
    onSuccess: onOpened,
  });
  const treatments = result.ok ? result.experiment.treatments.map((treatment) => treatment.name) : [];
  return (
    <Modal show onHide={onClose} size="xl" scrollable aria-labelledby="map-table">
      <Modal.Header closeButton>
        <Modal.Title id="map-table">
          {say('whatDoTheColumnsOfMean', { fileName: table.fileName })}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="map-table">
        {table.sheets.length > 1 && (
          <Choice
            label={say('sheet')}
            value={String(sheetAt)}
            choices={table.sheets.map((sheet, at): [string, string] => [String(at), sheet.name])}
            onChange={(value) => {
              setSheetAt(Number(value));
              setMapping(guessMapping(padded(table.sheets[Number(value)]?.rows ?? []), today()));
            }}
          />
        )}
        <MapSettings mapping={mapping} treatments={treatments} onChange={change} />
        <MapColumns rows={rows} roles={mapping.roles} onChange={(roles) => change({ roles })} />
        <MapVariables variables={mapping.variables} onChange={(variables) => change({ variables })} />
        <MapWords
          found={words}
          words={mapping.words}
          zeros={mapping.zeros}
          zerosFound={result.ok ? result.taken.zeros : undefined}
          onWords={(meant) => change({ words: meant })}
          onZeros={(zeros) => change({ zeros })}
        />
        {result.ok && <LookedOver rows={rows} mapping={mapping} result={result} />}
        <MapResult result={result} treatments={treatments} />
        <FailureNote error={open.error} />
      </Modal.Body>
      <Modal.Footer>
        <Button variant="light" onClick={onClose}>
          {say('leaveIt')}
        </Button>
        <Button disabled={!result.ok || open.isPending} onClick={() => open.mutate()}>
          {open.isPending ? say('opening') : say('openAndCompare')}
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

/** What would be opened, or what stands in the way. */
function MapResult({ result, treatments }: { result: MappedResult; treatments: readonly string[] }) {
  if (!result.ok) {
    return (
      <>
        <p role="status" className="note-attention">
          {say('placesNeedMendingInTheTableOr', { problemsCount: result.problems.length })}
        </p>
        <ProblemTable rows={result.problems.slice(0, MOST_LISTED)} count={result.problems.length} />
      </>
    );
  }
  const { units, readings, variables } = result.experiment;
  return (
    <p className="map-result" role="status">
      {say('thisGivesInAndOf', {
        units: units.length,
        treatments: treatments.length,
        names: treatments.slice(0, 6).join(', '),
        hasMore: treatments.length > 6 ? 'yes' : 'no',
        readings: readings.length,
        variables: variables.map(({ name }) => name).join(', '),
      })}
    </p>
  );
}

function sentMapping({ roles, variables, words, ...mapping }: TableMapping) {
  return { ...mapping, roles: [...roles], variables: [...variables], words: [...words] };
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
