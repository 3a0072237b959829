import Form from 'react-bootstrap/Form';

/** A labelled choice of a few. */
export function Choice<T extends string>({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: T;
  choices: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) {
  return (
    <label className="choice">
      <span>{label}</span>
      <Form.Select size="sm" value={value} onChange={(event) => onChange(event.target.value as T)}>
        {choices.map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </Form.Select>
    </label>
  );
}

/** The choices of a closed list with their words. */
export function choicesOf<T extends string>(words: Readonly<Record<T, string>>): [T, string][] {
  return Object.entries(words) as [T, string][];
}
