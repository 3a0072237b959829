import { describe, expect, test } from '@jest/globals';
import { roomFigure } from './sensor-figure.ts';

const DAYS = [
  { sensor: 'temperature' as const, day: '2026-05-03', mean: 21, least: 17, most: 25 },
  { sensor: 'temperature' as const, day: '2026-05-02', mean: 20, least: 16, most: 24 },
  { sensor: 'temperature' as const, day: '2026-04-30', mean: 5, least: 4, most: 6 },
  { sensor: 'light' as const, day: '2026-05-02', mean: 3, least: 0, most: 8 },
];
const CARE = [{ happenedOn: '2026-05-03', words: 'Watered <b>' }];

interface Trace {
  x: number[];
  y: number[];
  text?: string[];
  xaxis: string;
}

describe('the room under the curves', () => {
  test('has a panel for each sensor from sowing on, in day order, with care marked in each', () => {
    const { data, layout } = roomFigure({ days: DAYS, care: CARE, sowOn: '2026-05-01' });
    const traces = data as Trace[];
    const mean = traces.find((trace) => trace.text?.[0]?.startsWith('day 1: 20.0'))!;
    expect([mean.x, mean.y]).toEqual([
      [1, 2],
      [20, 21],
    ]);
    const care = traces.filter((trace) => trace.text?.[0] === 'day 2: Watered &lt;b>');
    expect(care.map(({ xaxis }) => xaxis)).toEqual(['x', 'x2']);
    expect(Object.keys(layout)).toEqual(expect.arrayContaining(['xaxis', 'xaxis2']));
    expect(JSON.stringify(layout)).toContain('temperature, °C');
  });

  test('shows care alone where there is no logger', () => {
    const { data } = roomFigure({ days: [], care: CARE, sowOn: '2026-05-01' });
    expect((data as Trace[]).map(({ x }) => x)).toEqual([[2]]);
  });
});
