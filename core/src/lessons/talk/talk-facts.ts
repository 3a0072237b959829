import type { Comparison, ComparedGroup, ObservedFact } from '../../comparison/index.ts';
import type { UnitDay } from '../../growth/index.ts';
import type { CalendarDay } from '../../shared/index.ts';
import type { LessonUnit, PlantOnDay } from '../plant-on-day.ts';
import type { TalkPoint } from './talk-point.ts';

/** How many guessed what. */
export interface Guessed {
  readonly choice: string;
  readonly guesses: number;
}

/** What a class's data hold on a day, as far as they give something to talk about. */
export interface TalkFacts {
  readonly day: CalendarDay;
  readonly units: readonly LessonUnit[];
  readonly plants: readonly PlantOnDay[];
  readonly histories: ReadonlyMap<string, readonly UnitDay[]>;
  readonly groups: readonly ComparedGroup[];
  /** Groups stand in the order of the amount that was changed. */
  readonly isOrdered: boolean;
  /** Of the day; `null` while there is nothing to compare. */
  readonly comparison: Comparison | null;
  /** Readings of the variable until the day that count, with who made them. */
  readonly readings: readonly ObservedFact[];
  /** Whether it is the height of plants that is read: only then is anything tall, short or growing. */
  readonly isHeight: boolean;
  /** What is read to, in base units. */
  readonly step: number;
  /** One whole unit of the ruler, in base units: 10 for a ruler in centimetres. */
  readonly wholeUnit: number;
  readonly mark: number | null;
  /** Days after sowing in which the crop usually comes up. */
  readonly usualDays: { readonly min: number; readonly max: number } | null;
  /** Seeds of which it is known whether they came up, and whether that is unlike what the packet says. */
  readonly packet: {
    readonly up: number;
    readonly sown: number;
    readonly rate: number;
    readonly isUnlike: boolean;
  } | null;
  /** Days on which the class met until the day, from the first reading on. */
  readonly classDays: readonly CalendarDay[];
  readonly guesses: readonly Guessed[];
}

/** Finds one thing to talk about; undefined when the data do not raise it. */
export type TalkRule = (facts: TalkFacts) => TalkPoint | undefined;

/** Numbers of units in order. */
export function numbersOf(units: readonly LessonUnit[]): number[] {
  return units.map(({ number }) => number).sort((a, b) => a - b);
}
