import { exchangeRoutes, MOST_FILE_CHARACTERS } from '@bright-sprout/contract/exchange';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { FolderOpen } from 'lucide-react';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import Table from 'react-bootstrap/Table';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ApiFailure, call, experimentQuery, shelfQuery } from '../shared/api/index.ts';

/** A file as it was picked, with the id that its experiment will have. */
interface PickedFile {
  readonly id: string;
  readonly file: File;
}

/** Opens a tidy CSV as an experiment, or lists what has to be mended in it. */
export function OpenFile() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const open = useMutation({
    mutationFn: async ({ id, file }: PickedFile) => {
      if (file.size > MOST_FILE_CHARACTERS * 2) throw tooLarge();
      const text = await file.text();
      return call(exchangeRoutes.openTidy, {
        params: { newExperimentId: id },
        body: { fileName: file.name, text },
      });
    },
    onSuccess: (experiment) => {
      queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
      void queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
      void navigate(`/experiments/${experiment.id}/compare`);
    },
  });
  return (
    <>
      <Button variant="light" onClick={() => input.current?.click()} disabled={open.isPending}>
        <FolderOpen size={18} aria-hidden="true" /> {open.isPending ? 'Opening …' : 'Open a CSV file'}
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="CSV file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) open.mutate({ id: uuid(), file });
          event.target.value = '';
        }}
      />
      <FileProblems error={open.error} fileName={open.variables?.file.name ?? ''} onClose={open.reset} />
    </>
  );
}

function tooLarge(): ApiFailure {
  return new ApiFailure({
    code: 'too_large',
    message: 'This file is too large: up to 20 million characters can be opened.',
    fields: [],
  });
}

function FileProblems({
  error,
  fileName,
  onClose,
}: {
  error: unknown;
  fileName: string;
  onClose: () => void;
}) {
  const body = error instanceof ApiFailure ? error.body : undefined;
  const rows = body?.rows ?? [];
  return (
    <Modal show={!!error} onHide={onClose} size="lg" scrollable aria-labelledby="file-problems">
      <Modal.Header closeButton>
        <Modal.Title id="file-problems">{fileName} was not opened</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>{body?.message ?? 'The file could not be read on this device. Choose it again.'}</p>
        {rows.length > 0 && (
          <Table size="sm">
            <thead>
              <tr>
                <th scope="col">Row</th>
                <th scope="col">Column</th>
                <th scope="col">Found</th>
                <th scope="col">Expected</th>
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
        )}
        {body?.rowCount !== undefined && body.rowCount > rows.length && (
          <p className="quiet">
            The first {rows.length} of {body.rowCount} are listed.
          </p>
        )}
        <p className="quiet">
          Mend these in the spreadsheet, save it as CSV, and open it again. Nothing was stored.
        </p>
      </Modal.Body>
    </Modal>
  );
}
