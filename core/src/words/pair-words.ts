import { say } from '@bright-sprout/words/statements';
import { type ComparedGroup, isClearPair, type PairTest, type TreatmentPair } from '../comparison/index.ts';
import { valueOr } from '../shared/index.ts';
import { pText } from './luck-words.ts';
import { type ComparisonSpeech, nameOf, whenText } from './speech.ts';
import { undefinedWords } from './undefined-words.ts';
import { aboutText, differenceSize, differenceText, type ValueStyle } from './value-style.ts';

/** What a sentence on a pair says beside the difference. */
export interface PairSaid {
  /** The groups by name: treatments, or the levels of a factor. */
  readonly groups: readonly ComparedGroup[];
  /** Pots of each group that count, for those who can use it. */
  readonly pots: (groupId: string) => number | null;
  readonly withDay: boolean;
  /** How sure it is stands beside the sentence; else those who can read it find it here. */
  readonly isJudgedBeside: boolean;
  /** What is taken together: `, all levels of Water taken together`. */
  readonly over: string;
}

/** Says the difference of two groups, its size first, and whether these pots tell them apart. */
export function pairSentence(speech: ComparisonSpeech, pair: TreatmentPair, said: PairSaid): string {
  const { level, style } = speech;
  const difference = valueOr(pair.difference, 0);
  const [first, second] = [nameOf(said.groups, pair.firstId), nameOf(said.groups, pair.secondId)];
  const pots = plantsSaid(speech);
  const rest = say('whenAndOver', {
    ifWithDay: said.withDay ? 'yes' : 'no',
    whenText: whenText(speech),
    over: said.over,
  });
  if (Math.abs(difference) < 1e-9) {
    return say('withAndWithHadTheSameAverage', { pot: pots[0], second, pot2: pots[1], first, rest });
  }
  if (level === '14+') {
    const gap = differenceText(differenceSize(difference, style), difference, style, true);
    return exactSentence(
      speech,
      pair,
      said,
      say('withThanWith', { pot: pots[0], second, gap, pot2: pots[1], first, rest }),
    );
  }
  const gap = differenceText(aboutText(difference, style), difference, style, level !== '5-7');
  const about = say('withThanWith', { pot: pots[0], second, gap, pot2: pots[1], first, rest });
  if (!pair.test.defined) {
    return pair.test.reason === 'no_spread'
      ? say('butThePotsOfEachTreatmentAll', { about })
      : say('butThereAreTooFewPotsTo', { about });
  }
  if (isClearPair(pair)) return `${about}.`;
  return {
    '5-7': say('thatCouldJustBeLuck2', { about }),
    '8-10': say('butPotsTreatedTheSameDifferToo', { about }),
    '11-13': say('butThatIsWithinWhatPlantTo', { about }),
  }[level];
}

/** What is compared, at the beginning of a sentence and within it. */
export function plantsSaid({ style, comparison }: ComparisonSpeech): readonly [string, string] {
  const isLiving = comparison.fates.groups.some((fate) => fate.dead.length > 0);
  // Plants are tall, pots are not; leaves and seeds are counted by pot.
  const isOfPlants = style.kind === 'length' && style.isHeight;
  if (isOfPlants)
    return isLiving ? [say('livingPlants'), say('livingPlants2')] : [say('plantsWith'), say('plantsWithin')];
  return isLiving ? [say('livingPots'), say('livingPots2')] : [say('pots2'), say('potsWithin')];
}

function exactSentence(
  { style }: ComparisonSpeech,
  pair: TreatmentPair,
  said: PairSaid,
  lead: string,
): string {
  const counts = [said.pots(pair.secondId), said.pots(pair.firstId)];
  const sizes = counts.includes(null) ? '' : say('nAndPots', { count: counts[0], count2: counts[1] });
  if (!pair.test.defined) {
    return `${lead} (${[sizes, undefinedWords(pair.test.reason)].filter(Boolean).join('; ')}).`;
  }
  const doubt = isClearPair(pair) ? '' : say('thesePotsDoNotTellTheTwo');
  const luck = said.isJudgedBeside ? '' : judgedText(pair.test.value, style);
  const facts = [sizes, luck].filter(Boolean).join('; ');
  return `${lead}${facts && ` (${facts})`}.${doubt}`;
}

/** The interval of a difference, for those who can read one. */
export function intervalWords({ level, style }: ComparisonSpeech, pair: TreatmentPair): string {
  if (level !== '14+' || !pair.test.defined || !pair.test.value.interval) return '';
  const { low, high } = pair.test.value.interval;
  return say('the95IntervalOfTheDifferenceIs', { text: signed(low, style), text2: signed(high, style) });
}

/** How sure a difference is, in figures: `95% interval −0.2 to 1.4 cm, p = 0.12`. */
export function judgedText({ interval, p }: Pick<PairTest, 'interval' | 'p'>, style: ValueStyle): string {
  const said = interval
    ? say('intervalOfDifference', { low: signed(interval.low, style), high: signed(interval.high, style) })
    : '';
  return [said, pText(p)].filter(Boolean).join(', ');
}

function signed(value: number, style: ValueStyle): string {
  return say('signedDifference', {
    ifValue: value < 0 ? 'yes' : 'no',
    differenceSize: differenceSize(value, style),
  });
}
