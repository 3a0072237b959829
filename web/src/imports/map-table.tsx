import { say } from '@bright-sprout/words/imports';
import { importRoutes } from '@bright-sprout/contract/imports';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { MappedResult, TableMapping } from '@bright-sprout/core/imports';
import { useMutation } from '@tanstack/react-query';
import Papa from 'papaparse';
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
import { PreparedNotes } from './prepared-notes.tsx';
import type { ForeignTable } from './read-picked.ts';
import { TableQuestions } from './table-questions.tsx';
import { TableUnderstood } from './understood.tsx';
import { useForeignTable } from './use-foreign-table.ts';
import './imports.scss';

const MOST_LISTED = 12;

/**
 * A foreign table before it is opened: what was understood as a drawing and in sentences, what has to be asked, what
 * was done to it, and what its columns mean; all of it can be changed, and nothing is stored before.
 */
export default function MapTable({
  table,
  onOpened,
  onClose,
}: {
  table: ForeignTable;
  onOpened: (experiment: ExperimentView) => void;
  onClose: () => void;
}) {
  const read = useForeignTable(table);
  const { prepared, mapping, result, words } = read;
  const { rows } = prepared;
  const open = useMutation({
    mutationFn: async () => {
      const csv = new TextEncoder().encode(Papa.unparse(rows as string[][]));
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
        <Modal.Title id="map-table">{say('isThisWhatItSays', { fileName: table.fileName })}</Modal.Title>
      </Modal.Header>
      <Modal.Body className="map-table">
        {table.sheets.length > 1 && (
          <Choice
            label={say('sheet')}
            value={String(read.sheetAt)}
            choices={table.sheets.map((sheet, at): [string, string] => [String(at), sheet.name])}
            onChange={(value) => read.chooseSheet(Number(value))}
          />
        )}
        <MapResult result={result} sources={prepared.sources} />
        {prepared.isRagged && <p className="note-attention">{say('rowsAreWiderThanTheHeadings')}</p>}
        <TableQuestions questions={read.questions} answers={read.answers} onAnswer={read.answer} />
        <PreparedNotes done={prepared.done} undone={read.undone} onUndone={read.undo} />
        <MapSettings mapping={mapping} treatments={treatments} onChange={read.change} />
        <MapColumns rows={rows} roles={mapping.roles} onChange={(roles) => read.change({ roles })} />
        <MapVariables variables={mapping.variables} onChange={(variables) => read.change({ variables })} />
        <MapWords
          found={words}
          words={mapping.words}
          zeros={mapping.zeros}
          zerosFound={result.ok ? result.taken.zeros : undefined}
          onWords={(meant) => read.change({ words: meant })}
          onZeros={(zeros) => read.change({ zeros })}
        />
        {result.ok && <LookedOver rows={rows} mapping={mapping} result={result} />}
        <FailureNote error={open.error} />
      </Modal.Body>
      <Modal.Footer>
        {read.isAsking && <span className="quiet">{say('answerFirst')}</span>}
        <Button variant="light" onClick={onClose}>
          {say('leaveIt')}
        </Button>
        <Button
          disabled={!result.ok || read.isAsking || prepared.isRagged || open.isPending}
          onClick={() => open.mutate()}
        >
          {open.isPending ? say('opening') : say('openAndCompare')}
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

/** What would be opened, or what stands in the way, by the rows of the file. */
function MapResult({ result, sources }: { result: MappedResult; sources: readonly number[] }) {
  if (result.ok) return <TableUnderstood experiment={result.experiment} />;
  const problems = result.problems
    .slice(0, MOST_LISTED)
    .map((problem) => ({ ...problem, row: problem.row > 0 ? (sources[problem.row - 1] ?? problem.row) : 0 }));
  return (
    <>
      <p role="status" className="note-attention">
        {say('placesNeedMendingInTheTableOr', { problemsCount: result.problems.length })}
      </p>
      <ProblemTable rows={problems} count={result.problems.length} />
    </>
  );
}

function sentMapping({ roles, variables, words, ...mapping }: TableMapping) {
  return { ...mapping, roles: [...roles], variables: [...variables], words: [...words] };
}
