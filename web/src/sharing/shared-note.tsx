import { say } from '@bright-sprout/words/sharing';
import type { SharedView } from '@bright-sprout/contract/sharing';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';
import { keys } from '../shared/api/index.ts';
import { FailureNote, Said } from '../shared/ui/index.ts';
import { sharingOf, type Subject } from './subject.ts';
import './sharing.scss';

/** Whose a shared class or experiment is, what may be done with it, and the way out of it. */
export function SharedNote({ subject, shared }: { subject: Subject; shared: SharedView }) {
  const seesOnly = shared.may === 'see';
  const queries = useQueryClient();
  const navigate = useNavigate();
  const leave = useMutation({
    mutationFn: () => sharingOf(subject).leave(),
    onSuccess: async () => {
      await navigate(subject.kind === 'class' ? '/classes' : '/');
      for (const queryKey of [keys.classes, keys.experiments]) void queries.invalidateQueries({ queryKey });
    },
  });
  return (
    <div className="shared-note" role="note">
      <span>
        <Said by={say} code={seesOnly ? 'sharedToSee' : 'sharedToChange'} values={{ by: shared.by }} />
      </span>
      {shared.through === subject.kind && (
        <Button
          variant="light"
          size="sm"
          aria-label={say('leaveIt', { name: subject.name })}
          disabled={leave.isPending}
          onClick={() => leave.mutate()}
        >
          {say('leave')}
        </Button>
      )}
      <FailureNote error={leave.error} />
    </div>
  );
}
