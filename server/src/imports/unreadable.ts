import { say } from '@bright-sprout/words/refusals';
import type { FileRowProblem } from '@bright-sprout/contract/shared';
import { ApiError } from '../shared/index.ts';

const MOST_ROWS_LISTED = 200;
const MOST_SHOWN = 120;

/** A file with faults, as many of them listed as can be read, and of each as much as tells what it is. */
export function unreadable(problems: readonly FileRowProblem[]): ApiError {
  const count = problems.length;
  const what = count === 1 ? say('onePlaceNeeds') : say('placesNeed', { count });
  return new ApiError('unreadable_file', say('nothingWasOpenedMendingFirst', { what }), {
    rows: problems.slice(0, MOST_ROWS_LISTED).map(({ row, column, found, expected }) => ({
      row,
      column: shortened(column),
      found: shortened(found),
      expected: shortened(expected),
    })),
    rowCount: count,
  });
}

function shortened(text: string): string {
  return text.length <= MOST_SHOWN ? text : `${text.slice(0, MOST_SHOWN)}…`;
}
