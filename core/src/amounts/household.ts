/** A volume in a kitchen's measures. */
export interface Household {
  readonly amount: number;
  readonly measure: 'cup' | 'tablespoon' | 'teaspoon';
}

const CUP_ML = 240;
const TABLESPOON_ML = 15;
const TEASPOON_ML = 5;

/**
 * A volume in cups of 240 mL, tablespoons of 15 mL or teaspoons of 5 mL, in quarters of a cup, halves of a spoon
 * or quarters of a teaspoon, rounded up so that it is enough.
 * @param ml ≥ 0
 */
export function householdOf(ml: number): Household {
  if (ml >= CUP_ML / 4) return { amount: upTo(ml / CUP_ML, 4), measure: 'cup' };
  if (ml >= TABLESPOON_ML) return { amount: upTo(ml / TABLESPOON_ML, 2), measure: 'tablespoon' };
  return { amount: upTo(ml / TEASPOON_ML, 4), measure: 'teaspoon' };
}

function upTo(amount: number, parts: number): number {
  return Math.ceil(amount * parts - 1e-9) / parts;
}
