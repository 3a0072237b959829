import { say } from '@bright-sprout/words/plans';
import { type PlanRequest, type StepPart, planRoutes } from '@bright-sprout/contract/plans';
import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useMutation } from '@tanstack/react-query';
import { ArrowDown, ArrowUp, GripVertical, Plus, X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { call } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { StepTimer } from './step-timer.tsx';
import { planScope, useKeepExperiment } from './use-save-plan.ts';

const WHEN = {
  before: say('beforeSowing'),
  sowing: say('onTheSowingDay'),
  after: say('fromThenOn'),
} as const;
type When = keyof typeof WHEN;
const DRAG_DISTANCE = 4;

/** The protocol as ordered steps, ticked off with the class, and what is kept the same. */
export function StepsSection() {
  const { plan, apply } = usePlanEditor();
  const { getValues } = useFormContext<PlanRequest>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_DISTANCE } }));
  const move = (from: number, to: number): void => {
    const steps = getValues('steps');
    if (to < 0 || to >= steps.length) return;
    const when = steps[to]?.when ?? 'sowing';
    apply({ steps: arrayMove(steps, from, to).map((step, at) => (at === to ? { ...step, when } : step)) });
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    const at = (id: unknown): number => plan.steps.findIndex((step) => step.id === id);
    if (over && over.id !== active.id) move(at(active.id), at(over.id));
  };
  const add = (when: When): void => {
    const steps = getValues('steps');
    const order = Object.keys(WHEN);
    const last = steps.findLastIndex((step) => order.indexOf(step.when) <= order.indexOf(when));
    const made: StepPart = { id: uuid().slice(-12), text: say('aNewStep'), when, minutes: null };
    apply({ steps: [...steps.slice(0, last + 1), made, ...steps.slice(last + 1)] });
  };
  return (
    <>
      <DndContext sensors={sensors} onDragEnd={drop} accessibility={{ container: document.body }}>
        <SortableContext items={plan.steps.map((step) => step.id)} strategy={verticalListSortingStrategy}>
          {(Object.keys(WHEN) as When[]).map((when) => (
            <section key={when} className="protocol" aria-label={WHEN[when]}>
              <h2>{WHEN[when]}</h2>
              <ol>
                {plan.steps.map((step, index) =>
                  step.when === when ? (
                    <StepRow key={step.id} index={index} onMove={(by) => move(index, index + by)} />
                  ) : null,
                )}
              </ol>
              <Button variant="light" size="sm" onClick={() => add(when)}>
                <Plus size={16} aria-hidden="true" /> {say('aStep')}
              </Button>
            </section>
          ))}
        </SortableContext>
      </DndContext>
      <Constants />
    </>
  );
}

function StepRow({ index, onMove }: { index: number; onMove: (by: 1 | -1) => void }) {
  const { plan, apply, problem } = usePlanEditor();
  const { register, getValues } = useFormContext<PlanRequest>();
  const step = plan.steps[index];
  const sortable = useSortable({ id: step?.id ?? '' });
  const { done, tick, error } = useStepTick(step?.id ?? '');
  if (!step) return null;
  const name = `steps.${index}` as const;
  const label = say('step', { index: index + 1 });
  const asMinutes = (value: unknown): number | null => (value === '' || value == null ? null : Number(value));
  return (
    <li
      ref={sortable.setNodeRef}
      className={done ? 'is-done' : ''}
      style={{ transform: CSS.Transform.toString(sortable.transform), transition: sortable.transition ?? '' }}
    >
      <span className="grip" {...sortable.listeners} aria-hidden="true">
        <GripVertical size={18} />
      </span>
      <Form.Check
        type="checkbox"
        id={`tick-${step.id}`}
        aria-label={say('done2', { label })}
        checked={done}
        onChange={({ target }) => tick(target.checked)}
      />
      <Form.Control
        {...register(`${name}.text`)}
        as="textarea"
        rows={1}
        aria-label={label}
        autoComplete="off"
        isInvalid={problem(`${name}.text`) !== undefined}
      />
      <span className="number-entry">
        <Form.Control
          {...register(`${name}.minutes`, { setValueAs: asMinutes })}
          type="number"
          min={1}
          aria-label={say('minutes', { label })}
          placeholder="–"
        />
        <span>{say('min')}</span>
      </span>
      {step.minutes !== null && Number.isFinite(step.minutes) && <StepTimer minutes={step.minutes} />}
      <span className="step-moves">
        <Button variant="light" size="sm" aria-label={say('up', { label })} onClick={() => onMove(-1)}>
          <ArrowUp size={15} aria-hidden="true" />
        </Button>
        <Button variant="light" size="sm" aria-label={say('down', { label })} onClick={() => onMove(1)}>
          <ArrowDown size={15} aria-hidden="true" />
        </Button>
        <Button
          variant="light"
          size="sm"
          aria-label={say('remove', { label: label.toLowerCase() })}
          onClick={() => apply({ steps: getValues('steps').filter((_, at) => at !== index) })}
        >
          <X size={15} aria-hidden="true" />
        </Button>
      </span>
      {problem(`${name}.text`) && <span className="field-problem">{problem(`${name}.text`)}</span>}
      <FailureNote error={error} />
    </li>
  );
}

/** Ticking a step off; kept beside the plan, so that a template has no ticks. */
function useStepTick(stepId: string) {
  const { experiment } = useExperiment();
  const keep = useKeepExperiment();
  const taskKey = `step-${stepId}`;
  const done = experiment.tasks.some((task) => task.key === taskKey && task.doneOn !== null);
  const save = useMutation({
    scope: planScope(experiment.id),
    mutationFn: (isDone: boolean) =>
      call(planRoutes.saveTask, {
        params: { experimentId: experiment.id, taskKey },
        body: { movedTo: null, doneOn: isDone ? experiment.today : null, who: '', title: '' },
      }),
    onSuccess: keep,
  });
  return { done, tick: (isDone: boolean) => save.mutate(isDone), error: save.error };
}

function Constants() {
  const { plan, apply, problem } = usePlanEditor();
  const { register, getValues } = useFormContext<PlanRequest>();
  return (
    <section className="protocol" aria-label={say('keptTheSame')}>
      <h2>{say('keptTheSame')}</h2>
      <ul className="constants">
        {plan.constants.map((_, index) => (
          <li key={index}>
            <Form.Control
              {...register(`constants.${index}`)}
              aria-label={say('keptTheSame2', { index: index + 1 })}
              autoComplete="off"
              isInvalid={problem(`constants.${index}`) !== undefined}
            />
            <Button
              variant="light"
              size="sm"
              aria-label={say('removeWhatIsKeptTheSame', { index: index + 1 })}
              onClick={() => apply({ constants: getValues('constants').filter((__, at) => at !== index) })}
            >
              <X size={15} aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ul>
      {problem('constants') && <p className="field-problem">{problem('constants')}</p>}
      <Button
        variant="light"
        size="sm"
        onClick={() => apply({ constants: [...getValues('constants'), say('theSame')] })}
      >
        <Plus size={16} aria-hidden="true" /> {say('another')}
      </Button>
    </section>
  );
}
