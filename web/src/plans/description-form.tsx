import { say } from '@bright-sprout/words/plans';
import { DescriptionRequest, planRoutes } from '@bright-sprout/contract/plans';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { call } from '../shared/api/index.ts';
import { styleOf, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, fieldMessage, longDay } from '../shared/ui/index.ts';
import { PlanField } from './plan-field.tsx';
import { useKeepExperiment } from './use-save-plan.ts';

/** The plan once seeds are in the soil: what still may change, and what no longer can. */
export function DescriptionForm() {
  const { experiment, variable } = useExperiment();
  const keep = useKeepExperiment();
  const params = { experimentId: experiment.id };
  const { register, handleSubmit, formState, reset } = useForm<DescriptionRequest>({
    resolver: classValidatorResolver(DescriptionRequest),
    values: {
      version: experiment.version,
      question: experiment.question,
      hypothesis: experiment.hypothesis,
      lessonOn: experiment.lessonOn,
    },
    resetOptions: { keepDirtyValues: true },
  });
  const save = useMutation({
    mutationFn: (body: DescriptionRequest) =>
      call(planRoutes.describe, { params, body: { ...body, version: experiment.version } }),
    onSuccess: (changed) => {
      keep(changed);
      reset(changed, { keepDirtyValues: false });
    },
  });
  const finish = useMutation({
    mutationFn: (finished: boolean) => call(planRoutes.finish, { params, body: { finished } }),
    onSuccess: keep,
  });
  const isFinished = experiment.status === 'finished';
  const isDraft = experiment.status === 'draft';
  const style = styleOf(variable);
  return (
    <Form
      noValidate
      className="plan-form"
      onSubmit={(event) => void handleSubmit((body) => save.mutate({ ...body }))(event)}
    >
      <PlanField id="question" label={say('question')} error={formState.errors.question?.message}>
        <Form.Control {...register('question')} className="question-input" autoComplete="off" />
      </PlanField>
      <PlanField id="hypothesis" label={say('whatWeExpected')} error={formState.errors.hypothesis?.message}>
        <Form.Control {...register('hypothesis')} autoComplete="off" />
      </PlanField>
      <PlanField
        id="lessonOn"
        label={say('lessonOn')}
        error={formState.errors.lessonOn?.message ?? fieldMessage(save.error, 'lessonOn')}
      >
        <Form.Control {...register('lessonOn')} type="date" className="date-input" />
      </PlanField>
      {!fieldMessage(save.error, 'lessonOn') && <FailureNote error={save.error ?? finish.error} />}
      <div className="button-row">
        <Button type="submit" disabled={!formState.isDirty || save.isPending}>
          {say('keepTheseChanges')}
        </Button>
        <Button
          variant="light"
          onClick={() => finish.mutate(!isFinished)}
          disabled={finish.isPending || isDraft}
        >
          {isFinished ? say('openItAgain') : say('finishThisExperiment')}
        </Button>
      </div>
      <h2>{say('theDesign')}</h2>
      <p className="quiet">{isDraft ? say('thisDesignCameFromAFileAnd') : say('theSeedsAreInTheSoilSo')}</p>
      <dl className="design-facts">
        <dt>{say('crop')}</dt>
        <dd>{experiment.cropName || say('notNamed')}</dd>
        <dt>{say('weChange')}</dt>
        <dd>{experiment.factors.map((factor) => factor.name).join(', ')}</dd>
        <dt>{say('treatments')}</dt>
        <dd>
          {experiment.treatments.map((treatment) => (
            <span key={treatment.id} className="design-treatment">
              <TreatmentMark style={treatment.style} /> {treatment.name}
              {treatment.isControl && ' (control)'}
              {say('pots', {
                unitsCount: experiment.units.filter((unit) => unit.treatmentId === treatment.id).length,
              })}
            </span>
          ))}
        </dd>
        <dt>{say('heightReadIn')}</dt>
        <dd>
          {style.kind === 'length'
            ? say('stepsOf', { step: style.scale.step, unit: style.scale.unit })
            : variable.name}
        </dd>
        <dt>{isDraft ? say('toBeSown') : say('sown2')}</dt>
        <dd>{longDay(experiment.sowOn)}</dd>
      </dl>
    </Form>
  );
}
