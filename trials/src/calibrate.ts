import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  claimsOf,
  FALSE_CLAIMS,
  keptPromise,
  type OtherClaim,
  type PlannedDesign,
  type Rate,
  SHOWN_INTERVALS,
  type Situation,
} from '@bright-sprout/core/calibration';
import { undefinedWords } from '@bright-sprout/core/words';
import { ROOT } from '@bright-sprout/scripts';

const SEED = 20_281;

/** Designs by the number of levels of each factor. */
const DESIGNS: readonly Situation[] = [
  ...[2, 3, 4, 6, 8, 12].map((pots) => ({ levels: [2], pots })),
  ...[3, 4, 6, 8].flatMap((count) => [2, 3, 5].map((pots) => ({ levels: [count], pots }))),
  ...[3, 8].flatMap((count) => [3, 5].map((pots) => ({ levels: [count], pots, hasControl: false }))),
  ...[2, 3, 4].flatMap((count) => [3, 4, 6].map((pots) => ({ levels: [count], pots, hasBlocks: true }))),
  ...[
    [2, 2],
    [2, 3],
    [3, 3],
    [2, 2, 2],
  ].flatMap((levels) => [2, 3, 5].map((pots) => ({ levels, pots }))),
  ...[
    [2, 2],
    [2, 3],
  ].map((levels) => ({ levels, pots: 4, hasBlocks: true })),
  ...[3, 4, 6].flatMap((count) => [3, 5].map((pots) => ({ levels: [count], pots, areAmounts: true }))),
  { levels: [2], pots: 8, neverUp: () => 0.2 },
  { levels: [3], pots: 6, neverUp: () => 0.2 },
  { levels: [2], pots: 8, neverUp: () => 0.15, dies: () => 0.15 },
  { levels: [4], pots: 6, neverUp: () => 0.15, dies: () => 0.15 },
];

const WIDE_CV = 0.08;

/** Designs in which one treatment spreads so many times as much as the others. */
const UNEQUAL: readonly (Situation & { readonly name: string })[] = [
  ...[3, 4, 6, 12].map((pots) => ({
    name: `2 treatments of ${pots}, one × 4`,
    levels: [2],
    pots,
    spreads: [1, 4],
  })),
  { name: '2 treatments of 3 and 12, alike', levels: [2], pots: 3, potsOf: [3, 12] },
  { name: '2 treatments of 3 and 12, the few × 4', levels: [2], pots: 3, potsOf: [3, 12], spreads: [4, 1] },
  { name: '2 treatments of 3 and 12, the many × 4', levels: [2], pots: 3, potsOf: [3, 12], spreads: [1, 4] },
  { name: '2 treatments of 2 and 10, alike', levels: [2], pots: 2, potsOf: [2, 10] },
  ...[3, 5, 8, 12].flatMap((pots) =>
    [2, 3, 4].map((times) => ({
      name: `3 treatments of ${pots}, the control × ${times}`,
      levels: [3],
      pots,
      spreads: [times, 1, 1],
    })),
  ),
  ...[4, 8].map((pots) => ({
    name: `6 treatments of ${pots}, the last × 4`,
    levels: [6],
    pots,
    spreads: [1, 1, 1, 1, 1, 4],
  })),
  { name: '6 treatments of 4, the control × 4', levels: [6], pots: 4, spreads: [4, 1, 1, 1, 1, 1] },
  {
    name: '4 treatments of 4, no control, one × 4',
    levels: [4],
    pots: 4,
    hasControl: false,
    spreads: [1, 4, 1, 1],
  },
  ...[1, 2, 4].map((times) => ({
    name: `4 pots beside 10 and 10, the few × ${times}`,
    levels: [3],
    pots: 4,
    potsOf: [4, 10, 10],
    spreads: [times, 1, 1],
  })),
  {
    name: '3 pots beside 12 and 12, the few × 4',
    levels: [3],
    pots: 3,
    potsOf: [12, 12, 3],
    spreads: [1, 1, 4],
  },
  { name: '2 × 2 of 3, one combination × 4', levels: [2, 2], pots: 3, spreads: [1, 1, 1, 4] },
  { name: '2 × 2 of 5, one combination × 4', levels: [2, 2], pots: 5, spreads: [1, 1, 1, 4] },
  { name: '2 × 3 of 4, one combination × 4', levels: [2, 3], pots: 4, spreads: [1, 1, 1, 1, 1, 4] },
  {
    name: '3 treatments in 4 blocks, the control × 4',
    levels: [3],
    pots: 4,
    hasBlocks: true,
    spreads: [4, 1, 1],
  },
];

const PLANS: readonly PlannedDesign[] = [
  ...['oat', 'cress'].flatMap((crop) =>
    [[2], [3], [6], [2, 2], [2, 3]].flatMap((levels) =>
      [4, 8].map((pots) => ({
        levels,
        pots: levels.length > 1 ? pots / 2 : pots,
        crop,
        seeds: crop === 'oat' ? 3 : 1,
      })),
    ),
  ),
  ...[[2], [3], [2, 3]].map((levels) => ({ levels, pots: 5, hasBlocks: true, crop: 'oat', seeds: 3 })),
];

/** Measures how often words are false and promises kept; writes docs/calibration.md unless `--classes` is given. */
export function calibrate(args: readonly string[]): number {
  const at = args.indexOf('--classes');
  const classes = at < 0 ? 2000 : Number(args[at + 1]);
  const lines = [
    `| design | pots each | told of something, nothing there | intervals that hold the truth, all at once |`,
    '|---|---|---|---|',
  ];
  for (const design of DESIGNS) {
    const { told, cover } = claimsOf(design, classes, SEED);
    lines.push(`| ${nameOf(design)} | ${design.pots} | ${percent(told)} | ${percent(cover)} |`);
    console.log(lines.at(-1));
  }
  const unequal = [
    '| design | told of something, nothing there | intervals that hold the truth |',
    '|---|---|---|',
  ];
  for (const { name, ...design } of UNEQUAL) {
    const { told, cover } = claimsOf({ ...design, cv: WIDE_CV }, classes, SEED);
    unequal.push(`| ${name} | ${percent(told)} | ${percent(cover)} |`);
    console.log(unequal.at(-1));
  }
  const plans = [
    '| plan | pots each | promised taller | classes that saw it | promised shorter | classes that saw it |',
    '|---|---|---|---|---|---|',
  ];
  for (const plan of PLANS) {
    const kept = keptPromise(plan, classes);
    const cells = kept.defined
      ? [
          share(kept.value.more),
          percent(kept.value.seenMore),
          kept.value.less === null ? '–' : share(kept.value.less),
          kept.value.seenLess ? percent(kept.value.seenLess) : '–',
        ]
      : [undefinedWords(kept.reason), '', '', ''];
    plans.push(`| ${plan.crop}, ${nameOf(plan)} | ${plan.pots} | ${cells.join(' | ')} |`);
    console.log(plans.at(-1));
  }
  const others = othersOf('told of it', FALSE_CLAIMS, classes);
  const intervals = othersOf('held the truth', SHOWN_INTERVALS, classes);
  const tables = [lines, unequal, others, intervals, plans].map((table) => table.join('\n'));
  if (at < 0) writeFileSync(join(ROOT, 'docs', 'calibration.md'), page(classes, tables));
  return 0;
}

/** How often each of several claims was made, or each interval held the truth. */
function othersOf(head: string, claims: readonly OtherClaim[], classes: number): string[] {
  const table = [`| what | ${head} |`, '|---|---|'];
  for (const { name, rate } of claims) {
    table.push(`| ${name} | ${percent(rate(classes, SEED))} |`);
    console.log(table.at(-1));
  }
  return table;
}

function page(classes: number, [claims, unequal, others, intervals, plans]: readonly string[]): string {
  return `# Calibration

How often what a class reads is false, in ${classes} simulated classes a line (\`npm run calibrate\`; standard error of 5 in 100: ${(100 * Math.sqrt((0.05 * 0.95) / classes)).toFixed(1)}).

## With nothing to find

Plants treated alike differ by 22 % (SD ÷ mean, log-normal), blocks by 15 %, and are read in half centimetres. A class is told of something when any sentence of the answer says that treatments differ, that factors work together, or that more died or came up: the aim is 3 to 6 of 100. Intervals are those of all pairs that the answer compares, of each question in a crossed design, with an effect of 30 %: the aim is 93 to 97 of 100.

${claims}

## Treatments that spread unlike

The same, where plants treated alike differ by ${100 * WIDE_CV} %, and those of one treatment by two to four times as much. A treatment that looks more spread is judged by its own pots.

${unequal}

## Other claims with nothing to find

Counts and classes at 5 in 100, several classes by all their differences together; what stands beside the answer at half of 1 in 100; a whole page by anything that it tells as found.

${others}

## Intervals of 95 %

The truth is known as it was simulated; the aim is 93 to 97 of 100. Days are whole, so intervals of days hold more.

${intervals}

## What a plan promises

The design check says which plants, so much taller or shorter, 8 of 10 classes would see. Here classes are rehearsed with just that.

${plans}
`;
}

function nameOf({
  levels,
  hasBlocks,
  ...more
}: Pick<Situation, 'levels' | 'hasBlocks' | 'hasControl' | 'areAmounts' | 'neverUp' | 'dies'>): string {
  const parts = [
    levels.length > 1 ? levels.join(' × ') : `${levels[0]} ${more.areAmounts ? 'amounts' : 'treatments'}`,
    hasBlocks ? 'in blocks' : '',
    more.hasControl === false ? 'no control' : '',
    more.neverUp ? 'some never up' : '',
    more.dies ? 'some die' : '',
  ];
  return parts.filter(Boolean).join(', ');
}

function percent({ count, of }: Rate): string {
  return of === 0 ? 'none can judge' : `${((100 * count) / of).toFixed(1)} %`;
}

function share(value: number): string {
  return `${Math.round(100 * value)} %`;
}
