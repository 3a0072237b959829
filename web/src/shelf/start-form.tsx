import { planRoutes, StartRequest } from '@bright-sprout/contract/plan';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { call, cropsQuery, experimentQuery, shelfQuery } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';

/** A question and a crop start a plan. */
export function StartForm() {
  const crops = useQuery(cropsQuery);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const newId = useRef(uuid());
  const { register, handleSubmit, formState } = useForm<StartRequest>({
    resolver: classValidatorResolver(StartRequest),
    defaultValues: { question: '', cropId: '' },
  });
  const start = useMutation({
    mutationFn: (body: StartRequest) =>
      call(planRoutes.start, { params: { newExperimentId: newId.current }, body }),
    onSuccess: (experiment) => {
      newId.current = uuid();
      queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
      void queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
      void navigate(`/experiments/${experiment.id}/plan`);
    },
  });
  const { errors } = formState;
  return (
    <Form
      noValidate
      className="start-form"
      onSubmit={(event) => void handleSubmit((body) => start.mutate({ ...body }))(event)}
    >
      <div className="start-row">
        <Form.Control
          {...register('question')}
          aria-label="Your question"
          placeholder="What do you want to find out?"
          size="lg"
          autoComplete="off"
          isInvalid={!!errors.question}
        />
        <Form.Select {...register('cropId')} aria-label="Crop" size="lg" isInvalid={!!errors.cropId}>
          <option value="">Choose a crop</option>
          {crops.data?.map(({ id, commonName }) => (
            <option key={id} value={id}>
              {commonName}
            </option>
          ))}
        </Form.Select>
        <Button type="submit" size="lg" disabled={start.isPending}>
          Plan it
        </Button>
      </div>
      {(errors.question ?? errors.cropId) && (
        <p className="field-problem" role="alert">
          {errors.question?.message ?? errors.cropId?.message}
        </p>
      )}
      <FailureNote error={start.error} />
    </Form>
  );
}
