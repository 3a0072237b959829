import { PlanRequest } from '@bright-sprout/contract/plan';
import type { Plan } from '@bright-sprout/core/design';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { FormProvider, get, useForm, type UseFormReturn, useWatch } from 'react-hook-form';
import { useExperiment } from '../shared/experiment/index.ts';
import { fieldMessage } from '../shared/ui/index.ts';
import { forgetUnsaved, keepUnsaved, unsavedOf } from './unsaved.ts';
import { useSavePlan } from './use-save-plan.ts';

const AUTOSAVE_MS = 500;

/** What the sections of a plan work with. */
export interface PlanEditor {
  readonly form: UseFormReturn<PlanRequest>;
  /** The plan as it stands in the form, valid or not; a date that is none is as it was saved last. */
  readonly plan: Plan;
  /** True once seeds are in the soil, when only what the readings do not depend on may change. */
  readonly isPlanted: boolean;
  /** Makes a change that is no typing, and saves at once. */
  readonly apply: (changes: Partial<Plan>) => void;
  /** What is wrong with a field, by this device or the server. */
  readonly problem: (field: string) => string | undefined;
  readonly state: 'saved' | 'saving' | 'not-valid' | 'failed';
  readonly error: unknown;
}

const Context = createContext<PlanEditor | undefined>(undefined);

/** The editor of the plan that is open. */
export function usePlanEditor(): PlanEditor {
  const editor = useContext(Context);
  if (!editor) throw new Error('usePlanEditor outside a PlanEditorProvider');
  return editor;
}

/** Holds the plan while it is changed. Whatever is valid is saved as it is typed. */
export function PlanEditorProvider({ plan, children }: { plan: Plan; children: ReactNode }) {
  const { experiment } = useExperiment();
  const save = useSavePlan(experiment.id);
  const [unsaved] = useState(() => unsavedOf(experiment.id, experiment.version));
  const form = useForm<PlanRequest>({
    resolver: classValidatorResolver(PlanRequest),
    defaultValues: unsaved ?? { ...(structuredClone(plan) as PlanRequest), version: experiment.version },
    mode: 'onChange',
  });
  const { control, formState, watch, handleSubmit, setValue, getValues } = form;
  const { mutate } = save;
  useEffect(() => {
    if (unsaved) void handleSubmit((request) => mutate({ plan: structuredClone({ ...request }) }))();
  }, [unsaved, handleSubmit, mutate]);

  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const submit = (): void => {
      timer = undefined;
      void handleSubmit((request) => mutate({ plan: structuredClone({ ...request }) }))();
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

  const isSaved = save.isSuccess || save.isIdle;
  useEffect(() => {
    const keep = (): void => keepUnsaved(experiment.id, { ...getValues(), version: experiment.version });
    if (!formState.isValid || !isSaved) keep();
    else forgetUnsaved(experiment.id);
    const subscription = watch(keep);
    return () => subscription.unsubscribe();
  }, [formState.isValid, isSaved, save.submittedAt, experiment.id, experiment.version, watch, getValues]);

  const values = useWatch({ control }) as PlanRequest;
  const { layoutSeed, layoutMethod } = experiment.plan ?? plan;
  const { errors, isValid } = formState;
  const editor = useMemo<PlanEditor>(
    () => ({
      form,
      plan: {
        ...values,
        sowOn: isCalendarDay(values.sowOn) ? values.sowOn : plan.sowOn,
        lessonOn: isCalendarDay(values.lessonOn) ? values.lessonOn : plan.lessonOn,
        layoutSeed,
        layoutMethod,
      },
      isPlanted: experiment.status !== 'draft',
      apply: (changes) => {
        for (const [name, value] of Object.entries(changes)) {
          setValue(name as keyof PlanRequest, structuredClone(value) as never, {
            shouldDirty: true,
            shouldValidate: true,
          });
        }
        const layout = {
          ...(changes.layoutSeed === undefined ? {} : { layoutSeed: changes.layoutSeed }),
          ...(changes.layoutMethod === undefined ? {} : { layoutMethod: changes.layoutMethod }),
        };
        void handleSubmit((request) => mutate({ plan: structuredClone({ ...request }), layout }))();
      },
      problem: (field) => messageOf(get(errors, field)) ?? fieldMessage(save.error, field),
      state: save.isPending ? 'saving' : !isValid ? 'not-valid' : save.isError ? 'failed' : 'saved',
      error: save.error,
    }),
    [
      form,
      plan,
      values,
      layoutSeed,
      layoutMethod,
      experiment.status,
      errors,
      isValid,
      save.error,
      save.isPending,
      save.isError,
      setValue,
      handleSubmit,
      mutate,
    ],
  );
  return (
    <FormProvider {...form}>
      <Context.Provider value={editor}>{children}</Context.Provider>
    </FormProvider>
  );
}

function messageOf(error: unknown): string | undefined {
  const message = (error as { message?: unknown } | undefined)?.message;
  return typeof message === 'string' ? message : undefined;
}
