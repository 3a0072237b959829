import { say } from '@bright-sprout/words/readings';
import type { UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { type JustRead, doubts } from '@bright-sprout/core/growth';
import { markText } from '@bright-sprout/core/shared';
import { doubtWords } from '@bright-sprout/core/words';
import { findingText, scaleOf } from '../shared/experiment/index.ts';
import { recentDay } from '../shared/ui/index.ts';
import { readCell } from './cell-text.ts';

/** One cell of the fast sheet as it stands. */
export interface CellState {
  readonly text: string;
  /** What the server said against it. */
  readonly refusal: string | undefined;
}

/** A cell to type a reading into; it is kept when it is left. */
export function SheetCell({
  unit,
  variable,
  row,
  column,
  state,
  kept,
  justRead,
  onText,
  onLeave,
  onMove,
  onPaste,
}: {
  unit: UnitView;
  variable: VariableView;
  row: number;
  column: number;
  state: CellState | undefined;
  /** The reading of the chosen day that counts. */
  kept: ReadingView | undefined;
  justRead: ((unit: UnitView, valueMm: number) => JustRead) | undefined;
  onText: (text: string) => void;
  onLeave: () => void;
  /** Goes some rows down; false where there is none. */
  onMove: (rows: number) => boolean;
  onPaste: (text: string) => boolean;
}) {
  const text = state?.text ?? keptText(kept, variable);
  const cell = readCell(text, variable);
  const value = cell.kind === 'reading' ? cell.entered?.value : undefined;
  const isNew = state !== undefined && state.text !== keptText(kept, variable);
  const doubted =
    variable.kind === 'length' && value !== undefined && justRead ? doubts(justRead(unit, value)) : [];
  const [doubt] = doubted.filter(({ code }) => code !== 'other_day' && code !== 'same_for_all');
  const problem = state?.refusal ?? (cell.kind === 'problem' && isNew ? cell.words : undefined);
  const noteId = `note-${row}-${column}`;
  const keys = (event: React.KeyboardEvent): void => {
    const moves: Record<string, number> = { Enter: event.shiftKey ? -1 : 1, ArrowDown: 1, ArrowUp: -1 };
    const move = moves[event.key];
    if (move === undefined) return;
    event.preventDefault();
    // Leaving a cell keeps it; on the last row Enter leaves it where it is.
    if (!onMove(move) && event.key === 'Enter') onLeave();
  };
  return (
    <td className={kept && !isNew ? 'is-kept' : isNew ? 'is-new' : ''}>
      <input
        data-cell={`${row}:${column}`}
        value={text}
        inputMode={variable.kind === 'score' ? 'text' : 'decimal'}
        autoComplete="off"
        maxLength={60}
        aria-label={say('pot3', { number: unit.number, variable: variable.name })}
        aria-invalid={problem !== undefined}
        aria-describedby={problem || doubt ? noteId : undefined}
        onChange={({ target }) => onText(target.value)}
        onBlur={onLeave}
        onKeyDown={keys}
        onFocus={({ target }) => target.select()}
        onPaste={(event) => {
          if (onPaste(event.clipboardData.getData('text'))) event.preventDefault();
        }}
      />
      {(problem ?? doubt) && (
        <small id={noteId} className={problem ? 'field-problem' : 'sheet-doubt'}>
          {problem ??
            (doubt &&
              doubtWords(doubt, scaleOf(variable), (day) =>
                recentDay(day, justRead?.(unit, value ?? 0).today ?? day),
              ))}
        </small>
      )}
    </td>
  );
}

/** What a kept reading looks like in its cell. */
export function keptText(kept: ReadingView | undefined, variable: VariableView): string {
  if (!kept) return '';
  if (kept.value === null) return findingText({ state: kept.state, value: null }, variable);
  return variable.kind === 'length'
    ? markText(kept.value, scaleOf(variable))
    : findingText({ state: 'emerged', value: kept.value }, variable);
}
