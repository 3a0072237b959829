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
export {
  CARE_KINDS,
  type CareKind,
  CHANGED_THINGS,
  type ChangedThing,
  ENTRY_KINDS,
  type EntryKind,
  LATE_WORDS,
  MEASURE_KINDS,
  type MeasureKind,
  PHOTO_VIEWS,
  type PhotoView,
  PICTURE_OBSERVER,
  NO_SHOW_REASONS,
  type NoShowReason,
  SOIL_STATES,
  SOWING_ITEMS,
  type SowingItem,
} from './codes.ts';
export {
  largestIn,
  MOST_CLAIM_CHARACTERS,
  MOST_DEVICE_SAMPLES,
  MOST_BUNDLE_BYTES,
  MOST_ENTRY_BYTES,
  MOST_FILE_BYTES,
  MOST_NAME_CHARACTERS,
  MOST_PART_BYTES,
  MOST_PHOTO_BYTES,
  MOST_PICTURE_BYTES,
  MOST_STUDENTS,
} from './limits.ts';
