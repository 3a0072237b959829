import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';
import { BINS, binOf } from '@bright-sprout/core/imaging';
import { defined, notDefined } from '@bright-sprout/core/shared';
import { describe, expect, test } from '@jest/globals';
import type { Look } from './imaging.worker.ts';
import { photoDay } from './photo-day.ts';
import { coversOf, frameOf, isKeepable, onePot, potsIn, seriesOf, seriesThreshold } from './series.ts';
import { FIRST_MARKS, rootDirection, stemLength } from './along-stem.ts';

const CORNERS = [0, 0, 1, 0, 1, 1, 0, 1];

function photo(id: string, changes: Partial<PhotoSummary> = {}): PhotoSummary {
  return {
    ...{
      id,
      view: 'above',
      containerId: 'c',
      unitId: null,
      takenOn: `2026-11-${id}`,
      width: 400,
      height: 300,
    },
    ...{
      corners: null,
      greyPatch: null,
      leftOut: [],
      size: null,
      hasPicture: true,
      observer: 'Mx Fennel',
      measures: [],
    },
    recordedAt: '2026-11-01T08:00:00.000Z',
    ...changes,
  };
}

describe('whose corners a photo uses', () => {
  const series = [
    photo('02'),
    photo('03', { corners: CORNERS }),
    photo('04'),
    photo('05', { corners: [0.1, ...CORNERS.slice(1)] }),
    photo('06'),
  ];

  test.each([
    ['its own', '03', '03'],
    ['those of the last one before it', '04', '03'],
    ['the newest of several before it', '06', '05'],
    ['those of the first after it, where none is before', '02', '03'],
  ])('%s', (_, id, from) => {
    const found = frameOf(
      series.find((one) => one.id === id)!,
      series,
    );
    expect(found?.from.id).toBe(from);
  });

  test('none as long as nobody marked any', () => {
    expect(frameOf(series[0]!, [series[0]!])).toBeUndefined();
  });

  test('only photos of the same container, from the same side, are a series', () => {
    const side = photo('07', { view: 'side', unitId: 'u' });
    expect(seriesOf([...series, side, photo('08', { containerId: 'd' })], 'above', { id: 'c' })).toEqual(
      series,
    );
    expect(seriesOf([...series, side], 'side', { id: 'c' })).toEqual([side]);
  });
});

/** A look at two places: so many pixels of soil, and of leaf, in each. */
function look(...places: readonly (readonly [number, number])[]): Look {
  return {
    light: { brightness: 120, burntOut: 0, sharpness: 1 },
    foreshortening: 1,
    histograms: places.map(([soil, leaf]) => {
      const counts = new Uint32Array(BINS);
      counts[binOf(-0.02)] = soil;
      counts[binOf(0.5)] = leaf;
      return counts;
    }),
  };
}

describe('the cover of a series', () => {
  const container = { id: 'c', rows: 1, columns: 2 };
  const units = [
    { id: 'b', number: 2, containerId: 'c', row: 1, column: 2 },
    { id: 'a', number: 1, containerId: 'c', row: 1, column: 1 },
    { id: 'x', number: 3, containerId: 'd', row: 1, column: 1 },
  ];
  const experiment = { units } as unknown as ExperimentView;

  test('one threshold serves a bare day too, and each pot is measured in its own place', () => {
    const days = [look([1000, 0], [1000, 0]), look([600, 400], [900, 100])];
    const threshold = seriesThreshold([...days.map((day) => defined(day)), notDefined('too_dark')]);
    if (!threshold.defined) throw new Error(threshold.reason);
    const sharesOf = (day: Look) =>
      coversOf(experiment, container, day, threshold.value.at).map(({ unit, cover }) => [
        unit.number,
        cover.defined && cover.value.share,
      ]);
    expect(sharesOf(days[1]!)).toEqual([
      [2, 0.1],
      [1, 0.4],
    ]);
    expect(sharesOf(days[0]!)).toEqual([
      [2, 0],
      [1, 0],
    ]);
  });

  test('is kept of pots that were sown by then, and of no others', () => {
    const pot = (sownOn: string | null) => ({
      unit: { ...units[0], sownOn } as UnitView,
      cover: defined({ share: 0.3, low: 0.2, high: 0.4, threshold: 0.2, pixels: 100 }),
    });
    const day = photo('10');
    expect(isKeepable(day, pot('2026-11-10'))).toBe(true);
    expect(isKeepable(day, pot('2026-11-11'))).toBe(false);
    expect(isKeepable(day, pot(null))).toBe(false);
    expect(isKeepable(day, { ...pot('2026-11-01'), cover: notDefined('coloured_light') })).toBe(false);
  });

  test('a series in which nothing is green has no threshold', () => {
    expect(seriesThreshold([defined(look([1000, 0], [1000, 0]))])).toEqual({
      defined: false,
      reason: 'no_two_humps',
    });
  });
});

describe('a height from the side', () => {
  const size = { width: 1000, height: 1000 };

  test('follows the stem, and its bends make it longer', () => {
    const straight = stemLength(FIRST_MARKS, size, 60);
    if (!straight.defined) throw new Error(straight.reason);
    expect(straight.value.mm).toBeCloseTo(50, 9);
    expect([straight.value.rulerLeans, straight.value.isUneven]).toEqual([false, false]);
    const bent = stemLength([...FIRST_MARKS.slice(0, 6), 0.6, 0.6, 0.5, 0.35], size, 60);
    expect(bent.defined && bent.value.mm).toBeGreaterThan(53);
  });

  test('says that the ruler leans, and that soil and ruler are not level', () => {
    const leaning = stemLength([0.1, 0.85, 0.3, 0.25, 0.5, 0.6, 0.5, 0.35], size, 60);
    expect(leaning).toMatchObject({ value: { rulerLeans: true, isUneven: true } });
  });

  test('without a distance there is no scale', () => {
    expect(stemLength(FIRST_MARKS, size, 0)).toEqual({ defined: false, reason: 'marks_too_close' });
  });
});

test('the direction of a root is told from its marks alone', () => {
  const sideways = rootDirection([0.2, 0.5, 0.4, 0.5, 0.6, 0.5], { width: 800, height: 600 });
  expect(sideways.defined && sideways.value.degrees).toBeCloseTo(90, 9);
  expect(rootDirection([0.2, 0.5, 0.2, 0.5], { width: 800, height: 600 })).toEqual({
    defined: false,
    reason: 'too_few_points',
  });
});

describe('one pot from above', () => {
  const units = [
    { id: 'a', number: 1, containerId: 'c', row: 1, column: 1 },
    { id: 'b', number: 2, containerId: 'c', row: 2, column: 3 },
  ];
  const experiment = { units } as unknown as ExperimentView;

  test('is a place by itself, and its photos are not those of its container', () => {
    expect(potsIn(experiment, onePot('b'))).toEqual([{ unit: units[1], row: 1, column: 1 }]);
    expect(potsIn(experiment, { id: 'c', rows: 2, columns: 3 })).toHaveLength(2);
    const whole = photo('01');
    const alone = photo('02', { unitId: 'b' });
    expect(seriesOf([whole, alone], 'above', { id: 'c' })).toEqual([whole]);
    expect(seriesOf([whole, alone], 'above', onePot('b'))).toEqual([alone]);
  });
});

describe('the day that a photo proposes', () => {
  /** The least of a JPEG that says when it was taken. */
  function taken(day: string): Uint8Array<ArrayBuffer> {
    const text = new TextEncoder().encode(`${day} 10:00:00\0`);
    const tiff = new Uint8Array(44 + text.length);
    const view = new DataView(tiff.buffer);
    tiff.set([0x49, 0x49, 42, 0, 8, 0, 0, 0, 1, 0]);
    const entry = (at: number, tag: number, type: number, count: number, value: number): void => {
      view.setUint16(at, tag, true);
      view.setUint16(at + 2, type, true);
      view.setUint32(at + 4, count, true);
      view.setUint32(at + 8, value, true);
    };
    entry(10, 0x8769, 4, 1, 26);
    view.setUint16(26, 1, true);
    entry(28, 0x9003, 2, text.length, 44);
    tiff.set(text, 44);
    const length = 8 + tiff.length;
    const head = [0xff, 0xd8, 0xff, 0xe1, length >> 8, length & 255, 0x45, 0x78, 0x69, 0x66, 0, 0];
    return new Uint8Array([...head, ...tiff, 0xff, 0xd9]);
  }
  const file = (bytes: Uint8Array<ArrayBuffer>): File =>
    new File([bytes], 'a.jpg', { lastModified: Date.UTC(2026, 10, 24, 12) });

  test('is the camera’s own', async () => {
    expect(await photoDay(file(taken('2026:11:20')), '2026-11-28')).toEqual({
      day: '2026-11-20',
      isCamera: true,
    });
  });

  test('is that of the file where the camera wrote none, or one to come, and never after today', async () => {
    for (const bytes of [taken('2031:01:01'), new Uint8Array([1, 2, 3])]) {
      expect(await photoDay(file(bytes), '2026-11-28')).toEqual({ day: '2026-11-24', isCamera: false });
    }
    expect(await photoDay(file(new Uint8Array([1])), '2026-11-20')).toEqual({
      day: '2026-11-20',
      isCamera: false,
    });
  });
});
