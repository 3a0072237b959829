import Form from 'react-bootstrap/Form';
import { FailureNote, fieldMessage } from '../shared/ui/index.ts';

/** What was typed, by the names of the fields; the server checks it, as it must in any case. */
export function entriesOf<Name extends string>(
  event: React.SubmitEvent<HTMLFormElement>,
  names: readonly Name[],
): Record<Name, string> {
  event.preventDefault();
  const { elements } = event.currentTarget;
  return Object.fromEntries(
    names.map((name) => {
      const field = elements.namedItem(name);
      return [name, field instanceof HTMLInputElement ? field.value : ''];
    }),
  ) as Record<Name, string>;
}

/** What is not said at one of the fields. */
export function Failure({ error, fields }: { error: unknown; fields: readonly string[] }) {
  return fields.some((field) => fieldMessage(error, field)) ? null : <FailureNote error={error} />;
}

/** A field with the words of the server below it. */
export function Field({
  id,
  label,
  error,
  onChange,
  ...input
}: {
  id: string;
  label: string;
  type?: string;
  autoComplete: string;
  error: unknown;
  onChange?: (typed: string) => void;
}) {
  const problem = fieldMessage(error, id);
  return (
    <Form.Group className="mb-3" controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        {...input}
        name={id}
        isInvalid={problem !== undefined}
        onChange={({ target }) => onChange?.(target.value)}
      />
      <Form.Control.Feedback type="invalid" className={problem ? 'd-block' : ''}>
        {problem}
      </Form.Control.Feedback>
    </Form.Group>
  );
}
