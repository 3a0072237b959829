import { say } from '@bright-sprout/words/plans';
import type { PlanRequest } from '@bright-sprout/contract/plans';
import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import { type FieldPath, useFormContext } from 'react-hook-form';
import { usePlanEditor } from './plan-editor.tsx';
import { ChoiceOptions } from '../shared/ui/index.ts';
import { PlanField } from './plan-field.tsx';

type Name = FieldPath<PlanRequest>;

interface FieldProps {
  readonly name: Name;
  readonly label: string;
  readonly isWide?: boolean;
  readonly disabled?: boolean;
}

/** A line of text of the plan. */
export function TextInput({
  name,
  label,
  isWide,
  disabled = false,
  className = '',
}: FieldProps & { className?: string }) {
  const { register } = useFormContext<PlanRequest>();
  const { problem } = usePlanEditor();
  return (
    <PlanField id={name} label={label} error={problem(name)} isWide={isWide}>
      <Form.Control
        {...register(name)}
        className={className}
        autoComplete="off"
        disabled={disabled}
        isInvalid={problem(name) !== undefined}
      />
    </PlanField>
  );
}

/** A number of the plan with its unit. An empty one is `null` where it may be left out. */
export function NumberInput({
  name,
  label,
  unit,
  isOptional,
  disabled = false,
  step,
}: FieldProps & { unit?: string; isOptional?: boolean; step?: number }) {
  const { register } = useFormContext<PlanRequest>();
  const { problem } = usePlanEditor();
  const asNumber = (value: unknown): number | null =>
    value === '' || value === null || value === undefined ? (isOptional ? null : NaN) : Number(value);
  return (
    <PlanField id={name} label={label} error={problem(name)}>
      <span className="number-entry">
        <Form.Control
          {...register(name, { setValueAs: asNumber })}
          type="number"
          step={step ?? 'any'}
          disabled={disabled}
          isInvalid={problem(name) !== undefined}
        />
        {unit && <span>{unit}</span>}
      </span>
    </PlanField>
  );
}

/** A choice of the plan. */
export function ChoiceInput({
  name,
  label,
  options,
  isWide = false,
  disabled = false,
  isNumber = false,
}: FieldProps & {
  options: readonly (readonly [value: string, label: string])[];
  isNumber?: boolean;
}) {
  const { register, watch } = useFormContext<PlanRequest>();
  const { problem } = usePlanEditor();
  const chosen = watch(name);
  const asChosen = (value: unknown): unknown => (value === '' ? null : isNumber ? Number(value) : value);
  return (
    <PlanField id={name} label={label} error={problem(name)} isWide={isWide}>
      <Form.Select {...register(name, { setValueAs: asChosen })} disabled={disabled}>
        <ChoiceOptions options={options} chosen={typeof chosen === 'object' ? '' : String(chosen ?? '')} />
      </Form.Select>
    </PlanField>
  );
}

/** A date of the plan; an empty one is `null` where it may be left out. */
export function DayInput({
  name,
  label,
  isOptional,
  disabled = false,
}: FieldProps & { isOptional?: boolean }) {
  const { register } = useFormContext<PlanRequest>();
  const { problem } = usePlanEditor();
  return (
    <PlanField id={name} label={label} error={problem(name)}>
      <Form.Control
        {...register(name, { setValueAs: (value: unknown) => (value === '' && isOptional ? null : value) })}
        type="date"
        disabled={disabled}
        isInvalid={problem(name) !== undefined}
      />
    </PlanField>
  );
}

/** A yes or no of the plan. */
export function TickInput({ name, label, disabled = false }: FieldProps) {
  const { register } = useFormContext<PlanRequest>();
  return <Form.Check {...register(name)} id={name} type="checkbox" label={label} disabled={disabled} />;
}

/** A figure worked out, with its working on request. */
export function WorkedOut({
  title,
  children,
  working,
}: {
  title: ReactNode;
  children?: ReactNode;
  working: ReactNode;
}) {
  return (
    <div className="worked-out">
      <p className="worked-title">{title}</p>
      {children}
      <details>
        <summary>{say('howItIsWorkedOut')}</summary>
        <div className="working">{working}</div>
      </details>
    </div>
  );
}
