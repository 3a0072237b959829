import { expect, test } from '@jest/globals';
import { placeLabels, wordX } from './place-labels.ts';

test('a word stands at the nearer margin, at the height of its part', () => {
  const [root, leaf] = placeLabels([
    { word: 'root', x: 0.3, y: 0.8 },
    { word: 'leaf', x: 0.6, y: 0.2 },
  ]);
  expect(root).toMatchObject({ side: 'left', wordY: 0.8, x: 0.3, y: 0.8 });
  expect(leaf).toMatchObject({ side: 'right', wordY: 0.2 });
  expect(wordX(root!)).toBeLessThan(0.5);
  expect(wordX(leaf!)).toBeGreaterThan(0.5);
});

test('words at one margin stand below each other, in the order of their parts', () => {
  const labels = [0.5, 0.5, 0.48].map((y, index) => ({ word: String(index), x: 0.2, y }));
  const heights = placeLabels(labels).map(({ wordY }) => wordY);
  const sorted = [...heights].sort((a, b) => a - b);
  expect(heights[2]).toBe(sorted[0]);
  expect(sorted[1]! - sorted[0]!).toBeGreaterThan(0.08);
  expect(sorted[2]! - sorted[1]!).toBeGreaterThan(0.08);
});

test('no word stands beyond the edge', () => {
  const [top, bottom] = placeLabels([
    { word: 'a', x: 0.1, y: 0 },
    { word: 'b', x: 0.9, y: 1 },
  ]);
  expect(top!.wordY).toBeGreaterThan(0);
  expect(bottom!.wordY).toBeLessThan(1);
});
