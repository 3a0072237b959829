import type { ComparisonView } from '@bright-sprout/contract/comparison';
import { compareTreatments } from '@bright-sprout/core/comparison';
import { calendarDay } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import { groupAxis, nameLines } from './figure-base.ts';
import { dotPlot, growthCurves } from './figures.ts';

const SOWN = calendarDay('2026-05-01');
const DAY = calendarDay('2026-05-15');
const TREATMENTS = [
  { id: 'a', code: 'A', name: 'Sun <b>', isControl: true, style: 0 },
  { id: 'b', code: 'B', name: 'Shade', isControl: false, style: 1 },
];

function props(values: Record<string, number[]>) {
  const entries = Object.entries(values).flatMap(([groupId, all]) =>
    all.map((value) => ({ groupId, value })),
  );
  const comparison = compareTreatments({
    treatments: TREATMENTS,
    units: entries.map(({ groupId }, index) => ({
      id: String(index),
      number: index + 1,
      groupId,
      sownOn: SOWN,
    })),
    readings: entries.map(({ value }, index) => ({
      unitId: String(index),
      day: DAY,
      state: 'emerged',
      value,
    })),
    day: DAY,
    rule: 'only_up',
  }) as ComparisonView;
  const style = { kind: 'length', scale: { unit: 'in', step: 0.25 }, isHeight: true } as const;
  return {
    comparison,
    treatments: TREATMENTS,
    style,
    variableName: 'height',
    chosen: new Set(['1']),
    numbers: new Map<string, number>(),
  };
}

const TWO = props({ a: [50.8, 76.2], b: [25.4, 38.1, 63.5] });

describe('figures', () => {
  test('are drawn in the unit of the plan, with units on the axis', () => {
    const { data, layout } = dotPlot(TWO);
    const [first, second] = (data[0] as { y: number[] }).y;
    expect(first).toBeCloseTo(2, 9);
    expect(second).toBeCloseTo(3, 9);
    expect(JSON.stringify(growthCurves(TWO).layout)).toContain('height, in');
    expect(JSON.stringify(layout)).toContain('n = 3 pots');
  });

  test('say n at the end of every curve', () => {
    const text = JSON.stringify(growthCurves(TWO).layout);
    expect(text).toContain('Shade, n = 3');
    expect(text).toContain('Sun &lt;b&gt;, n = 2');
  });

  test('share one scale of values', () => {
    const range = (figure: { layout: object }) =>
      (figure.layout as { yaxis: { range: number[] } }).yaxis.range;
    expect(range(dotPlot(TWO))).toEqual(range(growthCurves(TWO)));
    expect(range(dotPlot(TWO))[1]).toBeGreaterThan(3);
  });

  test('treatments wear their own mark and colour, and names are text, not markup', () => {
    const text = JSON.stringify(dotPlot(TWO));
    expect(text).toContain('"symbol":"circle"');
    expect(text).toContain('"symbol":"triangle-up"');
    expect(text).toContain('Sun &lt;b&gt;');
  });

  test('a treatment with one pot has no interval, one with none has no mean', () => {
    const bars = (values: Record<string, number[]>) =>
      dotPlot(props(values)).data.filter((trace) => 'error_y' in trace) as {
        error_y: { visible: boolean };
      }[];
    expect(bars({ a: [50], b: [40, 60] }).map((bar) => bar.error_y.visible)).toEqual([false, true]);
    expect(bars({ a: [], b: [40, 60] })).toHaveLength(1);
    expect(JSON.stringify(dotPlot(props({ a: [], b: [] })))).not.toContain('null,');
  });
});

describe('names below an axis', () => {
  test.each([
    ['Shade', 8, ['Shade']],
    ['Plain water from the tap', 12, ['Plain water', 'from the tap']],
    ['Plain water from the classroom tap', 8, ['Plain', 'water', 'from th…']],
    ['Unpronounceablenames', 8, ['Unpronou', 'nceablen', 'ames']],
  ])('%s in lines of %d', (name, perLine, lines) => {
    expect(nameLines(name, perLine, 3)).toEqual(lines);
  });

  test('are never wider than their column, however many and long they are', () => {
    const width = 310;
    for (const n of [2, 3, 6, 8, 12]) {
      const groups = Array.from({ length: n }, (_, index) => ({
        ...{ id: String(index), style: index },
        name: `Water from the fish tank downstairs number ${index}`,
      }));
      const { ticktext } = groupAxis(groups, () => '', width) as { ticktext: string[] };
      const letters = ticktext.flatMap((text) =>
        text
          .replaceAll(/<\/?b>/g, '')
          .split('<br>')
          .map(({ length }) => length),
      );
      expect(Math.max(...letters) * 6.4).toBeLessThanOrEqual(Math.max(width / n, 4 * 6.4));
    }
  });

  test('are of groups that have a value', () => {
    const figure = dotPlot(props({ a: [40, 50], b: [] }));
    const { ticktext } = (figure.layout as { xaxis: { ticktext: string[] } }).xaxis;
    expect(ticktext).toHaveLength(1);
  });
});
