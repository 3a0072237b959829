import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import { type FieldPath, type FieldValues, get, useFormContext } from 'react-hook-form';

interface InputProps<T extends FieldValues> {
  readonly name: FieldPath<T>;
  readonly label: string;
  readonly unit?: string;
  readonly type?: 'text' | 'number' | 'date';
}

/** An entry of a form of the inventory; an empty number or date is `null`. */
export function Entry<T extends FieldValues>({ name, label, unit, type = 'text' }: InputProps<T>) {
  const { register, formState } = useFormContext<T>();
  const id = useId();
  const error: unknown = get(formState.errors, name);
  const problem = (error as { message?: string } | undefined)?.message;
  const options =
    type === 'text'
      ? {}
      : {
          setValueAs: (value: unknown) =>
            value === '' || value == null ? null : type === 'number' ? Number(value) : value,
        };
  return (
    <Form.Group controlId={id} className="plan-field">
      <Form.Label>{label}</Form.Label>
      <span className="number-entry">
        <Form.Control
          {...register(name, options)}
          type={type}
          step="any"
          autoComplete="off"
          isInvalid={problem !== undefined}
        />
        {unit && <span>{unit}</span>}
      </span>
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
    </Form.Group>
  );
}
