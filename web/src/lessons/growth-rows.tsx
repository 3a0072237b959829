import { say } from '@bright-sprout/words/lessons';
import type { WatchedRow } from '@bright-sprout/core/lessons';
import { changeText, readText, STATE_WORDS, type ValueStyle } from '@bright-sprout/core/words';
import { shortDay } from '../shared/ui/index.ts';

/** Readings of a pot under their heads, each with the change since the one before; the first change is blank. */
export function GrowthRows({ rows, style }: { rows: readonly WatchedRow[]; style: ValueStyle }) {
  return (
    <>
      <thead>
        <tr>
          <th scope="col">{say('date')}</th>
          <th scope="col">{say('reading')}</th>
          <th scope="col">{say('change')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ day, state, value, change }) => (
          <tr key={day}>
            <th scope="row">{shortDay(day)}</th>
            <td>{value === null ? STATE_WORDS[state] : readText(value, style)}</td>
            <td>{change === null ? '' : changeText(change, style)}</td>
          </tr>
        ))}
      </tbody>
    </>
  );
}
