/** A volume in a kitchen's measures. */
export interface Household {
  readonly amount: number;
  readonly measure: 'cup' | 'tablespoon' | 'teaspoon';
}

const CUP_ML = 240;
const TABLESPOON_ML = 15;
const TEASPOON_ML = 5;

/** Parts of a cup, a tablespoon and a teaspoon that measures are sold in. */
const CUP_PARTS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1];
const TABLESPOON_PARTS = [0, 1 / 2, 1];
const TEASPOON_PARTS = [0, 1 / 4, 1 / 2, 3 / 4, 1];

/**
 * A volume in cups of 240 mL, tablespoons of 15 mL or teaspoons of 5 mL, in parts that measures are sold in: quarters
 * and thirds of a cup, halves of a tablespoon, quarters of a teaspoon; rounded up so that it is enough.
 * @param ml ≥ 0
 */
export function householdOf(ml: number): Household {
  if (ml >= CUP_ML / 4) return { amount: upTo(ml / CUP_ML, CUP_PARTS), measure: 'cup' };
  if (ml >= TABLESPOON_ML)
    return { amount: upTo(ml / TABLESPOON_ML, TABLESPOON_PARTS), measure: 'tablespoon' };
  return { amount: upTo(ml / TEASPOON_ML, TEASPOON_PARTS), measure: 'teaspoon' };
}

/** What a kitchen measure holds, in mL. */
export function householdMl({ amount, measure }: Household): number {
  return amount * { cup: CUP_ML, tablespoon: TABLESPOON_ML, teaspoon: TEASPOON_ML }[measure];
}

function upTo(amount: number, parts: readonly number[]): number {
  const whole = Math.floor(amount + 1e-9);
  const part = parts.find((one) => one >= amount - whole - 1e-9) ?? 1;
  return whole + part;
}
