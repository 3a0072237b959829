import { addDays, type CalendarDay, randomGenerator, daysFromTo, weekday } from '@bright-sprout/core/shared';
import { roomAt, type RoomSample } from '@bright-sprout/core/simulate';

/** Something done to all pots of the growing experiment. */
export interface DemoCare {
  readonly happenedOn: CalendarDay;
  readonly kind: 'watered' | 'turned' | 'note';
  readonly amount: number | null;
  readonly note: string;
  readonly observer: string;
}

/** A value of the demo's logger. */
export interface DemoSample extends RoomSample {
  /** ISO 8601, UTC. */
  readonly sampledAt: string;
}

const HOURS_BETWEEN = 2;
const LOGGER_SEED = 88;
const FRIDAY = 5;

/** Watering on Mondays, Wednesdays and Fridays, pots turned on Fridays, and one note. */
export function demoCare(sowOn: CalendarDay, today: CalendarDay): DemoCare[] {
  const days = daysFromTo(addDays(sowOn, 1), addDays(today, -1));
  const waterings = days
    .filter((day) => [1, 3, FRIDAY].includes(weekday(day)))
    .map((day): DemoCare => ({
      happenedOn: day,
      kind: 'watered',
      amount: 15,
      note: '',
      observer: 'Team Heron',
    }));
  const turns = days
    .filter((day) => weekday(day) === FRIDAY)
    .map((day): DemoCare => ({
      happenedOn: day,
      kind: 'turned',
      amount: null,
      note: 'a quarter turn',
      observer: 'Team Otter',
    }));
  const trip: DemoCare = {
    happenedOn: addDays(sowOn, 19),
    kind: 'note',
    amount: null,
    note: 'The class was away, and nobody read.',
    observer: 'Ms Tansy Holloway',
  };
  return [...waterings, ...turns, trip].filter((event) => event.happenedOn < today);
}

/** What the logger on the layout measured from sowing to yesterday evening. */
export function demoSamples(sowOn: CalendarDay, today: CalendarDay): DemoSample[] {
  const chance = randomGenerator(LOGGER_SEED);
  return daysFromTo(sowOn, addDays(today, -1)).flatMap((day, index) =>
    Array.from({ length: 24 / HOURS_BETWEEN }, (_, step) => step * HOURS_BETWEEN).flatMap((hour) =>
      roomAt(index * 24 + hour, chance).map((sample) => ({
        ...sample,
        sampledAt: `${day}T${String(hour).padStart(2, '0')}:00:00Z`,
      })),
    ),
  );
}
