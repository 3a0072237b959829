import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/imports';
import type { PreparationStep, Prepared } from '@bright-sprout/core/imports';
import Button from 'react-bootstrap/Button';

const MOST_ROWS_NAMED = 8;

const NOTES: Record<PreparationStep, (done: Prepared) => string> = {
  titles: ({ texts }) => say('titlesTakenAway', { titles: texts.join(' / ').slice(0, 120) }),
  joined_commas: () => say('commasJoined'),
  headings: () => say('headingsPutOver'),
  turned: () => say('tableTurned'),
  sections: () => say('sectionsMadeTreatments'),
  two_headings: () => say('twoHeadingsMadeOne'),
  left_out: ({ rows, texts }) =>
    say('summariesLeftOut', {
      rows: rows.length,
      numbers: allOf(rows.slice(0, MOST_ROWS_NAMED).map(String)),
      columns: texts.length,
      names: allOf([...texts]),
    }),
  filled_down: ({ texts }) => say('filledDown', { columns: texts.length, names: allOf([...texts]) }),
  states: ({ texts }) => say('yesNoMadeStates', { names: allOf([...texts]) }),
  cell_units: () => say('unitsPutToValues'),
  split_names: ({ texts: [name = '', treatment = ''] }) => say('namesSplit', { name, treatment }),
  years: ({ texts: [year = ''] }) => say('yearPutToDays', { year }),
};

/** What was done to a table so that it can be read, each to be undone. */
export function PreparedNotes({
  done,
  undone,
  onUndone,
}: {
  done: readonly Prepared[];
  undone: readonly PreparationStep[];
  onUndone: (steps: readonly PreparationStep[]) => void;
}) {
  if (done.length === 0 && undone.length === 0) return null;
  return (
    <section className="prepared-notes" aria-label={say('whatWasDoneToTheTable')}>
      <ul>
        {done.map((own) => (
          <li key={own.step}>
            {NOTES[own.step](own)}{' '}
            {own.step !== 'years' && (
              <Button variant="link" size="sm" onClick={() => onUndone([...undone, own.step])}>
                {say('undoThis')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {undone.length > 0 && (
        <Button variant="link" size="sm" onClick={() => onUndone([])}>
          {say('doAllAgain')}
        </Button>
      )}
    </section>
  );
}
