export { describe, type Description, type Interval } from './describe.ts';
export { gamesHowellPair, type PairDifference } from './games-howell.ts';
export { type WelchAnova, welchAnova } from './welch-anova.ts';
export { type WelchT, welchT } from './welch-t.ts';
