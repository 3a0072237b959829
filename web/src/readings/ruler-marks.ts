import type { LengthScale } from '@bright-sprout/core/shared';

const LEAST_GAP = 4.5;
const LEAST_LABEL_GAP = 19;

/** Steps between numbers that people count in; each divides the lengths of the rulers. */
const NICE = [1, 2, 5, 10, 20, 50, 100, 200];

/** A mark of the drawn ruler. */
export interface RulerMark {
  /** In the ruler's unit. */
  readonly amount: number;
  /** Length of the line. */
  readonly reach: number;
  readonly label: string | undefined;
}

/**
 * The marks that fit: whole units always, the agreed step when there is room to see it.
 * @param length highest mark, in the ruler's unit
 * @param perUnit drawn size of one unit
 */
export function rulerMarks(scale: LengthScale, length: number, perUnit: number): RulerMark[] {
  const whole = scale.unit === 'mm' ? 10 : 1;
  const every = (NICE.find((count) => count * whole * perUnit >= LEAST_LABEL_GAP) ?? 500) * whole;
  const halves = whole / 2;
  const smallest =
    [scale.step, halves, whole].find((step) => step <= whole && step * perUnit >= LEAST_GAP) ?? every;
  const marks: RulerMark[] = [];
  for (let index = 0; index * smallest <= length + 1e-9; index += 1) {
    const amount = Number((index * smallest).toFixed(4));
    const isWhole = Math.abs(amount / whole - Math.round(amount / whole)) < 1e-9;
    const isHalf = Math.abs(amount / halves - Math.round(amount / halves)) < 1e-9;
    const isLabelled = Math.abs(amount / every - Math.round(amount / every)) < 1e-9;
    marks.push({
      amount,
      reach: isWhole ? 44 : isHalf ? 30 : 18,
      label: isLabelled ? String(amount) : undefined,
    });
  }
  return marks;
}

/** Lengths that a drawn ruler grows through, in its unit. */
const LENGTHS: Record<LengthScale['unit'], readonly number[]> = {
  cm: [10, 15, 20, 30, 60, 100, 200, 400, 800, 1600, 3000],
  mm: [100, 150, 200, 300, 600, 1000, 2000, 4000, 8000, 16_000, 30_000],
  in: [4, 6, 8, 12, 24, 40, 80, 200, 400, 800, 1200],
};

/** The shortest ruler that leaves room above `amount` (in the ruler's unit) to grow. */
export function rulerLength(scale: LengthScale, amount: number): number {
  const lengths = LENGTHS[scale.unit];
  return lengths.find((length) => length >= amount * 1.2) ?? (lengths.at(-1) as number);
}
