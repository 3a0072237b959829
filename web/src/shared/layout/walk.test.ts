import type { ExperimentView } from '@bright-sprout/contract/plans';
import { describe, expect, test } from '@jest/globals';
import { neighbour } from './walk.ts';

const places = [
  ['a', 1, 1],
  ['b', 1, 2],
  ['c', 1, 5],
  ['d', 2, 1],
] as const;

const experiment = {
  units: [
    ...places.map(([id, row, column]) => ({ id, row, column, containerId: 'one' })),
    { id: 'z', row: 1, column: 3, containerId: 'two' },
  ],
} as unknown as ExperimentView;

describe('walking over the sill', () => {
  test.each([
    ['a', 'right', 'b'],
    ['b', 'right', 'c'],
    ['c', 'left', 'b'],
    ['a', 'down', 'd'],
    ['d', 'up', 'a'],
    ['c', 'right', undefined],
    ['b', 'down', undefined],
    ['nobody', 'left', undefined],
  ] as const)('from %s %s is %s', (from, direction, to) => {
    expect(neighbour(experiment, from, direction)?.id).toBe(to);
  });
});
