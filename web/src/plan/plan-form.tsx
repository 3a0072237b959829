import { MEASURING_SCALES, PlanRequest } from '@bright-sprout/contract/plan';
import { CONTAINER_GRIDS, CONTAINER_KINDS, MOST_LEVELS, placeCount } from '@bright-sprout/core/design';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useQuery } from '@tanstack/react-query';
import { Plus, X } from 'lucide-react';
import { useEffect } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Controller, useFieldArray, useForm } from 'react-hook-form';
import { cropsQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { FailureNote, fieldMessage } from '../shared/ui/index.ts';
import { CropFacts } from './crop-facts.tsx';
import { PlanField } from './plan-field.tsx';
import { planValues } from './plan-values.ts';
import { useSavePlan } from './use-save-plan.ts';

const AUTOSAVE_MS = 500;

const CONTAINER_NAMES = { egg_carton: 'Egg carton', flat: 'Flat', cups: 'Cups' } as const;

/** The plan of a draft. Whatever is valid is saved as it is typed. */
export function PlanForm() {
  const { experiment } = useExperiment();
  const crops = useQuery(cropsQuery);
  const save = useSavePlan(experiment.id);
  const form = useForm<PlanRequest>({
    resolver: classValidatorResolver(PlanRequest),
    defaultValues: planValues(experiment),
    mode: 'onChange',
  });
  const { control, register, formState, watch, handleSubmit, setValue, getValues } = form;
  const levels = useFieldArray({ control, name: 'levels' });
  const { errors } = formState;

  const { mutate } = save;
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const submit = (): void => {
      timer = undefined;
      void handleSubmit((plan) => mutate({ plan: structuredClone({ ...plan }) }))();
    };
    const subscription = watch((_, { type }) => {
      if (type === undefined) return;
      clearTimeout(timer);
      timer = setTimeout(submit, AUTOSAVE_MS);
    });
    return () => {
      subscription.unsubscribe();
      if (timer === undefined) return;
      clearTimeout(timer);
      submit();
    };
  }, [watch, handleSubmit, mutate]);

  /** Adding or removing a level is no typing, so it is saved at once. */
  const saveNow = (): void => void handleSubmit((plan) => mutate({ plan: structuredClone({ ...plan }) }))();
  const problem = (field: string): string | undefined => fieldMessage(save.error, field);
  const crop = crops.data?.find(({ id }) => id === watch('cropId'));
  const pots = watch('levels').length * watch('replicates');
  const serverFieldProblem =
    ['levels', 'replicates', 'lessonOn', 'sowOn'].some(problem) ||
    levels.fields.some((_, index) => problem(`levels.${index}.name`));

  return (
    <Form noValidate className="plan-form" onSubmit={(event) => event.preventDefault()}>
      <PlanField id="question" label="Question" error={errors.question?.message}>
        <Form.Control {...register('question')} className="question-input" autoComplete="off" />
      </PlanField>
      <div className="form-row">
        <PlanField id="cropId" label="Crop" error={errors.cropId?.message}>
          <Form.Select {...register('cropId')}>
            {(crops.data ?? []).map(({ id, commonName }) => (
              <option key={id} value={id}>
                {commonName}
              </option>
            ))}
          </Form.Select>
        </PlanField>
        <PlanField id="seedsPerUnit" label="Seeds in each pot" error={errors.seedsPerUnit?.message}>
          <Form.Control
            {...register('seedsPerUnit', { valueAsNumber: true })}
            type="number"
            min={1}
            max={50}
          />
        </PlanField>
        <PlanField id="measure" label="Read the height in" error={errors.measure?.message}>
          <Controller
            control={control}
            name="measure"
            render={({ field }) => (
              <Form.Select
                id="measure"
                value={MEASURING_SCALES.findIndex(
                  ({ unit, step }) => unit === field.value.unit && step === field.value.step,
                )}
                onChange={(event) => {
                  const scale = MEASURING_SCALES[Number(event.target.value)];
                  if (scale) field.onChange({ unit: scale.unit, step: scale.step });
                }}
              >
                {MEASURING_SCALES.map(({ name }, index) => (
                  <option key={name} value={index}>
                    {name}
                  </option>
                ))}
              </Form.Select>
            )}
          />
        </PlanField>
      </div>
      {crop && <CropFacts crop={crop} />}
      <PlanField id="hypothesis" label="What we expect" error={errors.hypothesis?.message}>
        <Form.Control {...register('hypothesis')} placeholder="We think … because …" autoComplete="off" />
      </PlanField>
      <fieldset className="levels">
        <legend className="visually-hidden">What we change, and to what</legend>
        <PlanField id="factorName" label="We change" error={errors.factorName?.message}>
          <Form.Control {...register('factorName')} autoComplete="off" />
        </PlanField>
        <ol>
          {levels.fields.map((field, index) => (
            <li key={field.id}>
              <TreatmentMark style={index} size={18} />
              <Form.Control
                {...register(`levels.${index}.name`)}
                aria-label={`Level ${index + 1}`}
                aria-describedby={`level-problem-${index}`}
                isInvalid={!!errors.levels?.[index]?.name || !!problem(`levels.${index}.name`)}
                autoComplete="off"
              />
              <Form.Check
                type="radio"
                id={`control-${index}`}
                name="control-level"
                label="control"
                checked={watch(`levels.${index}.isControl`)}
                onChange={() => {
                  getValues('levels').forEach((_, at) => setValue(`levels.${at}.isControl`, at === index));
                  saveNow();
                }}
              />
              <Button
                variant="light"
                size="sm"
                aria-label={`Remove level ${index + 1}`}
                disabled={levels.fields.length === 2}
                onClick={() => {
                  levels.remove(index);
                  saveNow();
                }}
              >
                <X size={16} aria-hidden="true" />
              </Button>
              <span id={`level-problem-${index}`} className="field-problem">
                {errors.levels?.[index]?.name?.message ?? problem(`levels.${index}.name`)}
              </span>
            </li>
          ))}
        </ol>
        <div className="level-actions">
          <Button
            variant="light"
            size="sm"
            disabled={levels.fields.length === MOST_LEVELS}
            onClick={() => {
              levels.append({ name: `Level ${levels.fields.length + 1}`, isControl: false });
              saveNow();
            }}
          >
            <Plus size={16} aria-hidden="true" /> Another level
          </Button>
          <Button
            variant="light"
            size="sm"
            onClick={() => {
              getValues('levels').forEach((_, at) => setValue(`levels.${at}.isControl`, false));
              saveNow();
            }}
          >
            No control
          </Button>
          <p className="plan-sum" aria-live="polite">
            {Number.isFinite(pots) && (
              <>
                <b>{pots} pots</b> in {placeCount(CONTAINER_GRIDS[watch('containerKind')])} places
              </>
            )}
            <span className="save-state">{saveState(save.isPending, save.isError, formState.isValid)}</span>
          </p>
        </div>
        {problem('levels') && <p className="field-problem">{problem('levels')}</p>}
      </fieldset>
      <div className="form-row">
        <PlanField id="containerKind" label="Container" error={errors.containerKind?.message}>
          <Form.Select {...register('containerKind')}>
            {CONTAINER_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {CONTAINER_NAMES[kind]}, {CONTAINER_GRIDS[kind].rows} × {CONTAINER_GRIDS[kind].columns}
              </option>
            ))}
          </Form.Select>
        </PlanField>
        <PlanField
          id="replicates"
          label="Pots for each level"
          error={errors.replicates?.message ?? problem('replicates')}
        >
          <Form.Control {...register('replicates', { valueAsNumber: true })} type="number" min={1} max={50} />
        </PlanField>
        <PlanField id="sowOn" label="Sow on" error={errors.sowOn?.message ?? problem('sowOn')}>
          <Form.Control {...register('sowOn')} type="date" />
        </PlanField>
        <PlanField id="lessonOn" label="Lesson on" error={errors.lessonOn?.message ?? problem('lessonOn')}>
          <Form.Control {...register('lessonOn')} type="date" />
        </PlanField>
      </div>
      {!serverFieldProblem && <FailureNote error={save.error} />}
    </Form>
  );
}

function saveState(isPending: boolean, isError: boolean, isValid: boolean): string {
  if (isPending) return 'Saving …';
  if (isError || !isValid) return 'Not saved: mend what is marked';
  return 'Saved';
}
