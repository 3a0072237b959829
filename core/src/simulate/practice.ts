import { type RandomGenerator, type LengthScale, nearestMark, toMillimetres } from '../shared/index.ts';

/** What makes a drawn ruler hard to read. */
export const PRACTICE_KINDS = ['plain', 'late_zero', 'bent', 'taller', 'inches'] as const;
export type PracticeKind = (typeof PRACTICE_KINDS)[number];

/** A point of a drawn stem in mm: `x` to the right of the soil's middle, `y` up from the soil. */
export interface StemPoint {
  readonly x: number;
  readonly y: number;
}

/** A plant beside a ruler to practise on. The answer is the length of the stem. Lengths in mm. */
export interface PracticeTask {
  readonly kind: PracticeKind;
  readonly scale: LengthScale;
  /** Length of the stem, on a mark of the ruler. */
  readonly trueMm: number;
  /** Blank wood between the ruler's end and its zero. */
  readonly zeroAtMm: number;
  /** Highest mark of the ruler; the plant may be taller. */
  readonly rulerMm: number;
  /** The stem from the soil to the growing tip. */
  readonly stem: readonly StemPoint[];
}

const CENTIMETRES: LengthScale = { unit: 'cm', step: 0.5 };
const INCHES: LengthScale = { unit: 'in', step: 0.25 };
const BENDS = 16;

/** Highest marks of a ruler, a short and a usual one, in its unit. */
const HIGHEST: Readonly<Record<LengthScale['unit'], { readonly short: number; readonly usual: number }>> = {
  mm: { short: 100, usual: 150 },
  cm: { short: 10, usual: 15 },
  in: { short: 4, usual: 6 },
};

/** What is practised at an age: the youngest read along straight stems, and inches are practised beside another unit. */
export function practiceKinds(isYoungest: boolean, { unit }: Pick<LengthScale, 'unit'>): PracticeKind[] {
  return PRACTICE_KINDS.filter(
    (kind) =>
      !(isYoungest && (kind === 'bent' || kind === 'inches')) && !(unit === 'in' && kind === 'inches'),
  );
}

/**
 * Draws a plant and a ruler of a kind; the same chance gives the same one.
 * @param own the ruler of the class, which all kinds but the one for inches are drawn on
 */
export function practiceTask(
  kind: PracticeKind,
  chance: RandomGenerator,
  own: LengthScale = CENTIMETRES,
): PracticeTask {
  const scale = kind === 'inches' ? INCHES : own;
  const { short, usual } = HIGHEST[scale.unit];
  const rulerMm = toMillimetres(kind === 'taller' ? short : usual, scale.unit);
  const [low, high] = kind === 'taller' ? [1.15, 1.7] : [0.2, 0.85];
  const wanted = rulerMm * (low + (high - low) * chance.uniform());
  const trueMm = toMillimetres(nearestMark(wanted, scale), scale.unit);
  return {
    kind,
    scale,
    trueMm,
    zeroAtMm: kind === 'late_zero' ? 4 + 6 * chance.uniform() : 0,
    rulerMm,
    stem: kind === 'bent' ? bentStem(trueMm, 0.5 + 0.5 * chance.uniform()) : straightStem(trueMm),
  };
}

function straightStem(lengthMm: number): StemPoint[] {
  return [
    { x: 0, y: 0 },
    { x: 0, y: lengthMm },
  ];
}

/**
 * A stem of a length that leans over by `turn` radians from soil to tip: short straight pieces, each turned a
 * little more than the one before, so that their lengths add up exactly.
 */
function bentStem(lengthMm: number, turn: number): StemPoint[] {
  const piece = lengthMm / BENDS;
  const points: StemPoint[] = [{ x: 0, y: 0 }];
  for (let index = 0; index < BENDS; index += 1) {
    const lean = (turn * 2 * index) / (BENDS - 1);
    const from = points[index] as StemPoint;
    points.push({ x: from.x + piece * Math.sin(lean), y: from.y + piece * Math.cos(lean) });
  }
  return points;
}
