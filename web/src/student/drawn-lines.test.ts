import { expect, test } from '@jest/globals';
import { keptDrawing, shownPaths } from './drawn-lines.ts';

const path = (points: readonly (readonly [number, number])[], drawMode = true) => ({
  drawMode,
  strokeColor: '#1e2b26',
  strokeWidth: 3,
  paths: points.map(([x, y]) => ({ x, y })),
});
const SHEET = { width: 800, height: 420 };

test('lines and words come back as they were drawn, on a sheet of another size too', () => {
  const labels = [{ word: 'stem', x: 0.5, y: 0.25 }];
  const kept = keptDrawing(
    [
      path([
        [10.4, 20.2],
        [30, 40],
      ]),
      path([[5, 5]], false),
    ],
    labels,
    SHEET,
  );
  expect(kept).toMatchObject({ ...SHEET, labels, lines: [{ points: [10, 20, 30, 40] }, { erases: true }] });
  expect(shownPaths(kept!, SHEET)).toEqual([
    path([
      [10, 20],
      [30, 40],
    ]),
    path([[5, 5]], false),
  ]);
  const [half] = shownPaths(kept!, { width: 400, height: 420 });
  expect(half).toMatchObject({
    strokeWidth: 1.5,
    paths: [
      { x: 5, y: 10 },
      { x: 15, y: 20 },
    ],
  });
});

test('a drawing of too many lines is kept as a picture alone', () => {
  const many = Array.from({ length: 601 }, () => path([[1, 1]]));
  expect(keptDrawing(many, [], SHEET)).toBeNull();
  const long = path(Array.from({ length: 1001 }, (_, at) => [at, at] as const));
  expect(keptDrawing([long], [], SHEET)).toBeNull();
});
