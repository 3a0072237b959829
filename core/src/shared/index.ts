export {
  addDays,
  calendarDay,
  type CalendarDay,
  dayInZone,
  daysBetween,
  daysFromTo,
  isCalendarDay,
  weekday,
} from './calendar-day.ts';
export {
  amountText,
  computedLengthText,
  fromMillimetres,
  LENGTH_UNITS,
  lengthText,
  LONGEST_MM,
  type LengthProblem,
  type LengthScale,
  type LengthUnit,
  markText,
  nearestMark,
  type ParsedLength,
  parseLength,
  toMillimetres,
} from './length.ts';
export { isInstant } from './instant.ts';
export { defined, notDefined, type Outcome, type UndefinedReason, valueOr } from './outcome.ts';
export { type RandomGenerator, randomGenerator, shuffled } from './random.ts';
export { READING_STATES, type ReadingState } from './reading-state.ts';
