import { READING_STATES, type ReadingState } from '../shared/index.ts';

/** States as files spell them: as the first of them did, so that every file made so far opens. */
export const STATE_IN_FILES: Readonly<Record<ReadingState, string>> = {
  not_emerged: 'not_up',
  emerged: 'up',
  dead: 'dead',
  removed: 'removed',
  not_read: 'not_read',
};

/** Words that a file may give a state in. */
export const FILE_STATES: readonly string[] = READING_STATES.map((state) => STATE_IN_FILES[state]);

/** The state that a word of a file, or its code, stands for. */
export function stateOfFile(word: string): ReadingState | undefined {
  return READING_STATES.find((state) => word === state || word === STATE_IN_FILES[state]);
}
