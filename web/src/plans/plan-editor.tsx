import { PlanRequest } from '@bright-sprout/contract/plans';
import {
  isSamePart,
  type Plan,
  type PlanPart,
  withOwnContainers,
  withUsualSteps,
} from '@bright-sprout/core/design';
import { isCalendarDay } from '@bright-sprout/core/shared';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import {
  createContext,
  type ReactNode,
  type RefObject,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import {
  FormProvider,
  get,
  type SetValueConfig,
  useForm,
  type UseFormReturn,
  useWatch,
} from 'react-hook-form';
import { useExperiment } from '../shared/experiment/index.ts';
import { fieldMessage } from '../shared/ui/index.ts';
import { type PlanProblem, problemsOf } from './plan-problems.ts';
import { forgetUnsaved, keepUnsaved, unsavedOf } from './unsaved.ts';
import { changedParts, usePlanHistory } from './use-plan-history.ts';
import { type PlanBase, type PlanChange, PlanConflict, useSavePlan } from './use-save-plan.ts';

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
  /** Takes the last change back; undefined when there is none. */
  readonly undo: (() => void) | undefined;
  /** The parts that it would take back. */
  readonly undoes: readonly PlanPart[];
  /** What keeps it from being saved, part by part. */
  readonly problems: readonly PlanProblem[];
  readonly state: 'saved' | 'saving' | 'not-valid' | 'failed';
  readonly error: unknown;
  /** Parts that another window changed as well, and not alike. */
  readonly conflict: readonly PlanPart[];
  /** Says whose parts stand. */
  readonly settle: (prefer: 'mine' | 'theirs') => void;
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
  const [unsaved] = useState(() => unsavedOf(experiment.id));
  const base = useRef<PlanBase>(unsaved?.base ?? { version: experiment.version, plan });
  const form = useForm<PlanRequest>({
    resolver: classValidatorResolver(PlanRequest),
    defaultValues: formValues(unsaved?.plan ?? plan),
    mode: 'onChange',
  });
  const { control, formState, watch, handleSubmit, getValues } = form;
  const { mutate } = save;
  const isPlanted = experiment.status !== 'draft';
  const { last, remember, forgetLast } = usePlanHistory(experiment.id, isPlanted);
  const submit = useCallback(
    ({
      isUndo = false,
      ...change
    }: Pick<PlanChange, 'layout' | 'prefer'> & { isUndo?: boolean } = {}): void =>
      void handleSubmit((request) => {
        const sent = planIn(request);
        mutate({
          base: () => base.current,
          plan: isPlanted
            ? sent
            : withUsualSteps(base.current.plan, withOwnContainers(base.current.plan, sent)),
          onSaved: (saved) => {
            const before = base.current.plan;
            if (!isUndo && changedParts(before, saved.plan).length > 0) remember(before);
            base.current = saved;
            takeOver(form, sent, saved.plan);
          },
          ...change,
        });
      })(),
    [form, handleSubmit, mutate, remember, isPlanted],
  );
  const undo = useCallback(() => {
    if (!last) return;
    for (const part of changedParts(last, planIn(getValues())))
      setPart(form, part, last[part], { shouldDirty: true, shouldValidate: true });
    const { layoutSeed, layoutMethod } = last;
    submit({ isUndo: true, ...(layoutMethod === 'by_hand' ? {} : { layout: { layoutSeed, layoutMethod } }) });
    forgetLast();
  }, [last, form, getValues, submit, forgetLast]);
  useEffect(() => {
    if (unsaved) submit();
  }, [unsaved, submit]);
  useAutosave(watch, submit);
  // What another window saved comes into a form that nothing was typed into since.
  useEffect(() => {
    if (!experiment.plan || experiment.version <= base.current.version || save.isPending) return;
    const before = base.current.plan;
    if (!isUntouched(before, planIn(getValues()))) return;
    base.current = { version: experiment.version, plan: experiment.plan };
    takeOver(form, before, experiment.plan);
  }, [experiment.version, experiment.plan, save.isPending, form, getValues]);
  const isSaved = save.isSuccess || save.isIdle;
  useKeepUnsaved(experiment.id, form, base, isSaved, save.submittedAt);
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
      isPlanted,
      apply: (changes) => {
        for (const [name, value] of Object.entries(changes)) {
          setPart(form, name as PlanPart, value, { shouldDirty: true, shouldValidate: true });
        }
        const layout = {
          ...(changes.layoutSeed === undefined ? {} : { layoutSeed: changes.layoutSeed }),
          ...(changes.layoutMethod === undefined ? {} : { layoutMethod: changes.layoutMethod }),
        };
        submit({ layout });
      },
      undo: last && undo,
      undoes: last && experiment.plan ? changedParts(last, experiment.plan) : [],
      conflict: save.error instanceof PlanConflict ? save.error.parts : [],
      settle: (prefer) => submit({ prefer }),
      problem: (field) => messageOf(get(errors, field)) ?? fieldMessage(save.error, field),
      problems: problemsOf(errors, save.error),
      state: save.isPending ? 'saving' : !isValid ? 'not-valid' : save.isError ? 'failed' : 'saved',
      error: save.error,
    }),
    [
      form,
      plan,
      values,
      layoutSeed,
      layoutMethod,
      isPlanted,
      experiment.plan,
      last,
      undo,
      errors,
      isValid,
      save.error,
      save.isPending,
      save.isError,
      submit,
    ],
  );
  return (
    <FormProvider {...form}>
      <Context.Provider value={editor}>{children}</Context.Provider>
    </FormProvider>
  );
}

/** Saves what is typed half a second after the last key, and at once when the page is left. */
function useAutosave(watch: UseFormReturn<PlanRequest>['watch'], submit: () => void): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const now = (): void => {
      timer = undefined;
      submit();
    };
    const subscription = watch((_, { type }) => {
      if (type === undefined) return;
      clearTimeout(timer);
      timer = setTimeout(now, AUTOSAVE_MS);
    });
    return () => {
      subscription.unsubscribe();
      if (timer === undefined) return;
      clearTimeout(timer);
      now();
    };
  }, [watch, submit]);
}

const AUTOSAVE_MS = 500;

/** Keeps on this device what is typed and cannot be saved, or is not saved yet. */
function useKeepUnsaved(
  experimentId: string,
  { formState, watch, getValues }: UseFormReturn<PlanRequest>,
  base: RefObject<PlanBase>,
  isSaved: boolean,
  submittedAt: number,
): void {
  const { isValid } = formState;
  useEffect(() => {
    const keep = (): void => keepUnsaved(experimentId, { base: base.current, plan: planIn(getValues()) });
    if (!isValid || !isSaved) keep();
    else forgetUnsaved(experimentId);
    const subscription = watch(keep);
    return () => subscription.unsubscribe();
  }, [isValid, isSaved, submittedAt, experimentId, watch, getValues, base]);
}

/** A form's own copy of a plan: the version is the editor's. */
function formValues(plan: Plan): PlanRequest {
  return { ...(structuredClone(plan) as PlanRequest), version: 0 };
}

function planIn(values: PlanRequest): Plan {
  const plan: Plan & { version?: number } = structuredClone(values);
  delete plan.version;
  return plan;
}

function setPart(
  form: UseFormReturn<PlanRequest>,
  part: PlanPart,
  value: Plan[PlanPart],
  options: SetValueConfig,
): void {
  form.setValue(part, structuredClone(value) as PlanRequest[PlanPart], options);
}

/** Brings what was saved into the form, but for parts that were typed on since they were sent. */
function takeOver(form: UseFormReturn<PlanRequest>, sent: Plan, saved: Plan): void {
  const now = planIn(form.getValues());
  for (const part of Object.keys(saved) as PlanPart[]) {
    if (isSamePart(now[part], saved[part]) || !isSamePart(now[part], sent[part])) continue;
    setPart(form, part, saved[part], { shouldValidate: true });
  }
}

function isUntouched(before: Plan, now: Plan): boolean {
  return (Object.keys(before) as PlanPart[]).every(
    (part) => part === 'layoutSeed' || part === 'layoutMethod' || isSamePart(before[part], now[part]),
  );
}

function messageOf(error: unknown): string | undefined {
  const message = (error as { message?: unknown } | undefined)?.message;
  return typeof message === 'string' ? message : undefined;
}
