import { say } from '@bright-sprout/words/readings';
import { type ReadingView, readingRoutes } from '@bright-sprout/contract/readings';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { call, keys } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import './readings.scss';

/** Takes an action of the teacher and fetches the experiment anew. */
export function useAct(act: () => Promise<unknown>) {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: act,
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.experiment(experiment.id) }),
  });
}

/** Leaves a reading out of comparisons with a reason, or puts it back. Nothing for one that was corrected. */
export function SetAside({ reading }: { reading: ReadingView }) {
  const { experiment } = useExperiment();
  const params = { experimentId: experiment.id, readingId: reading.id };
  const [isAsking, setIsAsking] = useState(false);
  const [reason, setReason] = useState('');
  const aside = useAct(() => call(readingRoutes.setAside, { params, body: { reason } }));
  const back = useAct(() => call(readingRoutes.putReadingBack, { params }));
  return (
    <>
      {reading.setAside !== null ? (
        <Button size="sm" variant="light" onClick={() => back.mutate()}>
          {say('putItBack')}
        </Button>
      ) : (
        reading.counts &&
        !isAsking && (
          <Button size="sm" variant="light" onClick={() => setIsAsking(true)}>
            {say('setAside2')}
          </Button>
        )
      )}
      {isAsking && reading.setAside === null && (
        <Form
          className="aside-form"
          onSubmit={(event) => {
            event.preventDefault();
            aside.mutate(undefined, { onSuccess: () => setIsAsking(false) });
          }}
        >
          <Form.Control
            size="sm"
            autoFocus
            value={reason}
            maxLength={200}
            placeholder={say('whyNotBecauseItLooksOdd')}
            aria-label={say('reasonForSettingItAside')}
            onChange={({ target }) => setReason(target.value)}
          />
          <Button size="sm" type="submit" disabled={reason.trim() === ''}>
            {say('setAside2')}
          </Button>
        </Form>
      )}
      <FailureNote error={aside.error ?? back.error} />
    </>
  );
}
