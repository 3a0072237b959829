import { say } from '@bright-sprout/words/imports';
import type { FileRowProblem } from '@bright-sprout/contract/shared';
import Modal from 'react-bootstrap/Modal';
import Table from 'react-bootstrap/Table';
import { ApiFailure } from '../shared/api/index.ts';
import './imports.scss';

/** Lists what has to be mended in a file that was not opened. */
export default function FileProblems({
  error,
  fileName,
  onClose,
}: {
  error: unknown;
  fileName: string;
  onClose: () => void;
}) {
  const body = error instanceof ApiFailure ? error.body : undefined;
  return (
    <Modal show={!!error} onHide={onClose} size="lg" scrollable aria-labelledby="file-problems">
      <Modal.Header closeButton>
        <Modal.Title id="file-problems">{say('wasNotOpened', { fileName })}</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>{body?.message ?? say('theFileCouldNotBeReadOn')}</p>
        <ProblemTable rows={body?.rows ?? []} count={body?.rowCount} />
        <p className="quiet">{say('mendTheseInTheSpreadsheetSaveIt')}</p>
      </Modal.Body>
    </Modal>
  );
}

/** Cells that are wrong: where, what was found, what was expected. */
export function ProblemTable({
  rows,
  count,
}: {
  rows: readonly FileRowProblem[];
  count?: number | undefined;
}) {
  if (rows.length === 0) return null;
  return (
    <>
      <Table size="sm">
        <thead>
          <tr>
            <th scope="col">{say('row')}</th>
            <th scope="col">{say('column')}</th>
            <th scope="col">{say('found')}</th>
            <th scope="col">{say('expected')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              <td>{row.row === 0 ? 'file' : row.row}</td>
              <td>{row.column}</td>
              <td className="found">{row.found}</td>
              <td>{row.expected}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {count !== undefined && count > rows.length && (
        <p className="quiet">{say('theFirstOfAreListed', { rowsCount: rows.length, count })}</p>
      )}
    </>
  );
}
