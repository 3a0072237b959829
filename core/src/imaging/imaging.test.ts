import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { randomGenerator, valueOr } from '../shared/index.ts';
import { cameraOfADay, drawScene } from '../simulate/index.ts';
import {
  containerShape,
  greenArea,
  MARGIN,
  angleFromDown,
  BLURRED,
  type Corners,
  cornersOf,
  distance,
  edgeReach,
  emptyPicture,
  excessGreen,
  foreshortening,
  gainsOf,
  greenCover,
  greenHistogram,
  greenMap,
  leaveOut,
  homography,
  LEFT_OUT,
  lengthAlong,
  lightOf,
  otsuThreshold,
  type Picture,
  placeArea,
  type Point,
  pooled,
  project,
  rectifiedSize,
  rectify,
  scaleOf,
  usableLight,
} from './index.ts';

interface Reference {
  readonly thresholds: readonly { seed: number; mean: number; cut: number; at: number; share: number }[];
  readonly maps: readonly { from: number[][]; to: number[][]; h: number[] }[];
  readonly length: { stem: number[][]; marks: number[][]; apartMm: number; mm: number; sdMm: number };
}

// Made by NumPy with core/reference/imaging.py.
const REFERENCE = JSON.parse(
  readFileSync(new URL('../../reference/imaging.json', import.meta.url), 'utf8'),
) as Reference;

const points = (rows: number[][]): Point[] => rows.map(([x = 0, y = 0]) => ({ x, y }));
const corners = (rows: number[][]): Corners => points(rows) as unknown as Corners;

/** The pixels of the reference, by the same generator. */
function pixelsOf(seed: number, count: number): Picture {
  let state = seed;
  const draw = (): number => {
    state = Number((1664525n * BigInt(state) + 1013904223n) % 4294967296n);
    return state;
  };
  const picture = emptyPicture(count, 1);
  for (let pixel = 0; pixel < count; pixel += 1) {
    const isLeaf = (draw() >>> 16) % 10 < (seed % 7) + 1;
    const base = isLeaf ? [74, 128, 48] : [104, 80, 62];
    base.forEach((channel, index) => {
      picture.data[pixel * 4 + index] = channel + ((draw() >>> 20) % 31) - 15;
    });
  }
  return picture;
}

describe('excess green', () => {
  test('exact cases: grey is 0, pure green 2, pure red −1, nearly black 0', () => {
    expect(excessGreen(90, 90, 90)).toBeCloseTo(0, 12);
    expect(excessGreen(0, 255, 0)).toBe(2);
    expect(excessGreen(255, 0, 0)).toBe(-1);
    expect(excessGreen(2, 9, 3)).toBe(0);
  });

  test.each(REFERENCE.thresholds)(
    'mean, threshold and share of drawing $seed as NumPy has them',
    ({ seed, mean, at, share }) => {
      const picture = pixelsOf(seed, 3000);
      let sum = 0;
      for (let pixel = 0; pixel < 3000; pixel += 1) {
        const [red = 0, green = 0, blue = 0] = picture.data.subarray(pixel * 4, pixel * 4 + 3);
        sum += excessGreen(red, green, blue);
      }
      expect(sum / 3000).toBeCloseTo(mean, 12);
      const counts = greenHistogram(greenMap(picture), { left: 0, top: 0, width: 3000, height: 1 });
      const threshold = otsuThreshold(counts);
      expect(threshold).toMatchObject({ defined: true, value: { at } });
      expect(greenCover(counts, at)).toMatchObject({ value: { share } });
    },
  );

  test('what was brushed out is counted nowhere', () => {
    const map = greenMap(pixelsOf(3, 100));
    map.bins.fill(LEFT_OUT, 0, 40);
    const counts = greenHistogram(map, { left: 0, top: 0, width: 100, height: 1 });
    expect(counts.reduce((sum, count) => sum + count, 0)).toBe(60);
    map.bins.fill(LEFT_OUT);
    const none = greenHistogram(map, { left: 0, top: 0, width: 100, height: 1 });
    expect(greenCover(none, 0.2)).toEqual({ defined: false, reason: 'no_values' });
  });
});

describe('perspective', () => {
  test.each(REFERENCE.maps)('a map as NumPy solves its eight equations', ({ from, to, h }) => {
    const map = homography(corners(from), corners(to));
    if (!map.defined) throw new Error(map.reason);
    map.value.forEach((value, index) => expect(value).toBeCloseTo(h[index] as number, 8));
    points(from).forEach((point, index) => {
      const [x = 0, y = 0] = to[index] ?? [];
      expect(distance(project(map.value, point), { x, y })).toBeLessThan(1e-8);
    });
  });

  test('there and back is where one was, and lines stay lines, for 200 random quadrilaterals', () => {
    const chance = randomGenerator(5);
    for (let round = 0; round < 200; round += 1) {
      const [from, to] = [cornersOf(400, 300), randomCorners(() => chance.uniform(), 900, 0.3)];
      const there = homography(from, to);
      const back = homography(to, from);
      if (!there.defined || !back.defined) throw new Error('convex by the way they are made');
      const p = { x: 400 * chance.uniform(), y: 300 * chance.uniform() };
      const q = { x: 400 * chance.uniform(), y: 300 * chance.uniform() };
      const between = { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
      const [a, b, c] = [p, q, between].map((point) => project(there.value, point)) as [Point, Point, Point];
      expect(distance(project(back.value, a), p)).toBeLessThan(1e-6);
      const off = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
      expect(Math.abs(off) / distance(a, b)).toBeLessThan(1e-6);
    }
  });

  test('corners that cross, or lie on a line, are refused', () => {
    const [a, b, c, d] = cornersOf(10, 10);
    expect(homography([a, c, b, d], cornersOf(5, 5))).toEqual({ defined: false, reason: 'corners_cross' });
    const line = [0, 1, 2, 3].map((x) => ({ x, y: x })) as unknown as Corners;
    expect(homography(line, cornersOf(5, 5))).toEqual({ defined: false, reason: 'corners_cross' });
  });

  test('from straight above nothing is foreshortened; far from the side is refused', () => {
    expect(foreshortening(cornersOf(40, 30))).toBe(1);
    const [a, b] = cornersOf(90, 30);
    const slanted: Corners = [
      { x: 30, y: 0 },
      { x: 60, y: 0 },
      { x: 90, y: 30 },
      { x: 0, y: 30 },
    ];
    expect(foreshortening(slanted)).toBe(3);
    expect(a.x).toBeLessThan(b.x);
    expect(rectify(emptyPicture(90, 30), slanted, { width: 9, height: 9 })).toEqual({
      defined: false,
      reason: 'too_oblique',
    });
  });
});

/** Corners of a container of some size, each moved in by up to a share of it. */
function randomCorners(uniform: () => number, size: number, most: number): Corners {
  const inward = (): number => uniform() * most * size;
  return [
    { x: inward(), y: inward() },
    { x: size - inward(), y: inward() },
    { x: size - inward(), y: size - inward() },
    { x: inward(), y: size - inward() },
  ];
}

const GRID = { rows: 2, columns: 3 };
const SIZE = { width: 400, height: 300 };

function sceneOf(seed: number, change: Partial<Parameters<typeof drawScene>[2]> = {}) {
  const chance = randomGenerator(seed);
  const near = (x: number, y: number): Point => ({
    x: 0.625 * x + 26 * chance.uniform() - 13,
    y: 0.625 * y + 20 * chance.uniform() - 10,
  });
  const camera = {
    ...SIZE,
    corners: [near(60, 50), near(580, 50), near(600, 430), near(40, 430)] as unknown as Corners,
    light: [0.7 + 0.5 * chance.uniform(), 0.7 + 0.5 * chance.uniform()] as const,
    tint: [0.92 + 0.16 * chance.uniform(), 1, 0.92 + 0.16 * chance.uniform()] as const,
    noise: 2 + 6 * chance.uniform(),
    ...change,
  };
  const wanted = Array.from({ length: 6 }, () => 0.03 + 0.5 * chance.uniform());
  const { picture, cover } = drawScene(GRID, wanted, camera, seed);
  return { picture, cover: cover(), corners: camera.corners };
}

/** Cover of each place as the page measures it: one threshold for the whole picture. */
function measured({ picture, corners: marked }: { picture: Picture; corners: Corners }) {
  const size = rectifiedSize(GRID);
  const flat = rectify(picture, marked, { width: size.width / 5, height: size.height / 5 });
  if (!flat.defined) return flat;
  const light = usableLight(lightOf(flat.value, { left: 0, top: 0, ...dimensions(flat.value) }));
  if (!light.defined) return light;
  const map = greenMap(flat.value);
  const counts = [1, 2].flatMap((row) =>
    [1, 2, 3].map((column) => greenHistogram(map, placeArea(flat.value, GRID, { row, column }, 0.06))),
  );
  const threshold = otsuThreshold(pooled(counts));
  if (!threshold.defined) return threshold;
  const covers = counts.map((count) => greenCover(count, threshold.value.at));
  return covers.find((cover) => !cover.defined) ?? { defined: true as const, value: covers };
}

const dimensions = ({ width, height }: Picture) => ({ width, height });

describe('a container of known size', () => {
  test.each([
    [
      { rows: 3, columns: 4 },
      { acrossMm: 420, downMm: 180 },
    ],
    [
      { rows: 1, columns: 6 },
      { acrossMm: 300, downMm: 400 },
    ],
    [
      { rows: 10, columns: 2 },
      { acrossMm: 90, downMm: 95 },
    ],
    [
      { rows: 1, columns: 1 },
      { acrossMm: 60, downMm: 60 },
    ],
  ])('of %j, %j has square pixels and whole places', (grid, size) => {
    const { width, height } = rectifiedSize(grid, size);
    expect([width % grid.columns, height % grid.rows]).toEqual([0, 0]);
    expect(Math.max(width, height)).toBeLessThanOrEqual(1600);
    const pixelsToMm = [width / size.acrossMm, height / size.downMm];
    expect(Math.abs(pixelsToMm[0]! / pixelsToMm[1]! - 1)).toBeLessThan(0.03);
    expect(containerShape(grid, size)).toBeCloseTo(size.acrossMm / size.downMm, 12);
  });

  test('a square of 50 mm on its floor is a square of 50 mm, however the camera leans', () => {
    const size = { acrossMm: 420, downMm: 180 };
    const flat = rectifiedSize({ rows: 3, columns: 4 }, size);
    const camera = homography(cornersOf(size.acrossMm, size.downMm), [
      { x: 210, y: 140 },
      { x: 1490, y: 90 },
      { x: 1600, y: 760 },
      { x: 120, y: 690 },
    ]);
    if (!camera.defined) throw new Error(camera.reason);
    const seen = cornersOf(size.acrossMm, size.downMm).map((corner) =>
      project(camera.value, corner),
    ) as unknown as Corners;
    const back = homography(seen, cornersOf(flat.width, flat.height));
    if (!back.defined) throw new Error(back.reason);
    const [a, b, , d] = [
      [100, 60],
      [150, 60],
      [150, 110],
      [100, 110],
    ].map(([x, y]) => project(back.value, project(camera.value, { x: x!, y: y! })));
    expect((distance(a!, b!) * size.acrossMm) / flat.width).toBeCloseTo(50, 6);
    expect((distance(a!, d!) * size.downMm) / flat.height).toBeCloseTo(50, 6);
  });

  test('without a size places are square; green is that share of what is looked at of a place', () => {
    expect(rectifiedSize({ rows: 2, columns: 6 })).toEqual({ width: 1596, height: 532 });
    expect(containerShape({ rows: 2, columns: 6 }, null)).toBe(3);
    const place = 70 * 60 * (1 - 2 * MARGIN) ** 2;
    const size = { acrossMm: 420, downMm: 180 };
    expect(greenArea(0.25, { rows: 3, columns: 6 }, size)).toBeCloseTo(0.25 * place, 9);
  });
});

describe('green cover of drawn containers', () => {
  test('within 1.5 points of the truth over 80 scenes of varied light and corners', () => {
    let worst = 0;
    let refused = 0;
    for (let seed = 1; seed <= 80; seed += 1) {
      const scene = sceneOf(seed);
      const result = measured(scene);
      if (!result.defined) {
        refused += 1;
        continue;
      }
      if (!('value' in result) || !Array.isArray(result.value)) throw new Error('covers');
      result.value.forEach((cover, place) => {
        const share = valueOr(cover as { defined: true; value: { share: number } }, { share: NaN }).share;
        worst = Math.max(worst, Math.abs(share - (scene.cover[place] as number)));
      });
    }
    expect(worst).toBeLessThan(0.015);
    expect(refused).toBeLessThanOrEqual(2);
  });

  test.each([
    ['too dark', { light: [0.12, 0.3] as const, noise: 8 }],
    ['too bright', { light: [2.6, 3.4] as const }],
    ['lit green', { tint: [0.6, 1.3, 0.6] as const }],
    ['lit for growing', { tint: [1.2, 0.45, 1.1] as const }],
  ])('refused in at least nine of ten scenes that are %s', (_, change) => {
    let refused = 0;
    for (let seed = 1; seed <= 20; seed += 1) if (!measured(sceneOf(seed, change)).defined) refused += 1;
    expect(refused).toBeGreaterThanOrEqual(18);
  });

  test('a grey patch makes up for green light', () => {
    const scene = sceneOf(4, { tint: [0.6, 1.3, 0.6] });
    const table = { left: 3, top: 3, width: 14, height: 8 };
    const gains = gainsOf(scene.picture, table);
    const flat = rectify(scene.picture, scene.corners, { width: 480, height: 320 });
    if (!flat.defined) throw new Error(flat.reason);
    const counts = greenHistogram(
      greenMap(flat.value, gains),
      placeArea(flat.value, GRID, { row: 1, column: 1 }, 0.06),
    );
    const threshold = otsuThreshold(counts);
    if (!threshold.defined) throw new Error(threshold.reason);
    const cover = greenCover(counts, threshold.value.at);
    expect(Math.abs((cover.defined ? cover.value.share : NaN) - (scene.cover[0] as number))).toBeLessThan(
      0.02,
    );
  });

  test.each([0.05, 0.3, 0.6])(
    'a picture smeared over 6 %% of a place is told from a sharp one, cover %p',
    (cover) => {
      const camera = cameraOfADay({ width: 480, height: 360 }, randomGenerator(3));
      const { picture } = drawScene(GRID, new Array<number>(6).fill(cover), camera, 5);
      const sharpness = (seen: Picture): number => {
        const flat = rectify(seen, camera.corners, rectifiedSize(GRID));
        if (!flat.defined) throw new Error(flat.reason);
        const whole = { left: 0, top: 0, ...dimensions(flat.value) };
        return lightOf(flat.value, whole, edgeReach(flat.value, GRID)).sharpness;
      };
      expect(sharpness(picture)).toBeGreaterThan(10 * BLURRED);
      expect(sharpness(smeared(smeared(picture, 4), 4))).toBeLessThan(BLURRED);
    },
  );

  test('nothing up: a picture by itself is refused, and is 0 with the threshold of its series', () => {
    const bare = drawScene(GRID, [0, 0, 0, 0, 0, 0], cameraAbove(), 3);
    const flat = rectify(bare.picture, cameraAbove().corners, { width: 300, height: 200 });
    if (!flat.defined) throw new Error(flat.reason);
    const counts = greenHistogram(greenMap(flat.value), { left: 20, top: 20, width: 60, height: 60 });
    expect(otsuThreshold(counts)).toEqual({ defined: false, reason: 'no_two_humps' });
    expect(greenCover(counts, 0.25)).toMatchObject({ value: { share: 0, low: 0 } });
  });
});

/** Each pixel the mean of those up to `reach` away, across and down. */
function smeared({ width, height, data }: Picture, reach: number): Picture {
  let from = data;
  for (const [across, down] of [
    [4, 0],
    [0, 4 * width],
  ] as const) {
    const to = new Uint8ClampedArray(from.length);
    for (let at = 0; at < from.length; at += 1) {
      let sum = 0;
      for (let step = -reach; step <= reach; step += 1)
        sum += from[at + step * (across + down)] ?? from[at] ?? 0;
      to[at] = sum / (2 * reach + 1);
    }
    from = to;
  }
  return { width, height, data: from };
}

function cameraAbove() {
  return {
    ...SIZE,
    corners: [
      { x: 30, y: 30 },
      { x: 370, y: 30 },
      { x: 370, y: 270 },
      { x: 30, y: 270 },
    ] as Corners,
    light: [1, 1] as const,
    tint: [1, 1, 1] as const,
    noise: 3,
  };
}

describe('length from marks', () => {
  test('length and error as a million throws have them', () => {
    const { stem, marks, apartMm, mm, sdMm } = REFERENCE.length;
    const [first, second] = points(marks) as [Point, Point];
    const scale = scaleOf(first, second, apartMm);
    if (!scale.defined) throw new Error(scale.reason);
    const length = lengthAlong(points(stem), scale.value);
    if (!length.defined) throw new Error(length.reason);
    expect(length.value.mm).toBeCloseTo(mm, 9);
    expect(Math.abs(length.value.sdMm / sdMm - 1)).toBeLessThan(0.01);
    expect(scale.value.tilt).toBeCloseTo(0.3819, 3);
  });

  test('a stem drawn on paper is as long as it was after the camera leaned', () => {
    const chance = randomGenerator(11);
    for (let round = 0; round < 50; round += 1) {
      const seen = homography(
        cornersOf(400, 400),
        randomCorners(() => chance.uniform(), 800, 0.1),
      );
      if (!seen.defined) throw new Error(seen.reason);
      const flat = points([
        [200, 380],
        [210, 250],
        [190, 120],
      ]);
      const back = homography(
        cornersOf(400, 400).map((corner) => project(seen.value, corner)) as unknown as Corners,
        cornersOf(400, 400),
      );
      if (!back.defined) throw new Error(back.reason);
      const found = flat.map((point) => project(back.value, project(seen.value, point)));
      const scale = scaleOf({ x: 0, y: 0 }, { x: 0, y: 100 }, 50);
      if (!scale.defined) throw new Error(scale.reason);
      const length = lengthAlong(found, scale.value);
      expect(length).toMatchObject({ defined: true });
      if (length.defined)
        expect(length.value.mm).toBeCloseTo((Math.hypot(10, 130) + Math.hypot(20, 130)) / 2, 6);
    }
  });

  test('marks too close, one point only, and a root that turned round', () => {
    expect(scaleOf({ x: 0, y: 0 }, { x: 0, y: 9 }, 10)).toEqual({
      defined: false,
      reason: 'marks_too_close',
    });
    const scale = { mmPerPixel: 1, pixels: 100, tilt: 0 };
    expect(lengthAlong([{ x: 1, y: 1 }], scale)).toEqual({ defined: false, reason: 'too_few_points' });
    expect(
      angleFromDown(
        points([
          [0, 0],
          [0, 9],
        ]),
      ),
    ).toMatchObject({ value: { degrees: 0 } });
    expect(
      angleFromDown(
        points([
          [0, 0],
          [9, 0],
        ]),
      ),
    ).toMatchObject({ value: { degrees: 90 } });
    expect(
      angleFromDown(
        points([
          [0, 9],
          [0, 0],
        ]),
      ),
    ).toMatchObject({ value: { degrees: 180 } });
  });

  test('the error of an angle is that of picking its two ends, by a hundred thousand throws', () => {
    const random = randomGenerator(11);
    const ends = [
      { x: 100, y: 100 },
      { x: 130, y: 160 },
    ] as const;
    const found = valueOr(angleFromDown(ends), undefined);
    const thrown = Array.from({ length: 100_000 }, () => {
      const [a, b] = ends.map(({ x, y }) => ({ x: x + random.normal(), y: y + random.normal() }));
      return valueOr(angleFromDown([a!, b!]), undefined)!.degrees - found!.degrees;
    });
    const sd = Math.sqrt(thrown.reduce((sum, one) => sum + one ** 2, 0) / thrown.length);
    expect(sd / found!.sdDegrees).toBeGreaterThan(0.98);
    expect(sd / found!.sdDegrees).toBeLessThan(1.02);
  });
});

describe('what a brush leaves out', () => {
  const whole = { left: 0, top: 0, width: 200, height: 100 };
  const green = () => {
    const picture = emptyPicture(200, 100);
    for (let at = 0; at < picture.data.length; at += 4) picture.data.set([60, 160, 50, 255], at);
    return greenMap(picture);
  };
  const leftOutOf = (map: ReturnType<typeof green>): number =>
    map.bins.reduce((sum, bin) => sum + (bin === LEFT_OUT ? 1 : 0), 0);

  test('is a disc for a dab, and a band with round ends for a stroke', () => {
    const dab = green();
    leaveOut(dab, [{ thickness: 0.2, points: [0.5, 0.5] }]);
    expect(leftOutOf(dab) / (Math.PI * 20 ** 2)).toBeCloseTo(1, 1);
    const band = green();
    leaveOut(band, [{ thickness: 0.1, points: [0.2, 0.5, 0.8, 0.5] }]);
    expect(leftOutOf(band) / (120 * 20 + Math.PI * 10 ** 2)).toBeCloseTo(1, 1);
  });

  test('counts neither as plant nor as soil, also beyond the edge, and none changes nothing', () => {
    const map = green();
    const before = greenHistogram(map, whole).reduce((sum, one) => sum + one, 0);
    leaveOut(map, []);
    expect(leftOutOf(map)).toBe(0);
    leaveOut(map, [{ thickness: 0.5, points: [0, 0, 1, 0] }]);
    const after = greenHistogram(map, whole).reduce((sum, one) => sum + one, 0);
    expect(before - after).toBe(leftOutOf(map));
    expect(leftOutOf(map)).toBe(200 * 50);
  });
});
