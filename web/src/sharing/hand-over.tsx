import { say } from '@bright-sprout/words/sharing';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import { keys } from '../shared/api/index.ts';
import { ConfirmPassword, FailureNote, isUnconfirmed, Said } from '../shared/ui/index.ts';
import { sharingOf, type Subject } from './subject.ts';

/** Hands a class or an experiment over to a co-teacher: asked once more, as only that teacher can give it back. */
export function HandOver({ subject, shareId, name }: { subject: Subject; shareId: string; name: string }) {
  const isClass = subject.kind === 'class';
  const dialog = useRef<HTMLDialogElement>(null);
  const queries = useQueryClient();
  const give = useMutation({
    mutationFn: () => sharingOf(subject).handOver(shareId),
    onSuccess: async () => {
      dialog.current?.close();
      await Promise.all(
        [keys.classes, keys.experiments, keys.anyExperiment].map((queryKey) =>
          queries.invalidateQueries({ queryKey }),
        ),
      );
    },
  });
  return (
    <>
      <Button
        variant="light"
        size="sm"
        aria-label={say('handOverTo', { name })}
        onClick={() => dialog.current?.showModal()}
      >
        {say('handOver')}
      </Button>
      <dialog ref={dialog} className="ask" aria-label={say('handOverTo', { name })}>
        <p>
          <Said
            by={say}
            code={isClass ? 'sureOfClass' : 'sureOfExperiment'}
            values={{ subject: subject.name, name }}
          />
        </p>
        {isUnconfirmed(give.error) ? (
          <ConfirmPassword onConfirmed={() => give.mutate()} />
        ) : (
          <FailureNote error={give.error} />
        )}
        <div className="button-row">
          <Button disabled={give.isPending} onClick={() => give.mutate()}>
            {say('handItOver')}
          </Button>
          <Button variant="light" onClick={() => dialog.current?.close()}>
            {say('keepIt')}
          </Button>
        </div>
      </dialog>
    </>
  );
}
