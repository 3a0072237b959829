import { say } from '@bright-sprout/words/design';
import { SOIL_STATES } from '../shared/index.ts';

/** What may be read of each unit beside what the plan measures. */
export const ALSO_READ = [
  'seeds up',
  'leaves',
  'stage',
  'colour',
  'vigour',
  'green cover',
  'root length',
  'root direction',
  'soil pH',
  'soil',
] as const;
export type AlsoRead = (typeof ALSO_READ)[number];

/** Scores in rising order; a score's value is its place from 1. */
const SCORES: Readonly<Record<string, readonly string[]>> = {
  stage: [say('seedLeaves'), say('firstTrueLeaf'), say('moreLeaves'), 'bud', 'flower', say('podOrFruit')],
  colour: ['brown', 'yellow', say('paleGreen'), 'green', say('darkGreen')],
  vigour: ['limp', 'weak', 'fair', 'strong'],
  soil: SOIL_STATES,
};

/** The scores of a variable, the first of value 1; undefined for one that is not scored. */
export function scoresOf(variable: string): readonly string[] | undefined {
  return SCORES[variable];
}

/** Units of what is counted or measured; scores have none. */
const UNITS: Readonly<Partial<Record<AlsoRead, string>>> = {
  'seeds up': 'seeds',
  leaves: 'leaves',
  'green cover': '%',
  'root length': 'mm',
  'root direction': '°',
  'soil pH': 'pH',
};

const MEASURED: readonly AlsoRead[] = ['green cover', 'root length', 'root direction', 'soil pH'];
const PH_STEP = 0.1;

/** True of what is read of the soil, which says nothing of whether a plant is up. */
export function isOfSoil(variable: string): boolean {
  return variable === 'soil pH' || variable === 'soil';
}

/** How a variable that is read beside the plan's own is kept. */
export function alsoReadVariable(name: AlsoRead): {
  readonly name: AlsoRead;
  readonly kind: 'count' | 'score' | 'number';
  readonly unit: string;
  readonly step: number;
} {
  const kind = name in SCORES ? 'score' : MEASURED.includes(name) ? 'number' : 'count';
  return { name, kind, unit: UNITS[name] ?? '', step: name === 'soil pH' ? PH_STEP : 1 };
}
