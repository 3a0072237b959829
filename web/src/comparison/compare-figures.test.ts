import { addDays } from '@bright-sprout/core/shared';
import { summaryStyle } from '@bright-sprout/core/words';
import { describe, expect, test } from '@jest/globals';
import { cellMeans, studyPart } from '@bright-sprout/core/comparison';
import { unitDays } from '@bright-sprout/core/growth';
import {
  boxFigure,
  changeBars,
  cumulativeFigure,
  dayMark,
  differencesFigure,
  doseFigure,
  type FigureData,
  fittedCurves,
  growthCurves,
  interactionFigure,
  shapeFigure,
  shuffleFigure,
  studyFigure,
  teamsFigure,
  waitingFigure,
} from '../shared/charts/index.ts';
import { compared, DESIGN, READINGS, SOWN, STYLE } from './testing/compared.ts';

const COMPARISON = compared();
const GROUPS = COMPARISON.names.map((group, style) => ({ ...group, style }));
const BY_FEED = compared('factor-0');
const FEEDS = BY_FEED.names.map((group, style) => ({ ...group, style }));

interface Trace {
  readonly type: string;
  readonly x: (number | string | null)[];
  readonly y: (number | string | null)[];
  readonly text?: string[];
}

function tracesOf(figure: FigureData): Trace[] {
  return figure.data as Trace[];
}

function textOf(figure: FigureData): string {
  return JSON.stringify(figure);
}

describe('every chart of Compare', () => {
  const { growth, emergence, treatments, teams, design } = COMPARISON;
  if (!growth || !emergence || !treatments || !teams || !design) throw new Error('every part is there');
  const cells = cellMeans(COMPARISON.groups, design);
  const numbers = new Map(DESIGN.units.map((unit) => [unit.id, unit.number]));
  const chosen: ReadonlySet<string> = new Set();
  const study = studyPart(
    ['a', 'b'].map((id) => ({
      id,
      name: `Class ${id}`,
      groups: COMPARISON.names,
      units: DESIGN.units.map((unit) => ({
        id: unit.id,
        number: unit.number,
        groupId: unit.treatmentId,
        sownOn: SOWN,
      })),
      histories: unitDays(
        READINGS.map(({ unitId, observedOn, state, value }) => ({
          unitId,
          day: addDays(SOWN, days(observedOn)),
          state,
          value: value ?? null,
        })),
      ),
    })),
    19,
    'only_up',
  );
  const figures: [string, FigureData][] = [
    [
      'curves',
      growthCurves({
        comparison: COMPARISON,
        treatments: GROUPS,
        style: STYLE,
        variableName: 'height',
        chosen,
        numbers,
      }),
    ],
    ['change between readings', changeBars(growth, GROUPS, STYLE)],
    ['fitted curves', fittedCurves(COMPARISON, growth, GROUPS, STYLE)],
    ['up so far', cumulativeFigure(emergence, GROUPS)],
    ['still waiting', waitingFigure(emergence, GROUPS)],
    ['differences', differencesFigure(COMPARISON, GROUPS, STYLE)],
    ['combinations', interactionFigure(cells, design, STYLE)],
    ['amounts', doseFigure(COMPARISON, treatments, design, GROUPS, STYLE)],
    ['bell shape', shapeFigure(treatments, STYLE)],
    ['shuffles', shuffleFigure([4, 0, 1, 9], 8, STYLE, 12)],
    ['teams', teamsFigure(teams, STYLE)],
    ['classes', studyFigure(study, STYLE)],
    ['boxes', boxFigure(COMPARISON, GROUPS, STYLE)],
  ];

  test.each(figures)('%s: something is drawn, names are text, nothing is NaN', (_, figure) => {
    expect(tracesOf(figure).length).toBeGreaterThan(0);
    const text = textOf(figure);
    expect(text).not.toMatch(/NaN|Infinity|undefined/);
    expect(text).not.toContain('Some <b>');
    for (const trace of tracesOf(figure)) expect(trace.x).toHaveLength(trace.y.length);
  });

  test('change bars are means a day in the unit shown, with their n', () => {
    const [plain] = tracesOf(changeBars(growth, GROUPS, STYLE));
    const steps = growth.units
      .filter((unit) => unit.groupId === GROUPS[0]!.id)
      .map((unit) => unit.steps[0]!.perDay);
    const mean = steps.reduce((sum, step) => sum + step, 0) / steps.length;
    expect(plain!.x[0]).toBe(9);
    expect(plain!.y[0]).toBeCloseTo(mean / 10, 12);
    expect(plain!.text![0]).toContain('n = 3');
  });

  test('percent up rises to what came up; a pot not up keeps its group below 100', () => {
    const lines = tracesOf(cumulativeFigure(emergence, GROUPS));
    expect(lines.map((line) => Math.round(Number(line.y.at(-1))))).toEqual([100, 100, 100, 100, 100, 67]);
    expect(textOf(cumulativeFigure(emergence, GROUPS))).toContain('2 of 3');
  });

  test('the waiting curve steps down and stays where somebody waits', () => {
    const lines = tracesOf(waitingFigure(emergence, GROUPS));
    for (const line of lines) expect(line.y[0]).toBe(1);
    expect(lines.map((line) => Number(line.y.at(-1)).toFixed(2))).toEqual([
      '0.00',
      '0.00',
      '0.00',
      '0.00',
      '0.00',
      '0.33',
    ]);
  });

  test('differences show the interval of each pair, the control first where there are many', () => {
    const { layout } = differencesFigure(COMPARISON, GROUPS, STYLE);
    expect(layout).toMatchObject({ xaxis: { rangemode: 'tozero', zeroline: true } });
    const [marks] = tracesOf(differencesFigure(COMPARISON, GROUPS, STYLE));
    expect(marks!.x).toHaveLength(5);
    const few = tracesOf(differencesFigure(BY_FEED, FEEDS, STYLE))[0] as unknown as {
      x: number[];
      error_x: { array: number[] };
    };
    expect(few.x).toHaveLength(3);
    const pair = BY_FEED.pairs[0]!;
    if (!pair.test.defined || !pair.difference.defined) throw new Error('defined');
    expect(few.error_x.array[0]).toBeCloseTo(
      (pair.test.value.interval!.high - pair.difference.value) / 10,
      9,
    );
  });

  test('a line for each level of the second factor, its means at the levels of the first', () => {
    const lines = tracesOf(interactionFigure(cells, design, STYLE));
    expect(lines).toHaveLength(2);
    const cell = cells.find(({ levels }) => levels.join() === '2,1')!;
    expect(lines[1]!.y[2]).toBeCloseTo(cell.mean / 10, 12);
    expect(interactionFigure(cells, { factors: design.factors.slice(0, 1) }, STYLE).data).toEqual([]);
  });

  test('the pile holds every shuffle, and marks those at least as far away', () => {
    const [pile] = tracesOf(shuffleFigure([9, 0, 1, 9, 9.5], 8, STYLE, 12)) as unknown as {
      y: number[];
      marker: { color: string[] };
    }[];
    expect(pile!.y.reduce((sum, count) => sum + count, 0)).toBe(5);
    const far = pile!.y.filter((count, at) => count > 0 && pile!.marker.color[at] === '#c98410');
    expect(far.reduce((sum, count) => sum + count, 0)).toBe(3);
  });

  test('curves by date and from being up, and the day marked where there is one', () => {
    const props = {
      comparison: COMPARISON,
      treatments: GROUPS,
      style: STYLE,
      variableName: 'height',
      chosen,
      numbers,
    };
    const dated = growthCurves(props, 'date', (_, age) => addDays(SOWN, age));
    expect(textOf(dated)).toContain('2026-05-23');
    const since = growthCurves(props, 'emergence', (unit, age) =>
      unit === 'u1' && age >= 7 ? age - 7 : null,
    );
    expect(JSON.stringify(tracesOf(since)[0]!.x)).toContain('[0,2,4');
    expect(dayMark(19)).toHaveLength(1);
    expect(dayMark(null)).toEqual([]);
    expect(dayMark(19, 'emergence')).toEqual([]);
  });

  test('pots pointed out are drawn thick, the others faint; nothing is left away', () => {
    const props = {
      comparison: COMPARISON,
      treatments: GROUPS,
      style: STYLE,
      variableName: 'height',
      numbers,
    };
    const all = growthCurves({ ...props, chosen });
    const one = growthCurves({ ...props, chosen: new Set(['u2']) });
    const points = (figure: FigureData): number =>
      tracesOf(figure)
        .flatMap((trace) => trace.text ?? [])
        .filter((text) => text.startsWith('pot ')).length;
    expect(points(one)).toBe(points(all));
    expect(textOf(one)).toContain('"width":3.5');
  });

  test('classes stand side by side with their n; a figure of growth a day is in its own unit', () => {
    const text = textOf(studyFigure(study, STYLE));
    expect(text).toContain('Class a');
    expect(text).toContain('n = 17 pots');
    expect(text).toContain('mean, cm on day 19');
    expect(textOf(boxFigure(COMPARISON, GROUPS, summaryStyle(STYLE, 'growth_per_day')))).toContain(
      'cm a day',
    );
  });
});

function days(day: string): number {
  return Math.round((Date.parse(day) - Date.parse(SOWN)) / 86_400_000);
}
