import type { ComparedGroup, ObservedFact } from '../comparison/index.ts';
import { compareTreatments } from '../comparison/index.ts';
import { type UnitDay, unitDays } from '../growth/index.ts';
import { addDays, calendarDay, type CalendarDay } from '../shared/index.ts';
import { type LessonUnit, type PlantOnDay, plantOnDay } from './plant-on-day.ts';
import type { TalkFacts } from './talk/talk-facts.ts';

export const SOWN = calendarDay('2026-03-02');

/** A pot of a made-up class: what each look found, by days since sowing. */
export interface MadePot {
  readonly group: string;
  readonly sownAt?: number;
  readonly fromBright?: number;
  readonly team?: string;
  /** A number is a height in mm, two numbers are two readers, words are a state. */
  readonly looks: Readonly<Record<number, number | readonly [number, number] | ObservedFact['state']>>;
}

/** A made-up class on a day after sowing. */
export function madeClass(
  pots: readonly MadePot[],
  at: number,
  changes: Partial<TalkFacts> = {},
): TalkFacts & { readonly plants: readonly PlantOnDay[] } {
  const day = addDays(SOWN, at);
  const groups: ComparedGroup[] = [...new Set(pots.map(({ group }) => group))].map((name, index) => ({
    id: name,
    name,
    isControl: index === 0,
  }));
  const units = pots.map((pot, index): LessonUnit => ({
    id: `u${index + 1}`,
    number: index + 1,
    groupId: pot.group,
    sownOn: addDays(SOWN, pot.sownAt ?? 0),
    team: pot.team ?? '',
    fromBright: pot.fromBright ?? null,
  }));
  const readings = pots.flatMap((pot, index) =>
    Object.entries(pot.looks).flatMap(([age, found]): ObservedFact[] => {
      const about = { unitId: `u${index + 1}`, day: addDays(SOWN, Number(age)) };
      const values = typeof found === 'number' ? [found] : typeof found === 'string' ? [] : found;
      if (typeof found === 'string') return [{ ...about, state: found, value: null, observer: 'Ada' }];
      return values.map((value, reader) => ({
        ...about,
        state: 'emerged',
        value,
        observer: reader === 0 ? 'Ada' : 'Ben',
      }));
    }),
  );
  const until = readings.filter((reading) => reading.day <= day);
  const histories: ReadonlyMap<string, readonly UnitDay[]> = unitDays(readings);
  const plants = units.map((unit) => plantOnDay(unit, histories.get(unit.id) ?? [], day));
  const design = {
    factors: [{ name: 'What', levels: groups.map((group) => ({ ...group, amount: null })) }],
    treatments: groups.map((group, index) => ({ ...group, levels: [index], crop: 'Oat', plants: 1 })),
    units: units.map((unit) => ({ ...unit, treatmentId: unit.groupId, block: '', seedsSown: 1 })),
  };
  return {
    day,
    units,
    plants,
    histories,
    groups,
    isOrdered: false,
    comparison: compareTreatments({
      treatments: groups,
      units,
      readings: histories,
      day,
      rule: 'only_up',
      summary: 'day',
      design,
      by: 'treatment',
      isOrdinal: false,
      countsSeeds: false,
    }),
    readings: until,
    isHeight: true,
    step: 1,
    wholeUnit: 10,
    mark: null,
    usualDays: null,
    packet: null,
    classDays: daysUntil(day),
    guesses: [],
    ...changes,
  };
}

function daysUntil(day: CalendarDay): CalendarDay[] {
  const days: CalendarDay[] = [];
  for (let one = SOWN; one <= day; one = addDays(one, 1)) days.push(one);
  return days;
}

/** A pot that is found up on a day and grows evenly from then on, looked at every second day. */
export function evenPot(
  group: string,
  upAt: number,
  perDay: number,
  until = 20,
  more: Partial<MadePot> = {},
): MadePot {
  const looks: Record<number, number | ObservedFact['state']> = {};
  for (let age = 2; age <= until; age += 2) {
    looks[age] = age < upAt ? 'not_emerged' : 5 + perDay * (age - upAt);
  }
  return { group, looks, ...more };
}
