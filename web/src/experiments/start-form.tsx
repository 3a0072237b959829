import { say } from '@bright-sprout/words/experiments';
import { planRoutes, StartRequest, type TemplateView } from '@bright-sprout/contract/plans';
import { cropChoices, INVESTIGATION_KINDS } from '@bright-sprout/core/design';
import { KIND_WORDS } from '@bright-sprout/core/words';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { call, cropsQuery, experimentQuery, experimentsQuery } from '../shared/api/index.ts';
import { Said, FailureNote, fieldMessage, ChoiceOptions } from '../shared/ui/index.ts';
import { TemplateList } from './template-list.tsx';

/** A question, a crop, a lesson date and a kind start a plan; or a template does. */
export function StartForm() {
  const crops = useQuery(cropsQuery);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const newId = useRef(uuid());
  const [showsTemplates, setShowsTemplates] = useState(false);
  const [template, setTemplate] = useState<TemplateView>();
  const { register, handleSubmit, formState, setValue, watch } = useForm<StartRequest>({
    resolver: classValidatorResolver(StartRequest),
    defaultValues: { question: '', cropId: '', kind: 'one_factor' },
  });
  const start = useMutation({
    mutationFn: (body: StartRequest) =>
      call(planRoutes.start, { params: { newExperimentId: newId.current }, body }),
    onSuccess: (experiment) => {
      newId.current = uuid();
      queries.setQueryData(experimentQuery(experiment.id).queryKey, experiment);
      void queries.invalidateQueries({ queryKey: experimentsQuery.queryKey });
      void navigate(`/experiments/${experiment.id}/plan`);
    },
  });
  const choose = (chosen: TemplateView): void => {
    setTemplate(chosen);
    setShowsTemplates(false);
    setValue('question', chosen.question, { shouldValidate: true });
    setValue('cropId', chosen.cropId, { shouldValidate: true });
    setValue('kind', chosen.kind);
    setValue('templateId', chosen.id);
  };
  const unchoose = (): void => {
    setTemplate(undefined);
    setValue('templateId', undefined);
  };
  const { errors } = formState;
  const problem =
    errors.question?.message ??
    errors.cropId?.message ??
    errors.lessonOn?.message ??
    fieldMessage(start.error, 'lessonOn');
  const kind = watch('kind') ?? 'one_factor';
  return (
    <Form
      noValidate
      className="start-form"
      onSubmit={(event) => void handleSubmit((body) => start.mutate({ ...body }))(event)}
    >
      <div className="start-row">
        <Form.Control
          {...register('question')}
          aria-label={say('yourQuestion')}
          placeholder={say('whatDoYouWantToFindOut')}
          size="lg"
          autoComplete="off"
          isInvalid={!!errors.question}
        />
        <Form.Select {...register('cropId')} aria-label={say('crop')} size="lg" isInvalid={!!errors.cropId}>
          <option value="">{say('chooseACrop')}</option>
          <ChoiceOptions options={cropChoices(crops.data ?? [])} chosen={watch('cropId')} />
        </Form.Select>
        <Button type="submit" size="lg" disabled={start.isPending}>
          {say('planIt')}
        </Button>
      </div>
      <div className="start-more">
        {template ? (
          <FromTemplate template={template} onLeave={unchoose} />
        ) : (
          <Form.Group controlId="start-kind" className="start-kind">
            <Form.Label>{say('kind')}</Form.Label>
            <Form.Select {...register('kind')}>
              {INVESTIGATION_KINDS.map((one) => (
                <option key={one} value={one}>
                  {KIND_WORDS[one].name}
                </option>
              ))}
            </Form.Select>
            <span className="quiet">{KIND_WORDS[kind].about}</span>
          </Form.Group>
        )}
        <Form.Group controlId="start-lesson" className="start-lesson">
          <Form.Label>{say('lessonOn')}</Form.Label>
          <Form.Control
            {...register('lessonOn', { setValueAs: (value: unknown) => (value === '' ? undefined : value) })}
            type="date"
          />
        </Form.Group>
        <Button
          variant="light"
          aria-expanded={showsTemplates}
          onClick={() => setShowsTemplates(!showsTemplates)}
        >
          {showsTemplates ? say('closeTemplates') : say('templates')}
        </Button>
      </div>
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
      {showsTemplates && <TemplateList onChoose={choose} />}
      {!fieldMessage(start.error, 'lessonOn') && <FailureNote error={start.error} />}
    </Form>
  );
}

/** The template that a plan starts from, and the way to start without it. */
function FromTemplate({ template, onLeave }: { template: TemplateView; onLeave: () => void }) {
  return (
    <span className="start-template">
      <Said
        by={say}
        code="fromTheTemplateWithoutIt"
        values={{
          about: template.about || template.question,
          press: (parts) => (
            <button type="button" className="link-button" onClick={onLeave}>
              {parts}
            </button>
          ),
        }}
      />
    </span>
  );
}
