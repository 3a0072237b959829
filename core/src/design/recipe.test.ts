import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { recipeOf } from './index.ts';

const parts = (medium: string): string[] =>
  recipeOf(medium).map(({ material, share }) => `${Math.round(1000 * share) / 10} % ${material}`);

describe('what a mix is made of', () => {
  test.each([
    ['potting mix', ['100 % potting mix']],
    ['half sand, half potting mix', ['50 % sand', '50 % potting mix']],
    ['Half sand and half potting mix', ['50 % sand', '50 % potting mix']],
    ['2 parts compost, 1 part sand', ['66.7 % compost', '33.3 % sand']],
    ['two parts of compost + one part of sand', ['66.7 % compost', '33.3 % sand']],
    ['potting mix with a third perlite', ['66.7 % potting mix', '33.3 % perlite']],
    ['25 % grit; coir', ['25 % grit', '75 % coir']],
    ['½ sand, ¼ coir, ¼ compost', ['50 % sand', '25 % coir', '25 % compost']],
    ['1.5 parts bark, 0.5 parts sand', ['75 % bark', '25 % sand']],
    // Names that say no parts, or more than a whole, are one material.
    ['coir and sand', ['100 % coir and sand']],
    ['sand with all of the rest, half clay, mix', ['100 % sand with all of the rest, half clay, mix']],
    ['two thirds sand, half clay, coir', ['100 % two thirds sand, half clay, coir']],
    ['0 parts sand, 0 parts clay', ['100 % 0 parts sand, 0 parts clay']],
    ['2 parts sand, coir', ['100 % 2 parts sand, coir']],
    ['', ['100 % ']],
  ])('%p', (medium, expected) => {
    expect(parts(medium)).toEqual(expected);
  });

  test('is a whole, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (medium) => {
        const recipe = recipeOf(medium);
        expect(recipe.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(recipe.every(({ share }) => share > 0 || recipe.length > 1)).toBe(true);
      }),
    );
  });
});
