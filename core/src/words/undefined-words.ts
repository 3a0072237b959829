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
  'needs-lengths': 'it needs the length, on one day, of plants that are up, and seeds that are counted',
  'kinds-differ': 'pots of several kinds need spares of their own',
  'no-crop-figures': 'this crop has no figures for it',
  'temperature-outside': 'this crop does not come up at this temperature',
  'ages-are-the-change': 'the plants differ in age on purpose, so there is nothing to find out by luck',
  'not-a-height': 'this plan reads something other than a height',
  'missing-cells': 'some combinations were not grown or have no value, so this cannot be told apart',
  'no-residual': 'there are as many combinations as pots, so nothing is left to judge by',
  'table-too-large': 'there are too many possible tables to go through',
  'too-few-points': 'there are too few points',
  'not-bent-yet': 'the curve has not begun to bend, so its end cannot be known yet',
  'no-growth': 'the values do not grow',
  'no-fit': 'no such curve comes near the values',
  'not-above-zero': 'values above 0 are needed',
  'none-up': 'nothing has come up',
  'no-seed-count': 'nobody wrote down how many seeds were sown',
  'uneven-checks': 'it needs a check on every day from day 1 on',
  'no-packet-rate': 'the packet states no rate',
  'half-never-reached': 'fewer than half have come up',
  'one-crop': 'all pots hold one crop',
  'one-team': 'no treatment was read by two teams',
  'not-crossed': 'only one thing was changed',
  'no-blocks': 'the pots do not stand in blocks',
  'too-many-pairs': 'there are too many pairs to shuffle them all',
  'nobody-read-twice': 'no pot was read by two people on one day',
  'one-class': 'only one class has values',
  'ordered-scores': 'ordered steps have no distance between them',
  'seeds-share-pots': 'several seeds share a pot, and seeds of one pot are not independent',
};

/** Why a figure is not there, for a reader. */
export function undefinedWords(reason: UndefinedReason): string {
  return WORDS[reason];
}
