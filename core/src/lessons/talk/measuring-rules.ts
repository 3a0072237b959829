import type { ObservedFact } from '../../comparison/index.ts';
import { numbersOf, type TalkFacts, type TalkRule } from './talk-facts.ts';

interface Twice {
  readonly number: number;
  readonly first: ObservedFact & { readonly value: number };
  readonly second: ObservedFact & { readonly value: number };
}

/** Pots that two people read on one day: each one's last value, in the order they were made. */
function readTwice({ readings, units }: TalkFacts): Twice[] {
  const numbers = new Map(units.map(({ id, number }) => [id, number]));
  const days = new Map<string, Map<string, ObservedFact & { readonly value: number }>>();
  for (const reading of readings) {
    const { value } = reading;
    if (value === null) continue;
    const key = `${reading.unitId} ${reading.day}`;
    const readers = days.get(key) ?? new Map<string, ObservedFact & { readonly value: number }>();
    readers.set(reading.observer, { ...reading, value });
    days.set(key, readers);
  }
  return [...days.values()].flatMap((readers) => {
    const [first, second] = [...readers.values()];
    const number = first && numbers.get(first.unitId);
    return first && second && number !== undefined ? [{ number, first, second }] : [];
  });
}

const STEPS_OF_DOUBT = 2;
const LEAST_PAIRS = 3;

const gap = ({ first, second }: Twice): number => Math.abs(first.value - second.value);

/** The two readings of one pot and day that differ most, when it is by more than two steps of the ruler. */
export const readersDiffer: TalkRule = (facts) => {
  const [most] = readTwice(facts).sort((a, b) => gap(b) - gap(a));
  if (!most || gap(most) <= STEPS_OF_DOUBT * facts.step) return undefined;
  const { number, first, second } = most;
  return { code: 'readers_differ', pot: number, first: first.value, second: second.value, day: first.day };
};

/** Several pots were read by two people, who never differ by more than two steps. */
export const readersAgree: TalkRule = (facts) => {
  const pairs = readTwice(facts);
  const within = pairs.reduce((most, pair) => Math.max(most, gap(pair)), 0);
  return pairs.length >= LEAST_PAIRS && within <= STEPS_OF_DOUBT * facts.step
    ? { code: 'readers_agree', pairs: pairs.length, within }
    : undefined;
};

/** The longest run of class days between two readings on which nobody read anything. */
export const daysMissed: TalkRule = ({ readings, classDays }) => {
  const read = new Set(readings.map(({ day }) => day));
  const last = [...read].sort().at(-1);
  let longest: { days: number; from: (typeof classDays)[number]; to: (typeof classDays)[number] } | undefined;
  let run: (typeof classDays)[number][] = [];
  for (const day of classDays) {
    if (last === undefined || day > last) break;
    run = read.has(day) ? [] : [...run, day];
    const [from, to] = [run[0], run.at(-1)];
    if (from && to && run.length > (longest?.days ?? 0)) longest = { days: run.length, from, to };
  }
  return longest && { code: 'days_missed', ...longest };
};

/** Pots that could have been read on the day and were not, while others were. */
export const potsNotRead: TalkRule = ({ plants }) => {
  const open = plants.filter(({ plant }) => plant.state !== 'not_sown');
  const missing = open.filter(({ isOfDay }) => !isOfDay);
  return missing.length > 0 && missing.length < open.length
    ? { code: 'pots_not_read', pots: numbersOf(missing.map(({ unit }) => unit)) }
    : undefined;
};

const LEAST_READINGS = 20;
const ROUND_SHARE = 0.5;
const FINE_STEPS = 5;

/** Half or more of the readings are whole numbers, though the ruler shows finer marks: chance alone gives a fifth at most. */
export const roundNumbers: TalkRule = ({ readings, step, wholeUnit, isHeight }) => {
  if (!isHeight || wholeUnit / step < FINE_STEPS) return undefined;
  const values = readings.flatMap(({ value }) => (value === null || value === 0 ? [] : value));
  const round = values.filter((value) => {
    const over = value / wholeUnit;
    return Math.abs(over - Math.round(over)) < step / wholeUnit / 4;
  }).length;
  return values.length >= LEAST_READINGS && round >= ROUND_SHARE * values.length
    ? { code: 'round_numbers', round, readings: values.length }
    : undefined;
};
