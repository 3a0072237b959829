import { daysBetween } from '../../shared/index.ts';
import { describe } from '../../statistics/index.ts';
import type { PlantOnDay } from '../plant-on-day.ts';
import { numbersOf, type TalkFacts, type TalkRule } from './talk-facts.ts';

const LEAST_POTS = 4;
const TOGETHER_DAYS = 1;
const SPREAD_DAYS = 5;
const LATE_DAYS = 4;

function inState({ plants }: TalkFacts, ...states: readonly PlantOnDay['plant']['state'][]): PlantOnDay[] {
  return plants.filter(({ plant }) => states.includes(plant.state));
}

/** Days from its own sowing to the first look that found each pot up, ascending. */
function waits({ plants }: TalkFacts): number[] {
  return plants
    .flatMap(({ unit, firstUp }) =>
      firstUp !== null && unit.sownOn !== null ? [daysBetween(unit.sownOn, firstUp)] : [],
    )
    .sort((a, b) => a - b);
}

/** Somebody looked at every pot that was sown, and none is up. */
export const noneUp: TalkRule = (facts) => {
  const notUp = inState(facts, 'not_emerged');
  const ages = notUp.flatMap(({ age }) => age ?? []);
  const isAll = facts.plants.every(({ plant }) => ['not_emerged', 'not_sown'].includes(plant.state));
  return isAll && ages.length > 0
    ? { code: 'none_up', age: Math.max(...ages), looked: notUp.length }
    : undefined;
};

/** All pots came up within a day of each other. */
export const upTogether: TalkRule = (facts) => {
  const found = waits(facts);
  const [first, last] = [found[0] ?? 0, found.at(-1) ?? 0];
  const isAll = found.length === facts.plants.length && found.length >= LEAST_POTS;
  return isAll && last - first <= TOGETHER_DAYS
    ? { code: 'up_together', pots: found.length, age: last, within: last - first + 1 }
    : undefined;
};

/** Days lie between the first and the last pot that came up. */
export const upSpread: TalkRule = (facts) => {
  const found = waits(facts);
  const [first, last] = [found[0] ?? 0, found.at(-1) ?? 0];
  return found.length >= LEAST_POTS && last - first >= SPREAD_DAYS
    ? { code: 'up_spread', first, last, pots: found.length }
    : undefined;
};

/** Pots that are still not up days after the middle one was, though most are. */
export const neverUp: TalkRule = (facts) => {
  const found = waits(facts);
  const { median } = describe(found);
  if (!median.defined) return undefined;
  const late = inState(facts, 'not_emerged').filter(
    ({ age, isOfDay }) => isOfDay && age !== null && age - median.value >= LATE_DAYS,
  );
  return late.length > 0 && found.length > late.length
    ? { code: 'never_up', pots: numbersOf(late.map(({ unit }) => unit)), up: found.length }
    : undefined;
};

/** Pots that died. */
export const died: TalkRule = (facts) => {
  const found = inState(facts, 'dead');
  return found.length > 0 ? { code: 'died', pots: numbersOf(found.map(({ unit }) => unit)) } : undefined;
};

/** Pots that were taken out. */
export const removed: TalkRule = (facts) => {
  const found = inState(facts, 'removed');
  return found.length > 0 ? { code: 'removed', pots: numbersOf(found.map(({ unit }) => unit)) } : undefined;
};

const LEAST_SEEDS = 10;

/** As many seeds came up as the packet says, as far as so many seeds can tell. */
export const packetKept: TalkRule = ({ packet }) => {
  if (!packet || packet.isUnlike || packet.sown < LEAST_SEEDS) return undefined;
  const { up, sown, rate } = packet;
  return { code: 'packet_kept', up, sown, rate };
};

/** More or fewer seeds came up than the packet says. */
export const packetDiffered: TalkRule = ({ packet }) => {
  if (!packet?.isUnlike) return undefined;
  const { up, sown, rate } = packet;
  return { code: 'packet_differed', up, sown, rate };
};

/** The middle pot came up after the days in which the crop usually does. */
export const laterThanUsual: TalkRule = (facts) => {
  const { median } = describe(waits(facts));
  const { usualDays } = facts;
  return usualDays && median.defined && median.value > usualDays.max
    ? { code: 'later_than_usual', age: median.value, usual: usualDays.max }
    : undefined;
};

/** The middle pot came up before the days in which the crop usually does. */
export const earlierThanUsual: TalkRule = (facts) => {
  const { median } = describe(waits(facts));
  const { usualDays } = facts;
  return usualDays && median.defined && median.value < usualDays.min
    ? { code: 'earlier_than_usual', age: median.value, usual: usualDays.min }
    : undefined;
};
