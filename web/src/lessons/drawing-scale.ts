import { fromMillimetres, lengthText, type LengthScale, toMillimetres } from '@bright-sprout/core/shared';
import type { ValueStyle } from '@bright-sprout/core/words';

/** A mark of a scale drawn beside plants or under curves. */
export interface ScaleMark {
  /** In base units. */
  readonly value: number;
  /** Empty for a mark between two numbers. */
  readonly label: string;
}

/** A scale from 0 to a round top. */
export interface DrawingScale {
  readonly top: number;
  readonly marks: readonly ScaleMark[];
  /** In words for its end: `cm`. */
  readonly unit: string;
}

const STEPS = [1, 2, 5] as const;
const MOST_NUMBERS = 6;

/** The smallest of 1, 2, 5, 10, 20, 50 … that needs at most six numbers. */
function roundStep(reach: number): number {
  for (let power = 1; ; power *= 10) {
    for (const step of STEPS) if (reach / (step * power) <= MOST_NUMBERS) return step * power;
  }
}

/** A scale for values up to `most`, in the unit that the class reads: the same for every day, so that days compare. */
export function drawingScale(most: number, style: ValueStyle): DrawingScale {
  const scale: LengthScale | null = style.kind === 'length' ? style.scale : null;
  const reach = Math.max(1, scale ? fromMillimetres(most, scale.unit) : most);
  const step = roundStep(reach);
  const count = Math.max(1, Math.ceil(reach / step - 1e-9));
  const base = (amount: number): number => (scale ? toMillimetres(amount, scale.unit) : amount);
  const between = scale ? (step % 5 === 0 ? 5 : step === 2 ? 2 : scale.unit === 'in' ? 4 : 2) : 1;
  const marks = Array.from({ length: count * between + 1 }, (_, at): ScaleMark => {
    const amount = (step * at) / between;
    return { value: base(amount), label: at % between === 0 ? String(amount) : '' };
  });
  return {
    top: base(step * count),
    marks,
    unit: scale ? scale.unit : style.kind === 'number' ? style.unit : '',
  };
}

/** A height without its unit, which the ruler beside it has: `13.0`, `5¼`. */
export function bareHeight(value: number, style: ValueStyle): string {
  if (style.kind !== 'length') return String(Number(value.toFixed(2)));
  return lengthText(value, style.scale).replace(/\s?(cm|mm|in)$/, '');
}
