import { say } from '@bright-sprout/words/shared';
import type { AlsoRead } from '../design/index.ts';
import {
  type CareKind,
  type NoShowReason,
  type ReadingState,
  SOIL_STATES,
  type SowingItem,
} from '../shared/index.ts';

/** What is read, as a person reads it. */
export const ALSO_READ_WORDS: Record<AlsoRead, string> = {
  'seeds up': say('seedsUp'),
  leaves: say('leaves'),
  stage: say('stage'),
  colour: say('colour'),
  vigour: say('vigour'),
  'green cover': say('greenCover'),
  'root length': say('rootLength'),
  'root direction': say('rootDirection'),
  'soil pH': say('soilPh'),
  soil: say('soilMoisture'),
};

/** What a reader found of a pot without a value. */
export const STATE_WORDS: Readonly<Record<ReadingState, string>> = {
  not_emerged: say('notUpYet'),
  emerged: say('up'),
  dead: say('dead'),
  removed: say('removed'),
  not_read: say('notRead'),
};

/** What is ticked for each pot on sowing day. */
export const SOWING_ITEM_WORDS: Readonly<Record<SowingItem, string>> = {
  seeds: say('seedsIn'),
  depth: say('depthRight'),
  treatment: say('treatmentGiven'),
  label: say('labelInPlace'),
};

/** What was done, as a person would say it. */
export const CARE_WORDS: Readonly<Record<CareKind, string>> = {
  watered: say('watered'),
  turned: say('turned'),
  moved: say('moved'),
  uncovered: say('uncovered'),
  thinned: say('thinned'),
  potted_on: say('pottedOn'),
  treated: say('treatmentGiven'),
  ph: say('phOfTheSoil'),
  soil: say('soilByTouch'),
  cause: say('whyNotUp'),
  note: say('note'),
};

/** Why something never came up. */
export const NO_SHOW_WORDS: Readonly<Record<NoShowReason, string>> = {
  too_deep: say('causeTooDeep'),
  dry: say('causeDry'),
  mould: say('causeMould'),
  eaten: say('causeEaten'),
  unknown: say('causeUnknown'),
};

/** Care as it was noted: mL of water for each unit, a pH, or a place in {@link SOIL_STATES}. */
export interface CareDone {
  readonly kind: CareKind;
  readonly amount: number | null;
  readonly note: string;
  readonly reason?: NoShowReason | null;
}

/** A care event in a line: `Watered, 20 mL a pot`, `pH of the soil 6.5`. */
export function careText({ kind, amount, note, reason = null }: CareDone): string {
  const size =
    amount === null
      ? reason === null
        ? ''
        : `: ${NO_SHOW_WORDS[reason]}`
      : kind === 'soil'
        ? `: ${SOIL_STATES[amount] ?? ''}`
        : kind === 'ph'
          ? ` ${amount}`
          : kind === 'thinned'
            ? say('plantsOutOfEach', { amount })
            : say('mlAPot', { amount });
  return say('careWithNote', {
    careWords: CARE_WORDS[kind],
    size,
    ifNote: note === '' ? 'yes' : 'no',
    note,
  });
}
