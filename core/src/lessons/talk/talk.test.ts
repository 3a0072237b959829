import { describe, expect, test } from '@jest/globals';
import { evenPot, type MadePot, madeClass } from '../testing.ts';
import { type TalkCode, talkPoints } from '../index.ts';

const repeat = (count: number, pot: (index: number) => MadePot): MadePot[] =>
  Array.from({ length: count }, (_, i) => pot(i));
const codes = (...args: Parameters<typeof madeClass>): TalkCode[] =>
  talkPoints(madeClass(...args)).map(({ code }) => code);
const point = (code: TalkCode, ...args: Parameters<typeof madeClass>) =>
  talkPoints(madeClass(...args)).find((one) => one.code === code);

/** Six pots that grow alike but for a little. */
const CALM = repeat(6, (i) => evenPot(i < 3 ? 'a' : 'b', 6, 3 + 0.3 * (i % 3) + (i < 3 ? 0 : 0.15)));

/** Each talking point with a class that raises it, and the smallest change to it that does not. */
const CASES: readonly (readonly [TalkCode, Parameters<typeof madeClass>, Parameters<typeof madeClass>])[] = [
  [
    'shrank',
    [[{ group: 'a', looks: { 8: 30, 10: 20 } }, ...CALM], 10],
    [[{ group: 'a', looks: { 8: 30, 10: 29 } }, ...CALM], 10],
  ],
  [
    'stood_still',
    [[{ group: 'a', looks: { 8: 30, 10: 30 } }, ...CALM], 10],
    [[{ group: 'a', looks: { 8: 30, 10: 31 } }, ...CALM], 10],
  ],
  [
    'slowed',
    [repeat(4, () => ({ group: 'a', looks: { 6: 10, 13: 80, 20: 100 } })), 20],
    [repeat(4, () => ({ group: 'a', looks: { 6: 10, 13: 80, 20: 120 } })), 20],
  ],
  [
    'sped_up',
    [repeat(4, () => ({ group: 'a', looks: { 6: 10, 13: 20, 20: 60 } })), 20],
    [repeat(4, () => ({ group: 'a', looks: { 6: 10, 13: 20, 20: 38 } })), 20],
  ],
  [
    'late_caught_up',
    [[...repeat(4, () => evenPot('a', 4, 3)), evenPot('a', 10, 8)], 20],
    [[...repeat(4, () => evenPot('a', 4, 3)), evenPot('a', 10, 2)], 20],
  ],
  [
    'early_fell_behind',
    [[...repeat(4, () => evenPot('a', 6, 4)), evenPot('a', 4, 1)], 20],
    [[...repeat(4, () => evenPot('a', 6, 4)), evenPot('a', 4, 6)], 20],
  ],
  [
    'far_from_rest',
    [[50, 51, 52, 53, 54, 90].map((value) => ({ group: 'a', looks: { 9: value } })), 9],
    [[50, 51, 52, 53, 54, 56].map((value) => ({ group: 'a', looks: { 9: value } })), 9],
  ],
  [
    'tie_tallest',
    [[40, 50, 50].map((value) => ({ group: 'a', looks: { 9: value } })), 9],
    [[40, 49, 50].map((value) => ({ group: 'a', looks: { 9: value } })), 9],
  ],
  [
    'same_height_apart',
    [
      [
        { group: 'a', looks: { 9: 50 } },
        { group: 'b', looks: { 9: 50 } },
      ],
      9,
    ],
    [
      [
        { group: 'a', looks: { 9: 50 } },
        { group: 'b', looks: { 9: 51 } },
      ],
      9,
    ],
  ],
  ['mark_passed', [CALM, 20, { mark: 40 }], [CALM, 20, { mark: 400 }]],
  ['mark_not_passed', [CALM, 20, { mark: 400 }], [CALM, 20, { mark: 40 }]],
  [
    'none_up',
    [repeat(3, () => ({ group: 'a', looks: { 4: 'not_emerged' } })), 4],
    [
      [
        ...repeat(3, (): MadePot => ({ group: 'a', looks: { 4: 'not_emerged' } })),
        { group: 'a', looks: { 4: 2 } },
      ],
      4,
    ],
  ],
  [
    'up_together',
    [
      repeat(4, (i) => ({ group: 'a', looks: { 4: 'not_emerged', 5: i === 0 ? 3 : 'not_emerged', 6: 5 } })),
      6,
    ],
    [
      [
        ...repeat(4, (): MadePot => ({ group: 'a', looks: { 6: 5 } })),
        { group: 'a', looks: { 6: 'not_emerged' } },
      ],
      6,
    ],
  ],
  [
    'up_spread',
    [[4, 5, 6, 9].map((age) => ({ group: 'a', looks: { [age]: 5, 10: 9 } })), 10],
    [[4, 5, 6, 8].map((age) => ({ group: 'a', looks: { [age]: 5, 10: 9 } })), 10],
  ],
  [
    'never_up',
    [[...CALM, { group: 'a', looks: { 20: 'not_emerged' } }], 20],
    [[...CALM, { group: 'a', looks: { 18: 'not_emerged' } }], 20],
  ],
  ['died', [[...CALM, { group: 'a', looks: { 20: 'dead' } }], 20], [CALM, 20]],
  ['removed', [[...CALM, { group: 'a', looks: { 20: 'removed' } }], 20], [CALM, 20]],
  [
    'packet_kept',
    [CALM, 20, { packet: { up: 30, sown: 40, rate: 0.8, isUnlike: false } }],
    [CALM, 20, { packet: { up: 8, sown: 9, rate: 0.8, isUnlike: false } }],
  ],
  [
    'packet_differed',
    [CALM, 20, { packet: { up: 10, sown: 40, rate: 0.8, isUnlike: true } }],
    [CALM, 20, { packet: { up: 30, sown: 40, rate: 0.8, isUnlike: false } }],
  ],
  [
    'later_than_usual',
    [CALM, 20, { usualDays: { min: 2, max: 5 } }],
    [CALM, 20, { usualDays: { min: 2, max: 6 } }],
  ],
  [
    'earlier_than_usual',
    [CALM, 20, { usualDays: { min: 7, max: 9 } }],
    [CALM, 20, { usualDays: { min: 6, max: 9 } }],
  ],
  [
    'overlap',
    [
      [10, 20, 30].flatMap((value) => [
        { group: 'a', looks: { 9: value } },
        { group: 'b', looks: { 9: value + 5 } },
      ]),
      9,
    ],
    [
      [10, 12, 14].flatMap((value) => [
        { group: 'a', looks: { 9: value } },
        { group: 'b', looks: { 9: value + 9 } },
      ]),
      9,
    ],
  ],
  [
    'apart',
    [
      [10, 12, 14].flatMap((value) => [
        { group: 'a', looks: { 9: value } },
        { group: 'b', looks: { 9: value + 9 } },
      ]),
      9,
    ],
    [
      [10, 14].flatMap((value) => [
        { group: 'a', looks: { 9: value } },
        { group: 'b', looks: { 9: value + 9 } },
      ]),
      9,
    ],
  ],
  [
    'few_pots',
    [
      [
        ...repeat(4, (i) => ({ group: 'a', looks: { 9: 20 + i } })),
        ...repeat(2, (i) => ({ group: 'b', looks: { 9: 30 + i } })),
      ],
      9,
    ],
    [
      [
        ...repeat(4, (i) => ({ group: 'a', looks: { 9: 20 + i } })),
        ...repeat(3, (i) => ({ group: 'b', looks: { 9: 30 + i } })),
      ],
      9,
    ],
  ],
  [
    'one_pot',
    [[{ group: 'a', looks: { 9: 20 } }], 9],
    [repeat(2, () => ({ group: 'a', looks: { 9: 20 } })), 9],
  ],
  [
    'spread_differs',
    [
      [
        ...[20, 30, 60].map((value) => ({ group: 'a', looks: { 9: value } })),
        ...[20, 25, 30].map((value) => ({ group: 'b', looks: { 9: value } })),
      ],
      9,
    ],
    [
      [
        ...[20, 30, 40].map((value) => ({ group: 'a', looks: { 9: value } })),
        ...[20, 25, 30].map((value) => ({ group: 'b', looks: { 9: value } })),
      ],
      9,
    ],
  ],
  [
    'middle_most',
    [
      [
        ['a', 20],
        ['b', 40],
        ['c', 10],
      ].map(([group, value]) => ({ group: String(group), looks: { 9: Number(value) } })),
      9,
      { isOrdered: true },
    ],
    [
      [
        ['a', 20],
        ['b', 40],
        ['c', 50],
      ].map(([group, value]) => ({ group: String(group), looks: { 9: Number(value) } })),
      9,
      { isOrdered: true },
    ],
  ],
  [
    'control_most',
    [
      [
        ['a', 40],
        ['b', 20],
      ].map(([group, value]) => ({ group: String(group), looks: { 9: Number(value) } })),
      9,
    ],
    [
      [
        ['a', 20],
        ['b', 40],
      ].map(([group, value]) => ({ group: String(group), looks: { 9: Number(value) } })),
      9,
    ],
  ],
  [
    'survivors_only',
    [[{ group: 'a', looks: { 9: 'dead' } }, { group: 'a', looks: { 9: 20 } }, ...CALM.slice(3)], 9],
    [
      [
        { group: 'a', looks: { 9: 'dead' } },
        ...repeat(3, (): MadePot => ({ group: 'a', looks: { 9: 20 } })),
        ...CALM.slice(3),
      ],
      9,
    ],
  ],
  [
    'nearer_the_light',
    [repeat(8, (i) => ({ group: 'a', looks: { 9: i < 4 ? 50 + i : 20 + i }, fromBright: i < 4 ? 0 : 2 })), 9],
    [repeat(8, (i) => ({ group: 'a', looks: { 9: 30 + (i % 4) * 9 }, fromBright: i < 4 ? 0 : 2 })), 9],
  ],
  [
    'ages_differ',
    [
      [
        { group: 'a', looks: { 9: 20 } },
        { group: 'b', looks: { 9: 20 }, sownAt: 3 },
      ],
      9,
    ],
    [
      [
        { group: 'a', looks: { 9: 20 } },
        { group: 'b', looks: { 9: 20 } },
      ],
      9,
    ],
  ],
  [
    'readers_differ',
    [[{ group: 'a', looks: { 9: [20, 24] } }], 9],
    [[{ group: 'a', looks: { 9: [20, 22] } }], 9],
  ],
  [
    'readers_agree',
    [repeat(3, () => ({ group: 'a', looks: { 9: [20, 21] } })), 9],
    [repeat(2, () => ({ group: 'a', looks: { 9: [20, 21] } })), 9],
  ],
  [
    'days_missed',
    [[{ group: 'a', looks: { 8: 20, 9: 20, 12: 25 } }], 12],
    [[{ group: 'a', looks: { 8: 20, 9: 20, 12: 25 } }], 12, { classDays: [] }],
  ],
  ['pots_not_read', [[...CALM, { group: 'a', looks: { 18: 20 } }], 20], [CALM, 20]],
  [
    'round_numbers',
    [repeat(20, (i) => ({ group: 'a', looks: { 9: i % 3 === 0 ? 13 : 20 } })), 9],
    [repeat(20, (i) => ({ group: 'a', looks: { 9: 20 + i } })), 9],
  ],
  [
    'guess_split',
    [
      CALM,
      20,
      {
        guesses: [
          { choice: 'a', guesses: 2 },
          { choice: 'b', guesses: 2 },
        ],
      },
    ],
    [
      CALM,
      20,
      {
        guesses: [
          { choice: 'a', guesses: 3 },
          { choice: 'b', guesses: 1 },
        ],
      },
    ],
  ],
];

describe('talking points', () => {
  test.each(CASES)('%s is raised by its data, and not without them', (code, raises, does_not) => {
    expect(codes(...raises)).toContain(code);
    expect(codes(...does_not)).not.toContain(code);
  });

  const CLEAR = repeat(10, (i) => ({ group: i < 5 ? 'a' : 'b', looks: { 9: (i < 5 ? 20 : 60) + i } }));
  const HAZY = repeat(10, (i) => ({ group: i < 5 ? 'a' : 'b', looks: { 9: 20 + ((i * 7) % 11) } }));
  const most = (choice: string) => ({
    guesses: [
      { choice, guesses: 6 },
      { choice: 'no difference', guesses: 2 },
    ],
  });

  test('a guess is held against a difference that can be told, never against one that cannot', () => {
    expect(codes(CLEAR, 9, most('b'))).toContain('guess_came_true');
    expect(codes(CLEAR, 9, most('a'))).toContain('guess_other');
    for (const choice of ['a', 'b', 'no difference']) {
      expect(codes(HAZY, 9, most(choice)).filter((code) => code.startsWith('guess_'))).toEqual([]);
    }
  });

  test('each is raised once at most, and every code is held above', () => {
    const found = codes(
      [...CALM, ...repeat(4, (i) => ({ group: 'a', looks: { 9: 5 + i, 20: 'dead' } }))],
      20,
    );
    expect(new Set(found).size).toBe(found.length);
    const held = new Set([...CASES.map(([code]) => code), 'guess_other', 'guess_came_true']);
    expect(held.size).toBe(39);
  });

  test.each([
    [
      'all dead in one treatment',
      [...repeat(3, (): MadePot => ({ group: 'a', looks: { 9: 'dead' } })), ...CALM.slice(3)],
    ],
    ['one pot', [evenPot('a', 6, 3)]],
    ['no pot was ever read', repeat(4, (): MadePot => ({ group: 'a', looks: {} }))],
    [
      'two crossed factors',
      repeat(18, (i) =>
        evenPot(`${['dry', 'wet', 'soaked'][i % 3]} · ${i % 2 ? 'sun' : 'shade'}`, 5 + (i % 2), 3 + (i % 3)),
      ),
    ],
    ['an age ladder', repeat(6, (i) => evenPot(`sown ${i}`, 6 + i, 3, 20, { sownAt: i }))],
    ['two pots a treatment', repeat(4, (i) => evenPot(i < 2 ? 'a' : 'b', 6, 3 + i))],
    [
      'every pot read by two',
      repeat(6, (i): MadePot => ({ group: i < 3 ? 'a' : 'b', looks: { 9: [20 + i, 21 + i], 20: [60, 61] } })),
    ],
    ['two hundred pots', repeat(200, (i) => evenPot(i % 2 ? 'a' : 'b', 4 + (i % 5), 3 + (i % 7) / 10))],
  ])('%s: nothing fails, and no figure is other than a number', (_, pots) => {
    for (const age of [0, 9, 20]) {
      const found = talkPoints(madeClass(pots, age));
      expect(JSON.stringify(found)).not.toMatch(/null|Infinity|NaN/);
    }
  });

  test('nothing about height is said of what is no height', () => {
    const found = codes(CLEAR, 9, { isHeight: false, ...most('a') });
    expect(
      found.filter((code) =>
        ['overlap', 'apart', 'guess_other', 'control_most', 'tie_tallest'].includes(code),
      ),
    ).toEqual([]);
  });

  test('a shrunk plant is named with what it was and is', () => {
    expect(point('shrank', [{ group: 'a', looks: { 8: 30, 10: 20 } }, ...CALM], 10)).toEqual({
      code: 'shrank',
      pot: 1,
      from: 30,
      to: 20,
    });
  });
});
