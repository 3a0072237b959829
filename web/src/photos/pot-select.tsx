import { say } from '@bright-sprout/words/photos';
import type { UnitView } from '@bright-sprout/contract/plans';
import Form from 'react-bootstrap/Form';

/** Chooses one of some pots by its number. */
export function PotSelect({
  pots,
  chosenId,
  onChoose,
}: {
  pots: readonly UnitView[];
  chosenId: string;
  onChoose: (id: string) => void;
}) {
  return (
    <Form.Select
      size="sm"
      className="pot-choice"
      aria-label={say('whichPot')}
      value={chosenId}
      onChange={({ target }) => onChoose(target.value)}
    >
      {pots.map(({ id, number }) => (
        <option key={id} value={id}>
          {say('ofPot', { number })}
        </option>
      ))}
    </Form.Select>
  );
}
