import Form from 'react-bootstrap/Form';

/** One of a few, by what it is called. */
export function ChoiceSelect({
  name,
  choices,
  chosenId,
  onChoose,
}: {
  /** What is chosen, for who cannot see it. */
  name: string;
  choices: readonly { readonly id: string; readonly name: string }[];
  chosenId: string | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <Form.Select
      size="sm"
      className="pot-choice"
      aria-label={name}
      value={chosenId}
      onChange={({ target }) => onChoose(target.value)}
    >
      {choices.map((choice) => (
        <option key={choice.id} value={choice.id}>
          {choice.name}
        </option>
      ))}
    </Form.Select>
  );
}
