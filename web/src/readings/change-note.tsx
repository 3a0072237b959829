import { say } from '@bright-sprout/words/readings';
import type { VariableView } from '@bright-sprout/contract/plans';
import { changeSinceLast, type UnitDay } from '@bright-sprout/core/growth';
import { calendarDay } from '@bright-sprout/core/shared';
import { computedText, contrastWord, readText, undefinedWords } from '@bright-sprout/core/words';
import { styleOf } from '../shared/experiment/index.ts';
import { Said, recentDay } from '../shared/ui/index.ts';
import './readings.scss';

/** The change since the last reading, while the plant is still there. */
export function ChangeNote({
  history,
  day,
  valueMm,
  variable,
}: {
  history: readonly UnitDay[];
  day: string;
  valueMm: number;
  variable: VariableView;
}) {
  const style = styleOf(variable);
  const change = changeSinceLast(history, calendarDay(day), valueMm);
  if (!change.defined) return <p className="note-change">{sentence(undefinedWords(change.reason))}</p>;
  const { amount, days, perDay, since } = change.value;
  const size = readText(Math.abs(amount), style);
  const before = recentDay(since, day);
  if (amount < 0) {
    return (
      <p className="note-change">
        <Said by={say} code="thanOn" values={{ size, contrastWord: contrastWord(amount, style), before }} />
      </p>
    );
  }
  return (
    <p className="note-change">
      <Said
        by={say}
        code="comparedWithBefore"
        values={{ ifAmount: amount === 0 ? 'yes' : 'no', size, before }}
      />
      {amount > 0 && days > 1 && say('daysADay', { days, computedText: computedText(perDay, style) })}.
    </p>
  );
}

function sentence(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
