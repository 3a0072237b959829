import { describe } from '../../statistics/index.ts';
import { type MeasuredPlant, measured } from '../plant-on-day.ts';
import type { TalkFacts, TalkRule } from './talk-facts.ts';

interface Found {
  readonly id: string;
  readonly isControl: boolean;
  readonly plants: readonly MeasuredPlant[];
  readonly low: number;
  readonly high: number;
  readonly mean: number;
}

/** Groups that have a plant with a value, in plan order. */
function found({ groups, plants }: TalkFacts): Found[] {
  const all = measured(plants);
  return groups.flatMap(({ id, isControl }) => {
    const own = all.filter(({ unit }) => unit.groupId === id).sort((a, b) => a.value - b.value);
    const { min, max, mean } = describe(own.map(({ value }) => value));
    return min.defined && max.defined && mean.defined
      ? [{ id, isControl, plants: own, low: min.value, high: max.value, mean: mean.value }]
      : [];
  });
}

/** The two groups that the comparison speaks of first: the lower mean and the higher. */
function leading(facts: TalkFacts): { low: Found; high: Found } | undefined {
  const { comparison } = facts;
  const pair = comparison?.mainPair == null ? undefined : comparison.pairs[comparison.mainPair];
  const groups = found(facts);
  const first = groups.find(({ id }) => id === pair?.firstId);
  const second = groups.find(({ id }) => id === pair?.secondId);
  if (!facts.isHeight || !first || !second || first.mean === second.mean) return undefined;
  return first.mean < second.mean ? { low: first, high: second } : { low: second, high: first };
}

/** A plant of the group with the lower average is taller than one of the group with the higher. */
export const overlap: TalkRule = (facts) => {
  const two = leading(facts);
  const tallest = two?.low.plants.at(-1);
  const shortest = two?.high.plants[0];
  if (!two || !tallest || !shortest || tallest.value - shortest.value < facts.step / 2) return undefined;
  return {
    code: 'overlap',
    pot: tallest.unit.number,
    groupId: two.low.id,
    other: shortest.unit.number,
    otherGroupId: two.high.id,
  };
};

const LEAST_APART = 3;

/** Every plant of one group is taller than every plant of the other. */
export const apart: TalkRule = (facts) => {
  const two = leading(facts);
  if (!two || Math.min(two.low.plants.length, two.high.plants.length) < LEAST_APART) return undefined;
  return two.high.low - two.low.high >= facts.step / 2
    ? { code: 'apart', lowId: two.low.id, highId: two.high.id }
    : undefined;
};

const FEW = 2;

/** A group of which one or two plants have a value, beside others. */
export const fewPots: TalkRule = (facts) => {
  const groups = found(facts);
  if (groups.length < 2) return undefined;
  const [fewest] = [...groups].sort((a, b) => a.plants.length - b.plants.length);
  return fewest && fewest.plants.length <= FEW
    ? { code: 'few_pots', groupId: fewest.id, pots: fewest.plants.length }
    : undefined;
};

/** The experiment has one pot. */
export const onePot: TalkRule = ({ units }) => {
  const [only] = units;
  return only && units.length === 1 ? { code: 'one_pot', pot: only.number } : undefined;
};

const TWICE = 2;

/** The plants of one group differ more than twice as much as those of another, from the shortest to the tallest. */
export const spreadDiffers: TalkRule = (facts) => {
  if (!facts.isHeight) return undefined;
  const groups = found(facts)
    .filter(({ plants }) => plants.length >= LEAST_APART)
    .sort((a, b) => b.high - b.low - (a.high - a.low));
  const [wide, narrow] = [groups[0], groups.at(-1)];
  if (!wide || !narrow || wide === narrow) return undefined;
  const isWide = wide.high - wide.low > TWICE * Math.max(narrow.high - narrow.low, facts.step);
  return isWide ? { code: 'spread_differs', wideId: wide.id, narrowId: narrow.id } : undefined;
};

/** Of amounts in order, the highest average is at neither end. */
export const middleMost: TalkRule = (facts) => {
  const groups = found(facts);
  if (!facts.isHeight || !facts.isOrdered || groups.length < LEAST_APART) return undefined;
  const top = groups.reduce((a, b) => (b.mean > a.mean ? b : a));
  return top !== groups[0] && top !== groups.at(-1) ? { code: 'middle_most', groupId: top.id } : undefined;
};

/** The plants to compare with have the highest average. */
export const controlMost: TalkRule = (facts) => {
  const groups = found(facts);
  const [top, next] = [...groups].sort((a, b) => b.mean - a.mean);
  return facts.isHeight && top?.isControl && next && top.mean - next.mean >= facts.step / 2
    ? { code: 'control_most', groupId: top.id }
    : undefined;
};

const LOST_SHARE = 1 / 3;

/** A group that lost a third of its pots or more: those that are left speak for it. */
export const survivorsOnly: TalkRule = (facts) => {
  for (const { id } of facts.groups) {
    const own = facts.plants.filter(({ unit }) => unit.groupId === id);
    const gone = own.filter(({ plant }) => plant.state === 'dead').length;
    const left = own.length - gone;
    if (left > 0 && gone >= LOST_SHARE * own.length) {
      return { code: 'survivors_only', groupId: id, left, of: own.length };
    }
  }
  return undefined;
};

const LEAST_SIDE = 3;

/**
 * Pots nearest to the bright side against those farthest from it, each less the average of all that were treated the
 * same, differ by more than the spread of single plants.
 */
export const nearerTheLight: TalkRule = (facts) => {
  if (!facts.isHeight) return undefined;
  const means = new Map(found(facts).map(({ id, mean }) => [id, mean]));
  const offsets = measured(facts.plants).flatMap(({ unit, value }) => {
    const mean = means.get(unit.groupId);
    return unit.fromBright === null || mean === undefined
      ? []
      : [{ steps: unit.fromBright, offset: value - mean }];
  });
  const steps = offsets.map((one) => one.steps);
  const [nearest, farthest] = [Math.min(...steps), Math.max(...steps)];
  const of = (at: number): number[] => offsets.filter((one) => one.steps === at).map((one) => one.offset);
  const [near, far] = [of(nearest), of(farthest)];
  if (nearest === farthest || near.length < LEAST_SIDE || far.length < LEAST_SIDE) return undefined;
  const { sd } = describe(offsets.map((one) => one.offset));
  const [a, b] = [describe(near).mean, describe(far).mean];
  if (!sd.defined || !a.defined || !b.defined || Math.abs(a.value - b.value) <= sd.value) return undefined;
  return { code: 'nearer_the_light', more: a.value > b.value, near: near.length, far: far.length };
};

/** Plants of different ages stand side by side. */
export const agesDiffer: TalkRule = ({ plants }) => {
  const ages = plants.flatMap(({ age }) => age ?? []);
  const [youngest, oldest] = [Math.min(...ages), Math.max(...ages)];
  return ages.length > 1 && oldest > youngest ? { code: 'ages_differ', youngest, oldest } : undefined;
};
