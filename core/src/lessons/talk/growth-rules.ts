import { describe } from '../../statistics/index.ts';
import { addDays, type CalendarDay, daysBetween } from '../../shared/index.ts';
import { type MeasuredPlant, measured } from '../plant-on-day.ts';
import { numbersOf, type TalkFacts, type TalkRule } from './talk-facts.ts';

/** A ruler held twice differs by a step or so: less than this many steps is no change to talk about. */
const STEPS_OF_DOUBT = 2;

/** The two last values of each plant that was read on the day. */
function lastTwo({ plants, histories, day }: TalkFacts): (MeasuredPlant & { readonly before: number })[] {
  return measured(plants).flatMap((plant) => {
    const earlier = (histories.get(plant.unit.id) ?? []).findLast(
      (finding) => finding.day < day && finding.value !== null,
    );
    return earlier?.value == null ? [] : [{ ...plant, before: earlier.value }];
  });
}

/** The plant that lost most since its last value, when it is more than two readers may differ by. */
export const shrank: TalkRule = (facts) => {
  const [most] = lastTwo(facts).sort((a, b) => a.value - a.before - (b.value - b.before));
  if (!facts.isHeight || !most || most.before - most.value <= STEPS_OF_DOUBT * facts.step) return undefined;
  return { code: 'shrank', pot: most.unit.number, from: most.before, to: most.value };
};

/** Plants that read as they did last time, while most others have grown. */
export const stoodStill: TalkRule = (facts) => {
  const found = lastTwo(facts);
  const still = found.filter((one) => Math.abs(one.value - one.before) < facts.step / 2);
  const grew = found.filter((one) => one.value - one.before > facts.step / 2).length;
  if (!facts.isHeight || still.length === 0 || grew <= still.length) return undefined;
  return { code: 'stood_still', pots: numbersOf(still.map(({ unit }) => unit)), grew };
};

const WEEK = 7;
const NEAR_DAYS = 2;
const LEAST_PLANTS = 3;
const TIMES = 2;

/** Mean growth a day of the same plants over the last week and over the one before, from values near its ends. */
function twoWeeks(facts: TalkFacts): { before: number; now: number; pots: number } | undefined {
  const { day, histories } = facts;
  const near = (unitId: string, on: CalendarDay): { day: CalendarDay; value: number } | undefined => {
    const found = (histories.get(unitId) ?? []).findLast(
      (finding) => finding.day <= on && finding.value !== null,
    );
    return found?.value == null || daysBetween(found.day, on) > NEAR_DAYS
      ? undefined
      : { day: found.day, value: found.value };
  };
  const rates = measured(facts.plants).flatMap(({ unit, value }) => {
    const week = near(unit.id, addDays(day, -WEEK));
    const two = near(unit.id, addDays(day, -2 * WEEK));
    if (!week || !two || week.day === two.day) return [];
    return [
      {
        now: (value - week.value) / daysBetween(week.day, day),
        before: (week.value - two.value) / daysBetween(two.day, week.day),
      },
    ];
  });
  if (!facts.isHeight || rates.length < LEAST_PLANTS) return undefined;
  const mean = (of: 'now' | 'before'): number => rates.reduce((sum, one) => sum + one[of], 0) / rates.length;
  return { before: mean('before'), now: mean('now'), pots: rates.length };
}

/** The plants grew less than half as fast as the week before. */
export const slowed: TalkRule = (facts) => {
  const found = twoWeeks(facts);
  if (!found || found.before <= 0 || found.now * TIMES >= found.before) return undefined;
  return { code: 'slowed', ...found };
};

/** The plants grew more than twice as fast as the week before. */
export const spedUp: TalkRule = (facts) => {
  const found = twoWeeks(facts);
  if (!found || found.before <= 0 || found.now <= found.before * TIMES) return undefined;
  return { code: 'sped_up', ...found };
};

/** Plants of one age that were read and whose first day up is known, with their waits in days. */
function waited(facts: TalkFacts): (MeasuredPlant & { readonly wait: number })[] {
  const found = measured(facts.plants).flatMap((plant) =>
    plant.firstUp !== null && plant.unit.sownOn !== null
      ? [{ ...plant, sownOn: plant.unit.sownOn, wait: daysBetween(plant.unit.sownOn, plant.firstUp) }]
      : [],
  );
  const isOneAge = new Set(found.map(({ sownOn }) => sownOn)).size === 1;
  return facts.isHeight && isOneAge && found.length >= LEAST_PLANTS + 1 ? found : [];
}

function middle(values: readonly number[]): number {
  const { median } = describe(values);
  return median.defined ? median.value : 0;
}

const LATE_DAYS = 2;

/** A plant that came up late and is now as tall as the middle one at least. */
export const lateCaughtUp: TalkRule = (facts) => {
  const found = waited(facts);
  const [wait, height] = [middle(found.map((one) => one.wait)), middle(found.map((one) => one.value))];
  const [latest] = found
    .filter((one) => one.wait - wait >= LATE_DAYS && one.value >= height)
    .sort((a, b) => b.wait - a.wait);
  return latest && { code: 'late_caught_up', pot: latest.unit.number, late: Math.round(latest.wait - wait) };
};

/** The one plant that was up before all others, and is now shorter than the middle one. */
export const earlyFellBehind: TalkRule = (facts) => {
  const found = waited(facts).sort((a, b) => a.wait - b.wait);
  const [first, second] = found;
  if (!first || !second || first.wait === second.wait) return undefined;
  return first.value < middle(found.map((one) => one.value))
    ? { code: 'early_fell_behind', pot: first.unit.number }
    : undefined;
};

const LEAST_FOR_FENCES = 5;
const FENCE = 1.5;

/**
 * A plant far from the others that were treated the same: outside 1.5 times their quartile range from its ends, the
 * plant itself among them (Tukey 1977, quartiles of type 7).
 */
export const farFromRest: TalkRule = (facts) => {
  if (!facts.isHeight) return undefined;
  for (const { id } of facts.groups) {
    const own = measured(facts.plants).filter(({ unit }) => unit.groupId === id);
    if (own.length < LEAST_FOR_FENCES) continue;
    const { lowerQuartile: low, upperQuartile: high } = describe(own.map(({ value }) => value));
    if (!low.defined || !high.defined) continue;
    const reach = FENCE * (high.value - low.value);
    const out = own.find(({ value }) => value < low.value - reach || value > high.value + reach);
    if (!out) continue;
    const rest = own.filter((one) => one !== out).map(({ value }) => value);
    return {
      code: 'far_from_rest',
      pot: out.unit.number,
      value: out.value,
      groupId: id,
      low: Math.min(...rest),
      high: Math.max(...rest),
    };
  }
  return undefined;
};

/** Two or more plants that are the tallest together. */
export const tieTallest: TalkRule = (facts) => {
  const found = measured(facts.plants);
  if (!facts.isHeight || found.length < LEAST_PLANTS) return undefined;
  const value = found.reduce((most, one) => Math.max(most, one.value), -Infinity);
  const tied = found.filter((one) => value - one.value < facts.step / 2);
  return tied.length > 1 && tied.length < found.length
    ? { code: 'tie_tallest', pots: numbersOf(tied.map(({ unit }) => unit)), value }
    : undefined;
};

/** The two tallest plants of one height that were treated differently. */
export const sameHeightApart: TalkRule = (facts) => {
  if (!facts.isHeight || facts.groups.length < 2) return undefined;
  const found = measured(facts.plants).sort((a, b) => b.value - a.value || a.unit.number - b.unit.number);
  for (const [index, one] of found.entries()) {
    const other = found[index + 1];
    if (!other || one.unit.groupId === other.unit.groupId) continue;
    if (one.value - other.value >= facts.step / 2) continue;
    return {
      code: 'same_height_apart',
      pot: one.unit.number,
      other: other.unit.number,
      value: one.value,
      groupId: one.unit.groupId,
      otherGroupId: other.unit.groupId,
    };
  }
  return undefined;
};

/** Some plants are above the mark, and some are not. */
export const markPassed: TalkRule = (facts) => {
  const found = measured(facts.plants);
  const { mark } = facts;
  if (!facts.isHeight || mark === null) return undefined;
  const passed = found.filter(({ value }) => value > mark).length;
  return passed > 0 ? { code: 'mark_passed', passed, pots: found.length, mark } : undefined;
};

/** Plants were read, and none is above the mark. */
export const markNotPassed: TalkRule = (facts) => {
  const found = measured(facts.plants).map(({ value }) => value);
  const { mark } = facts;
  if (!facts.isHeight || mark === null || found.length === 0) return undefined;
  const tallest = Math.max(...found);
  return tallest <= mark ? { code: 'mark_not_passed', mark, tallest } : undefined;
};
