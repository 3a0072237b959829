/** A part of a mix, by volume. */
export interface RecipePart {
  readonly material: string;
  /** Share of the whole, 0–1. */
  readonly share: number;
}

const FRACTIONS: Record<string, number> = {
  ...{ '½': 1 / 2, half: 1 / 2, 'a half': 1 / 2 },
  ...{ '⅓': 1 / 3, 'a third': 1 / 3, 'one third': 1 / 3, '⅔': 2 / 3, 'two thirds': 2 / 3 },
  ...{ '¼': 1 / 4, 'a quarter': 1 / 4, 'one quarter': 1 / 4, '¾': 3 / 4, 'three quarters': 3 / 4 },
};
const NUMBERS: Record<string, number> = { one: 1, two: 2, three: 3, four: 4, five: 5 };

const BETWEEN = /\s*(?:,|;|\+|\band\b|\bwith\b)\s*/i;
const PART = new RegExp(
  `^(?:(\\d+(?:\\.\\d+)?)\\s*(%)?|(${Object.keys(FRACTIONS).join('|')})|(${Object.keys(NUMBERS).join('|')})(?=\\s+parts?\\b))\\s*(?:parts?\\b)?\\s*(?:of\\s+)?(?:the\\s+)?(\\S.*)$`,
  'i',
);

interface Measured {
  readonly material: string;
  readonly amount: number;
  readonly isShare: boolean;
}

function measured(text: string): Measured | string {
  const found = PART.exec(text);
  if (!found) return text;
  const [, number, percent, fraction, word, material = ''] = found;
  if (fraction !== undefined)
    return { material, amount: FRACTIONS[fraction.toLowerCase()] as number, isShare: true };
  if (word !== undefined) return { material, amount: NUMBERS[word.toLowerCase()] as number, isShare: false };
  const amount = Number(number);
  return percent ? { material, amount: amount / 100, isShare: true } : { material, amount, isShare: false };
}

/**
 * What a mix is made of, by volume, as its name says it: `half sand, half potting mix`, `2 parts compost, 1 part sand`,
 * `potting mix with a third perlite`. A name that says no parts is one material.
 */
export function recipeOf(medium: string): RecipePart[] {
  const whole = [{ material: medium.trim(), share: 1 }];
  const pieces = medium.trim().split(BETWEEN).filter(Boolean);
  if (pieces.length < 2) return whole;
  const parts = pieces.map(measured);
  const said = parts.filter((part) => typeof part !== 'string');
  const rest = parts.filter((part) => typeof part === 'string');
  const sum = said.reduce((total, { amount }) => total + amount, 0);
  const areShares = said.every(({ isShare }) => isShare);
  if (said.length === 0 || rest.length > 1 || !(sum > 0)) return whole;
  if (rest.length === 1 && (!areShares || sum >= 1)) return whole;
  const total = rest.length === 1 ? 1 : sum;
  return parts.map((part) =>
    typeof part === 'string'
      ? { material: part, share: 1 - sum }
      : { material: part.material, share: part.amount / total },
  );
}
