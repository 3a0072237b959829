import { say } from '@bright-sprout/words/plans';
import { planRoutes } from '@bright-sprout/contract/plans';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { call, experimentQuery, experimentsQuery, templatesQuery } from '../shared/api/index.ts';
import { useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { ExperimentTeachers } from './experiment-teachers.tsx';
import { useKeepExperiment } from './use-save-plan.ts';

/** Keeps the plan as a template, copies it, or closes the experiment. */
export function KeepPlan() {
  const { experiment } = useExperiment();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const keep = useKeepExperiment();
  const [about, setAbout] = useState('');
  const experimentId = experiment.id;
  const template = useMutation({
    mutationFn: () =>
      call(planRoutes.saveTemplate, { params: { experimentId, newTemplateId: uuid() }, body: { about } }),
    onSuccess: () => {
      setAbout('');
      return queries.invalidateQueries(templatesQuery);
    },
  });
  const copy = useMutation({
    mutationFn: () => call(planRoutes.copy, { params: { experimentId, newExperimentId: uuid() } }),
    onSuccess: (made) => {
      queries.setQueryData(experimentQuery(made.id).queryKey, made);
      return queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
    },
  });
  // Who has gone elsewhere meanwhile stays there; the address tells before the next page has come.
  const openCopy = (): void => {
    const from = window.location.pathname;
    copy.mutate(undefined, {
      onSuccess: ({ id }) => {
        if (window.location.pathname === from) void navigate(`/experiments/${id}/plan`);
      },
    });
  };
  const finish = useMutation({
    mutationFn: (finished: boolean) =>
      call(planRoutes.finish, { params: { experimentId }, body: { finished } }),
    onSuccess: keep,
  });
  const isOwn = experiment.shared === null;
  const mayChange = useMayChange();
  const isFinished = experiment.status === 'finished';
  return (
    <div className="keep-plan">
      <Form
        className="button-row"
        onSubmit={(event) => {
          event.preventDefault();
          template.mutate();
        }}
      >
        {isOwn && (
          <>
            <Form.Control
              value={about}
              maxLength={200}
              placeholder={say('whatThisPlanIsGoodFor')}
              aria-label={say('whatThisPlanIsGoodFor')}
              onChange={(event) => setAbout(event.target.value)}
            />
            <Button type="submit" variant="light" size="sm" disabled={template.isPending}>
              {say('keepAsATemplate')}
            </Button>
          </>
        )}
        <Button variant="light" size="sm" disabled={copy.isPending} onClick={openCopy}>
          {say('copyThisPlan')}
        </Button>
        {mayChange && experiment.status !== 'draft' && (
          <Button
            variant="light"
            size="sm"
            disabled={finish.isPending}
            onClick={() => finish.mutate(!isFinished)}
          >
            {isFinished ? say('openItAgain') : say('finishThisExperiment')}
          </Button>
        )}
      </Form>
      {template.isSuccess && (
        <p className="quiet" role="status">
          {say('keptStartFromItOnTheShelf')}
        </p>
      )}
      <FailureNote error={template.error ?? copy.error ?? finish.error} />
      {isOwn && <ExperimentTeachers />}
    </div>
  );
}
