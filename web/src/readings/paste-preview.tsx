import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import Button from 'react-bootstrap/Button';
import { findingText } from '../shared/experiment/index.ts';
import { readCell } from './cell-text.ts';

/** A pasted cell and where it would go; beyond the sheet it goes nowhere. */
export interface PastedCell {
  readonly text: string;
  readonly unit: UnitView | undefined;
  readonly variable: VariableView | undefined;
}

/** Shows what a pasted block would fill before it does. */
export function PastePreview({
  cells,
  onTake,
  onLeave,
}: {
  cells: readonly PastedCell[];
  onTake: () => void;
  onLeave: () => void;
}) {
  const rows = cells.map((cell) => ({ ...cell, words: wordsOf(cell) }));
  const good = rows.filter(({ words }) => words.isGood).length;
  return (
    <dialog open className="ask paste-preview" aria-label={say('pasteThisBlock')}>
      <h2>{say('pasteValues', { good })}</h2>
      {good < rows.length && (
        <p className="note-attention">
          {say('willBeLeftOutAsSaidBeside', { rowsCount: rows.length - good })}
        </p>
      )}
      <ul>
        {rows.map(({ unit, variable, text, words }, index) => (
          <li key={index}>
            <b>{unit ? say('pot2', { number: unit.number }) : say('noPot')}</b>
            {variable && `, ${variable.name}`}: {text} →{' '}
            <span className={words.isGood ? '' : 'field-problem'}>{words.text}</span>
          </li>
        ))}
      </ul>
      <div className="button-row">
        <Button autoFocus disabled={good === 0} onClick={onTake}>
          {say('putThemIn')}
        </Button>
        <Button variant="light" onClick={onLeave}>
          {say('leaveIt')}
        </Button>
      </div>
    </dialog>
  );
}

function wordsOf({ unit, variable, text }: PastedCell): { isGood: boolean; text: string } {
  if (!unit || !variable) return { isGood: false, text: say('beyondTheSheet') };
  const cell = readCell(text, variable);
  if (cell.kind === 'problem') return { isGood: false, text: cell.words };
  if (cell.kind === 'empty') return { isGood: false, text: 'empty' };
  return {
    isGood: true,
    text: findingText({ state: cell.state, value: cell.entered?.value ?? null }, variable),
  };
}
