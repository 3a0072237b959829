import { say } from '@bright-sprout/words/interface';
import Alert from 'react-bootstrap/Alert';
import { ApiFailure } from '../api/index.ts';

/** Words for something that failed. */
export function FailureNote({ error }: { error: unknown }) {
  if (!error) return null;
  const message = error instanceof ApiFailure ? error.message : say('somethingWentWrongOnThisDeviceReload');
  return (
    <Alert variant="danger" className="note-harm">
      {message}
    </Alert>
  );
}

/** The words of the server for one field; undefined when it said nothing of it. */
export function fieldMessage(error: unknown, field: string): string | undefined {
  if (!(error instanceof ApiFailure)) return undefined;
  return error.body.fields.find((problem) => problem.field === field)?.message;
}
