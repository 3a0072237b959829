import { type CareKind, type ReadingState, SOIL_STATES, type SowingItem } from '../shared/index.ts';

/** What a reader found of a pot without a value. */
export const STATE_WORDS: Readonly<Record<ReadingState, string>> = {
  not_up: 'not up yet',
  up: 'up',
  dead: 'dead',
  removed: 'removed',
  not_read: 'not read',
};

/** What is ticked for each pot on sowing day. */
export const SOWING_ITEM_WORDS: Readonly<Record<SowingItem, string>> = {
  seeds: 'Seeds in',
  depth: 'Depth right',
  treatment: 'Treatment given',
  label: 'Label in place',
};

/** What was done, as a person would say it. */
export const CARE_WORDS: Readonly<Record<CareKind, string>> = {
  watered: 'Watered',
  turned: 'Turned',
  moved: 'Moved',
  uncovered: 'Uncovered',
  thinned: 'Thinned',
  potted_on: 'Potted on',
  treated: 'Treatment given',
  ph: 'pH of the soil',
  soil: 'Soil by touch',
  note: 'Note',
};

/** Care as it was noted: mL of water for each unit, a pH, or a place in {@link SOIL_STATES}. */
export interface CareDone {
  readonly kind: CareKind;
  readonly amount: number | null;
  readonly note: string;
}

/** A care event in a line: `Watered, 20 mL a pot`, `pH of the soil 6.5`. */
export function careText({ kind, amount, note }: CareDone): string {
  const size =
    amount === null
      ? ''
      : kind === 'soil'
        ? `: ${SOIL_STATES[amount] ?? ''}`
        : kind === 'ph'
          ? ` ${amount}`
          : `, ${amount} mL a pot`;
  return `${CARE_WORDS[kind]}${size}${note === '' ? '' : `: ${note}`}`;
}
