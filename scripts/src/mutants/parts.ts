import { readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';

const root = dirname(dirname(dirname(import.meta.dirname)));

/** Sources that are mutated, and the tests that should notice. */
export interface MutatedPart {
  readonly name: string;
  /** Whose settings of Jest the tests run with. */
  readonly project: 'core' | 'web' | 'server';
  readonly sources: readonly string[];
  readonly tests: readonly string[];
  /** Conditions by which packages are resolved. */
  readonly conditions: readonly string[];
}

/** What must not be wrong: the figures, the units, and the way of a reading and of a vote. */
export const PARTS: readonly MutatedPart[] = [
  {
    name: 'units',
    project: 'core',
    sources: ['core/src/shared/length.ts'],
    tests: [...testsIn('core/src/shared'), ...testsIn('core/src/imports')],
    conditions: [],
  },
  {
    name: 'the save on the device',
    project: 'web',
    sources: ['outbox.ts', 'use-keep.ts'].map((file) => `web/src/shared/outbox/${file}`),
    tests: testsIn('web/src/shared/outbox'),
    conditions: ['browser'],
  },
  {
    name: 'the save on the server',
    project: 'server',
    sources: ['readings.service.ts', 'check-reading.ts'].map((file) => `server/src/readings/${file}`),
    tests: testsIn('server/src/readings'),
    conditions: [],
  },
  {
    name: 'votes',
    project: 'server',
    sources: ['server/src/lessons/polls.service.ts'],
    tests: testsIn('server/src/lessons'),
    conditions: [],
  },
  {
    name: 'statistics',
    project: 'core',
    sources: filesIn('core/src/statistics').filter((file) => !file.endsWith('/index.ts')),
    tests: testsIn('core/src/statistics'),
    conditions: [],
  },
];

function filesIn(folder: string): string[] {
  return readdirSync(join(root, folder))
    .filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'))
    .map((file) => `${folder}/${file}`);
}

function testsIn(folder: string): string[] {
  return readdirSync(join(root, folder))
    .filter((file) => /\.test\.tsx?$/.test(file))
    .map((file) => `${folder}/${file}`);
}
