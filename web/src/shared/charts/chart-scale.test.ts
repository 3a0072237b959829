import { expect, test } from '@jest/globals';
import { enlarged } from './chart-scale.ts';

const FIGURE = {
  data: [
    { type: 'bar', x: [1, 2], width: 0.4, marker: { size: [4, 6] }, line: { width: 2 } },
    { type: 'scatter', y: [10], error_y: { array: [3], thickness: 2, width: 0 } },
  ],
  layout: {
    font: { size: 13 },
    margin: { l: 40, t: 30 },
    xaxis: { range: [0, 20] },
    annotations: [{ x: 5, xshift: 6, font: { size: 10 } }],
  },
};

test('letters, marks, lines and margins grow; values, ranges and bars stay', () => {
  expect(enlarged(FIGURE, 2)).toEqual({
    data: [
      { type: 'bar', x: [1, 2], width: 0.4, marker: { size: [8, 12] }, line: { width: 4 } },
      { type: 'scatter', y: [10], error_y: { array: [3], thickness: 4, width: 0 } },
    ],
    layout: {
      font: { size: 26 },
      margin: { l: 80, t: 60 },
      xaxis: { range: [0, 20] },
      annotations: [{ x: 5, xshift: 12, font: { size: 20 } }],
    },
  });
  expect(enlarged(FIGURE, 1)).toBe(FIGURE);
});
