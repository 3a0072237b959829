import { say } from '@bright-sprout/words/imports';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { FolderOpen } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { experimentQuery, experimentsQuery } from '../shared/api/index.ts';
import type { ForeignTable, PickedFile } from './read-picked.ts';
import './imports.scss';

const MapTable = lazy(() => import('./map-table.tsx'));
const FileProblems = lazy(() => import('./file-problems.tsx'));

/** Opens a tidy CSV or a bundle at once, and any other table after a look at what its columns mean. */
export function OpenFile() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [foreign, setForeign] = useState<ForeignTable>();
  const opened = (experiment: ExperimentView): void => {
    queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
    void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
    void navigate(`/experiments/${experiment.id}/compare`);
  };
  const [share, setShare] = useState(0);
  const open = useMutation({
    // Fetched with a file to read: most visits open none.
    mutationFn: async (picked: PickedFile) => (await import('./read-picked.ts')).readPicked(picked, setShare),
    onSettled: () => setShare(0),
    onSuccess: (result) => {
      if ('sheets' in result) setForeign(result);
      else opened(result);
    },
  });
  return (
    <>
      <Button variant="light" onClick={() => input.current?.click()} disabled={open.isPending}>
        <FolderOpen size={18} aria-hidden="true" /> {nameOf(open.isPending, share)}
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,.tsv,.txt,.xlsx,.zip,text/csv"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={say('csvSpreadsheetOrBundle')}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) open.mutate({ id: uuid(), file });
          event.target.value = '';
        }}
      />
      {open.error && (
        <Suspense fallback={null}>
          <FileProblems error={open.error} fileName={open.variables.file.name} onClose={open.reset} />
        </Suspense>
      )}
      {foreign && (
        <Suspense fallback={null}>
          <MapTable table={foreign} onOpened={opened} onClose={() => setForeign(undefined)} />
        </Suspense>
      )}
    </>
  );
}

function nameOf(isOpening: boolean, share: number): string {
  if (!isOpening) return say('openAFile');
  return share > 0 && share < 1 ? say('sendingShare', { share: Math.round(100 * share) }) : say('opening');
}
