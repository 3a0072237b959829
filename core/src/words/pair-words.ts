import { type ComparedGroup, isClearPair, type TreatmentPair } from '../comparison/index.ts';
import { valueOr } from '../shared/index.ts';
import { type ComparisonSpeech, nameOf, whenText } from './speech.ts';
import { undefinedWords } from './undefined-words.ts';
import { differenceSize, differenceText, roundedSize } from './value-style.ts';

/** What a sentence on a pair says beside the difference. */
export interface PairSaid {
  /** The groups by name: treatments, or the levels of a factor. */
  readonly groups: readonly ComparedGroup[];
  /** Pots of each group that count, for those who can use it. */
  readonly pots: (groupId: string) => number | null;
  readonly withDay: boolean;
  /** What is taken together: `, all levels of Water taken together`. */
  readonly over: string;
}

/** Says the difference of two groups, its size first, and whether these pots tell them apart. */
export function pairSentence(speech: ComparisonSpeech, pair: TreatmentPair, said: PairSaid): string {
  const { level, style, comparison } = speech;
  const difference = valueOr(pair.difference, 0);
  const [first, second] = [nameOf(said.groups, pair.firstId), nameOf(said.groups, pair.secondId)];
  const pots = comparison.fates.groups.some((fate) => fate.dead.length > 0)
    ? ['Living pots', 'living pots']
    : ['Pots', 'pots'];
  const rest = `${said.withDay ? ` ${whenText(speech)}` : ''}${said.over}`;
  if (Math.abs(difference) < 1e-9) {
    return `${pots[0]} with ${second} and ${pots[1]} with ${first} had the same average${rest}.`;
  }
  if (level === '14+') {
    const gap = differenceText(differenceSize(difference, style), difference, style, ' on average');
    return exactSentence(pair, said, `${pots[0]} with ${second} ${gap} than ${pots[1]} with ${first}${rest}`);
  }
  const size = roundedSize(difference, style);
  const rounded = size.startsWith('less') ? size : `about ${size}`;
  const gap = differenceText(rounded, difference, style, level === '5-7' ? '' : ' on average');
  const about = `${pots[0]} with ${second} ${gap} than ${pots[1]} with ${first}${rest}`;
  if (!pair.test.defined) {
    return pair.test.reason === 'no-spread'
      ? `${about}, but the pots of each treatment all read the same, so luck cannot be judged.`
      : `${about}, but there are too few pots to tell more.`;
  }
  if (isClearPair(pair)) return `${about}.`;
  return {
    '5-7': `${about}. That could just be luck.`,
    '8-10': `${about}, but pots treated the same differ too, so we cannot tell yet.`,
    '11-13': `${about}, but that is within what plant-to-plant luck can do, so we cannot tell them apart yet.`,
  }[level];
}

function exactSentence(pair: TreatmentPair, said: PairSaid, lead: string): string {
  const counts = [said.pots(pair.secondId), said.pots(pair.firstId)];
  const sizes = counts.includes(null) ? '' : `n = ${counts[0]} and ${counts[1]} pots`;
  if (!pair.test.defined) {
    return `${lead} (${[sizes, undefinedWords(pair.test.reason)].filter(Boolean).join('; ')}).`;
  }
  const doubt = isClearPair(pair) ? '' : ' These pots do not tell the two apart.';
  return `${lead}${sizes && ` (${sizes})`}.${doubt}`;
}

/** The interval of a difference, for those who can read one. */
export function intervalWords({ level, style }: ComparisonSpeech, pair: TreatmentPair): string {
  if (level !== '14+' || !pair.test.defined || !pair.test.value.interval) return '';
  const { low, high } = pair.test.value.interval;
  const text = (value: number): string => `${value < 0 ? '−' : ''}${differenceSize(value, style)}`;
  return `The 95 % interval of the difference is ${text(low)} to ${text(high)}. `;
}
