import type { UndefinedReason } from '../shared/index.ts';

const WORDS: Record<UndefinedReason, string> = {
  'no-values': 'no pot has a value',
  'one-value': 'one value has no spread',
  'too-few-groups': 'only one treatment has values',
  'group-too-small': 'at least two pots with a value are needed in each treatment',
  'no-spread': 'the pots of a treatment all read the same, so there is no plant-to-plant spread to judge by',
  'first-reading': 'first reading, so there is no change yet',
  'reference-is-zero': 'the reference is 0, so there is no percentage',
  'one-category': 'everything is in one place, so there is nothing to line up with',
  'nothing-germinates': 'no seed of this packet is expected to come up',
  'too-many-needed': 'no sensible number of seeds is enough',
  'no-crop-figures': 'this crop has no figures for it',
  'temperature-outside': 'this crop does not come up at this temperature',
  'ages-are-the-change': 'the plants differ in age on purpose, so there is nothing to find out by luck',
  'not-a-height': 'this plan reads something other than a height',
};

/** Why a figure is not there, for a reader. */
export function undefinedWords(reason: UndefinedReason): string {
  return WORDS[reason];
}
