import { type CareKind, SOIL_STATES } from '@bright-sprout/core/shared';
import { type CareRequest } from '@bright-sprout/contract/care';

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

/** A care event in a line: `Watered, 20 mL a pot`, `pH of the soil 6.5`. */
export function careText({ kind, amount, note }: Pick<CareRequest, 'kind' | 'amount' | 'note'>): string {
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
