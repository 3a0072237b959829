import { describe, expect, test } from '@jest/globals';
import { materialKind } from './materials.ts';

describe('what a material is', () => {
  test.each([
    ['acid', ['vinegar', 'White vinegar', 'lemon juice', 'lime juice', 'citric acid', 'cola', 'Lemon water']],
    [
      'alkali',
      [
        'antacid',
        'Antacid tablet',
        'anti-acid',
        'garden lime',
        'lime',
        'limestone',
        'wood ash',
        'ash',
        'baking soda',
        'bicarbonate',
        'chalk',
        'egg shells',
      ],
    ],
    ['salt', ['salt', 'sea salt', 'Salty water', 'road salt', 'salt water']],
    ['soap', ['soap', 'dish liquid', 'washing-up liquid', 'detergent']],
    ['bleach', ['bleach', 'hydrogen peroxide', 'drain cleaner', 'ammonia']],
    ['spirit', ['alcohol', 'hand gel']],
    ['feed', ['plant feed', 'fertilizer', 'fertiliser', 'seaweed feed', 'compost tea', 'manure']],
    [
      'plain',
      ['sand', 'coffee grounds', 'cold tea', 'sugar', 'perlite', 'compost', 'charcoal', 'Rice water'],
    ],
    ['unknown', ['blue powder', 'Grow-X', 'basalt', 'placid goo', 'sublime dust', '']],
  ] as const)('%s', (kind, names) => {
    for (const name of names) expect([name, materialKind(name)]).toEqual([name, kind]);
  });
});
