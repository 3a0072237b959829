import { say } from '@bright-sprout/words/photos';
import type { UnitView } from '@bright-sprout/contract/plans';
import { ChoiceSelect } from './choice-select.tsx';

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
  const choices = pots.map(({ id, number }) => ({ id, name: say('ofPot', { number }) }));
  return <ChoiceSelect name={say('whichPot')} choices={choices} chosenId={chosenId} onChoose={onChoose} />;
}
