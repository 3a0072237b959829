/** What people do to plants, or find in their soil. */
export const CARE_KINDS = [
  'watered',
  'turned',
  'moved',
  'uncovered',
  'thinned',
  'potted_on',
  'treated',
  'ph',
  'soil',
  'cause',
  'note',
] as const;
export type CareKind = (typeof CARE_KINDS)[number];

/** Soil by touch, the driest first; a care event of kind `soil` has the place in this list from 0. */
export const SOIL_STATES = ['dry', 'moist', 'soggy'] as const;

/** Why something never came up, as the class found it. */
export const NO_SHOW_REASONS = ['too_deep', 'dry', 'mould', 'eaten', 'unknown'] as const;
export type NoShowReason = (typeof NO_SHOW_REASONS)[number];

/** What an entry of the journal is. */
export const ENTRY_KINDS = ['photo', 'drawing', 'note'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** What is ticked for each unit on sowing day. */
export const SOWING_ITEMS = ['seeds', 'depth', 'treatment', 'label'] as const;
export type SowingItem = (typeof SOWING_ITEMS)[number];

/** What a change can be of. */
export const CHANGED_THINGS = [
  'readings',
  'care',
  'journal',
  'photos',
  'sowing',
  'lesson',
  'poll',
  'votes',
] as const;
export type ChangedThing = (typeof CHANGED_THINGS)[number];

/** Why a reading is set aside that arrives long after its day was closed. */
export const LATE_WORDS = 'arrived after this day was closed';

/** From where a photo of plants is taken. */
export const PHOTO_VIEWS = ['above', 'side'] as const;
export type PhotoView = (typeof PHOTO_VIEWS)[number];

/** What is measured on a photo. */
export const MEASURE_KINDS = ['green_cover', 'length', 'angle'] as const;
export type MeasureKind = (typeof MEASURE_KINDS)[number];

/** Who reads what is measured on a photo. */
export const PICTURE_OBSERVER = 'picture';
