import {
  type Corners,
  cornersOf,
  emptyPicture,
  homography,
  MARGIN,
  type Picture,
  type PlaceGrid,
  type Point,
  project,
} from '../imaging/index.ts';
import { type RandomGenerator, randomGenerator } from '../shared/index.ts';

/** How a camera of the simulation sees. */
export interface CameraSetting {
  readonly width: number;
  readonly height: number;
  /** Where the container's corners are in the picture, in pixels. */
  readonly corners: Corners;
  /** Light on the first and on the last column, 1 for what a camera wants. */
  readonly light: readonly [number, number];
  /** Factors of red, green and blue. */
  readonly tint: readonly [number, number, number];
  /** SD of a pixel's noise, of 255. */
  readonly noise: number;
}

/** A picture with what is truly in it. */
export interface Scene {
  readonly picture: Picture;
  /** Share of each place that leaves cover, without the place's margin; row by row. */
  readonly cover: () => number[];
}

/** How a camera that stands a little differently each day sees: light, tint and corners by chance. */
export function cameraOfADay(
  size: { width: number; height: number },
  chance: RandomGenerator,
): CameraSetting {
  const { width, height } = size;
  const near = (x: number, y: number): Point => ({
    x: width * (x + 0.008 * chance.normal()),
    y: height * (y + 0.008 * chance.normal()),
  });
  const corners = [near(0.104, 0.125), near(0.9, 0.117), near(0.925, 0.875), near(0.079, 0.883)] as const;
  const light = 0.8 + 0.3 * chance.uniform();
  return {
    ...size,
    corners,
    light: [light, light * (0.85 + 0.3 * chance.uniform())],
    tint: [1 + 0.05 * chance.normal(), 1, 1 + 0.05 * chance.normal()],
    noise: 4,
  };
}

/** Cover of a section that is full, and its growth a day at its fastest (logistic; see the growth model). */
const FULL_COVER = 0.66;
const COVER_RATE = 0.5;

/** About how much of a section of seedlings is green so many days after sowing. @param half age at half of it, in days */
export function coverAtAge(age: number, half: number): number {
  return FULL_COVER / (1 + Math.exp(-COVER_RATE * (age - half)));
}

type Colour = readonly [number, number, number];

interface Leaf {
  readonly x: number;
  readonly y: number;
  readonly along: number;
  readonly across: number;
  readonly cos: number;
  readonly sin: number;
  readonly colour: Colour;
}

const SOIL: Colour = [104, 80, 62];
const RIM: Colour = [176, 168, 154];
const TABLE: Colour = [150, 146, 140];
const LEAF: Colour = [74, 128, 48];
const OLD_LEAF: Colour = [112, 140, 58];

/** Width of a place's rim, of its side. */
const RIM_SHARE = 0.04;
/** Leaves of a plant overlap: so much more is drawn than is to be seen. */
const OVERLAP = 1.2;
const GOLDEN_ANGLE = Math.PI * (3 - Math.sqrt(5));
/** Points across and down a place at which the truth is counted. */
const TRUTH_POINTS = 160;
const GRAINS = 24;

/**
 * A container of seedlings as a camera above it sees it: soil with grains, rims, leaves by the golden angle, uneven and
 * coloured light, noise. The same seed draws the same plants.
 * @param wanted about which share of each place leaves should cover, row by row, 0 to 1
 */
export function drawScene(
  grid: PlaceGrid,
  wanted: readonly number[],
  camera: CameraSetting,
  seed: number,
): Scene {
  const plants = wanted.map((share, place) => plantOf(share, seed * 1000 + place));
  const flat = cornersOf(grid.columns, grid.rows);
  const map = homography(camera.corners, flat);
  if (!map.defined) throw new RangeError('the corners of a camera go round the container');
  const ground = { grid, plants, grain: grains(randomGenerator(seed)) };
  const noise = noiseOf(camera.noise, randomGenerator(seed + 1));
  const picture = emptyPicture(camera.width, camera.height);
  const { data } = picture;
  const [red, green, blue] = camera.tint;
  const [first, last] = camera.light;
  let at = 0;
  for (let y = 0; y < camera.height; y += 1) {
    for (let x = 0; x < camera.width; x += 1, at += 4) {
      const point = project(map.value, { x: x + 0.5, y: y + 0.5 });
      const light = first + (last - first) * Math.min(1, Math.max(0, point.x / grid.columns));
      const colour = colourAt(ground, point);
      const seen = colour === SOIL ? light * grainAt(ground, point) : light;
      data[at] = colour[0] * seen * red + (noise[at % noise.length] as number);
      data[at + 1] = colour[1] * seen * green + (noise[(at + 1) % noise.length] as number);
      data[at + 2] = colour[2] * seen * blue + (noise[(at + 2) % noise.length] as number);
      data[at + 3] = 255;
    }
  }
  return { picture, cover: () => plants.map(coverOf) };
}

interface Ground {
  readonly grid: PlaceGrid;
  readonly plants: readonly (readonly Leaf[])[];
  readonly grain: Float64Array;
}

function plantOf(share: number, seed: number): Leaf[] {
  if (share <= 0) return [];
  const chance = randomGenerator(seed);
  const count = 2 + 2 * Math.round(3 * Math.min(1, share * 2));
  const area = (share * OVERLAP) / count;
  return Array.from({ length: count }, (_, index) => {
    const angle = index * GOLDEN_ANGLE + chance.uniform() * 0.4;
    const size = area * (0.8 + 0.4 * chance.uniform());
    const along = Math.sqrt((size * 1.7) / Math.PI);
    const out = along * (0.75 + 0.35 * chance.uniform());
    return {
      x: 0.5 + out * Math.cos(angle),
      y: 0.5 + out * Math.sin(angle),
      along,
      across: size / Math.PI / along,
      cos: Math.cos(angle),
      sin: Math.sin(angle),
      colour: mixed(LEAF, OLD_LEAF, chance.uniform()),
    };
  });
}

function leafAt(leaves: readonly Leaf[], x: number, y: number): Leaf | undefined {
  for (const leaf of leaves) {
    const dx = x - leaf.x;
    const dy = y - leaf.y;
    const u = (dx * leaf.cos + dy * leaf.sin) / leaf.along;
    const v = (dy * leaf.cos - dx * leaf.sin) / leaf.across;
    if (u * u + v * v <= 1) return leaf;
  }
  return undefined;
}

function colourAt({ grid, plants }: Ground, { x, y }: Point): Colour {
  const column = Math.floor(x);
  const row = Math.floor(y);
  if (row < 0 || column < 0 || row >= grid.rows || column >= grid.columns) return TABLE;
  const inX = x - column;
  const inY = y - row;
  const leaf = leafAt(plants[row * grid.columns + column] as readonly Leaf[], inX, inY);
  if (leaf) return leaf.colour;
  return Math.min(inX, inY, 1 - inX, 1 - inY) < RIM_SHARE ? RIM : SOIL;
}

/** How bright the grain of soil at a point is. */
function grainAt({ grid, grain }: Ground, { x, y }: Point): number {
  const place = Math.floor(y) * grid.columns + Math.floor(x);
  const cell = Math.floor((y - Math.floor(y)) * GRAINS) * GRAINS + Math.floor((x - Math.floor(x)) * GRAINS);
  return grain[Math.abs(cell + 31 * place) % grain.length] as number;
}

function grains(chance: RandomGenerator): Float64Array {
  return Float64Array.from({ length: GRAINS * GRAINS }, () => 0.75 + 0.5 * chance.uniform());
}

function mixed(one: Colour, other: Colour, share: number): Colour {
  const between = (index: 0 | 1 | 2): number => one[index] + share * (other[index] - one[index]);
  return [between(0), between(1), between(2)];
}

/** Noise that is drawn once and used over again: its length is no multiple of a picture's width. */
function noiseOf(sd: number, chance: RandomGenerator): Float64Array {
  return Float64Array.from({ length: 10_007 }, () => sd * chance.normal());
}

function coverOf(leaves: readonly Leaf[]): number {
  let covered = 0;
  for (let row = 0; row < TRUTH_POINTS; row += 1) {
    for (let column = 0; column < TRUTH_POINTS; column += 1) {
      const x = MARGIN + ((column + 0.5) / TRUTH_POINTS) * (1 - 2 * MARGIN);
      const y = MARGIN + ((row + 0.5) / TRUTH_POINTS) * (1 - 2 * MARGIN);
      if (leafAt(leaves, x, y)) covered += 1;
    }
  }
  return covered / TRUTH_POINTS ** 2;
}
