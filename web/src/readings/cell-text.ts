import { say } from '@bright-sprout/words/readings';
import type { VariableView } from '@bright-sprout/contract/plans';
import { scoresOf } from '@bright-sprout/core/design';
import { largestIn, parseLength, type ReadingState } from '@bright-sprout/core/shared';
import { STATE_WORDS } from '@bright-sprout/core/words';
import { scaleOf } from '../shared/experiment/index.ts';
import { lengthProblemText } from './length-problem.ts';
import type { EnteredValue } from './use-keep-reading.ts';

/** Keys that stand for a state in a cell. */
export const STATE_KEYS: readonly {
  readonly key: string;
  readonly state: ReadingState;
  readonly words: string;
}[] = [
  { key: 'n', state: 'not_emerged', words: STATE_WORDS.not_emerged },
  { key: 'd', state: 'dead', words: STATE_WORDS.dead },
  { key: 'r', state: 'removed', words: STATE_WORDS.removed },
  { key: 'x', state: 'not_read', words: STATE_WORDS.not_read },
];

/** What a cell of the fast sheet says. */
export type CellReading =
  | { readonly kind: 'empty' }
  | { readonly kind: 'reading'; readonly state: ReadingState; readonly entered?: EnteredValue }
  | { readonly kind: 'problem'; readonly words: string };

/** Reads a cell as typed or pasted: a value of the variable, or the key or the words of a state. */
export function readCell(text: string, variable: VariableView): CellReading {
  const plain = text.trim().toLowerCase();
  if (plain === '') return { kind: 'empty' };
  const state = STATE_KEYS.find(({ key, words }) => plain === key || plain === words);
  if (state) return { kind: 'reading', state: state.state };
  if (variable.kind === 'length') return readLength(text, variable);
  if (variable.kind === 'score') return readScore(plain, variable);
  const value = Number(plain.replace(',', '.').replace(/\s*%$/, ''));
  if (!Number.isFinite(value) || value < 0) return problem(say('aNumberOf0OrMore'));
  const largest = largestIn(variable.unit);
  if (largest !== undefined && value > largest) return problem(say('upTo', { largest, unit: variable.unit }));
  if (variable.kind === 'count' && !Number.isInteger(value)) return problem(say('aWholeNumber'));
  if (value === 0 && variable.name === 'seeds up') return { kind: 'reading', state: 'not_emerged' };
  return up(value, variable.unit, text);
}

function readLength(text: string, variable: VariableView): CellReading {
  const scale = scaleOf(variable);
  const parsed = parseLength(text, scale);
  if (!parsed.ok) return { kind: 'problem', words: lengthProblemText(parsed.problem, scale) };
  return up(parsed.mm, parsed.unit, text);
}

function readScore(plain: string, variable: VariableView): CellReading {
  const scores = scoresOf(variable.name) ?? [];
  const number = Number(plain);
  const index = Number.isInteger(number) ? number - 1 : scores.findIndex((score) => score.startsWith(plain));
  const score = scores[index];
  if (score === undefined) return problem(scores.map((name, at) => `${at + 1} ${name}`).join(', '));
  return up(index + 1, variable.unit, score);
}

function up(value: number, unit: string, text: string): CellReading {
  return { kind: 'reading', state: 'emerged', entered: { value, unit, entered: text.trim().slice(0, 60) } };
}

function problem(expected: string): CellReading {
  return {
    kind: 'problem',
    words: say('typeOr', { expected, stateKeys: STATE_KEYS.map(({ key }) => key).join(', ') }),
  };
}

/** A block copied from a spreadsheet, as rows of cells; a line break at its end is no row. */
export function readBlock(text: string): string[][] {
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n$/, '').split('\n');
  return lines.map((line) => line.split('\t'));
}
