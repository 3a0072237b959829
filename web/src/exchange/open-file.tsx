import { exchangeRoutes, MOST_FILE_CHARACTERS } from '@bright-sprout/contract/exchange';
import type { ExperimentView } from '@bright-sprout/contract/plan';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { FolderOpen } from 'lucide-react';
import Papa from 'papaparse';
import { lazy, Suspense, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ApiFailure, call, experimentQuery, shelfQuery } from '../shared/api/index.ts';
import { FileProblems } from './file-problems.tsx';
import { base64Of } from './base64.ts';

const MapTable = lazy(() => import('./map-table.tsx'));

/** A file as it was picked, with the id that its experiment will have. */
interface PickedFile {
  readonly id: string;
  readonly file: File;
}

/** A table that is not ours, to be mapped. */
export interface ForeignTable {
  readonly id: string;
  readonly fileName: string;
  readonly sheets: readonly { readonly name: string; readonly rows: readonly (readonly string[])[] }[];
}

/** Opens a tidy CSV or a bundle at once, and any other table after a look at what its columns mean. */
export function OpenFile() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [foreign, setForeign] = useState<ForeignTable>();
  const opened = (experiment: ExperimentView): void => {
    queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
    void queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
    void navigate(`/experiments/${experiment.id}/compare`);
  };
  const open = useMutation({
    mutationFn: readPicked,
    onSuccess: (result) => {
      if ('sheets' in result) setForeign(result);
      else opened(result);
    },
  });
  return (
    <>
      <Button variant="light" onClick={() => input.current?.click()} disabled={open.isPending}>
        <FolderOpen size={18} aria-hidden="true" /> {open.isPending ? 'Opening …' : 'Open a file'}
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,.tsv,.txt,.xlsx,.zip,text/csv"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="CSV, spreadsheet or bundle"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) open.mutate({ id: uuid(), file });
          event.target.value = '';
        }}
      />
      <FileProblems error={open.error} fileName={open.variables?.file.name ?? ''} onClose={open.reset} />
      {foreign && (
        <Suspense fallback={null}>
          <MapTable table={foreign} onOpened={opened} onClose={() => setForeign(undefined)} />
        </Suspense>
      )}
    </>
  );
}

async function readPicked({ id, file }: PickedFile): Promise<ExperimentView | ForeignTable> {
  if (file.size > MOST_FILE_CHARACTERS) throw tooLarge();
  const params = { newExperimentId: id };
  if (/\.zip$/i.test(file.name)) {
    return call(exchangeRoutes.openBundle, {
      params,
      body: { fileName: file.name, file: await base64Of(file) },
    });
  }
  if (/\.xlsx$/i.test(file.name)) {
    const sheets = await call(exchangeRoutes.readSheets, { body: { file: await base64Of(file) } });
    return { id, fileName: file.name, sheets };
  }
  const text = await file.text();
  if (isOurs(text)) return call(exchangeRoutes.openTidy, { params, body: { fileName: file.name, text } });
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  if (data.length < 2) throw emptyTable();
  return { id, fileName: file.name, sheets: [{ name: file.name, rows: data }] };
}

/** A tidy table has the columns that one cannot do without; others are mapped by hand. */
function isOurs(text: string): boolean {
  const columns = (Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { preview: 1 }).data[0] ?? []).map(
    (cell) => cell.trim(),
  );
  const has = (...names: string[]): boolean => names.some((name) => columns.includes(name));
  const hasTreatment = has('treatment') || columns.some((column) => column.startsWith('factor:'));
  return (
    has('unit') && hasTreatment && (has('observed') || (has('sown') && has('day'))) && has('value', 'state')
  );
}

function emptyTable(): ApiFailure {
  return new ApiFailure({
    code: 'unreadable_file',
    message: 'This file has no rows of values. The first row names the columns, the values are below it.',
    fields: [],
  });
}

function tooLarge(): ApiFailure {
  return new ApiFailure({
    code: 'too_large',
    message: 'This file is too large: up to 20 million characters can be opened.',
    fields: [],
  });
}
