import type {
  Comparison,
  ComparedGroup,
  EmergencePart,
  GrowthPart,
  StudyPart,
  TeamsPart,
  TestOutcome,
  TreatmentsPart,
} from '../comparison/index.ts';
import { ALPHA } from '../statistics/index.ts';
import { outOfHundred, pText } from './luck-words.ts';
import type { ReadingLevel } from './reading-level.ts';
import { listed, potCount } from './speech.ts';
import { undefinedWords } from './undefined-words.ts';
import { computedText, roundedText, summaryStyle, type ValueStyle } from './value-style.ts';

/** What the words of a part need beside its figures. */
export interface PartSpeech {
  readonly groups: readonly ComparedGroup[];
  readonly style: ValueStyle;
  readonly level: ReadingLevel;
}

/** What a p value below or above the usual line means at a level, never "proves" and never "no effect". */
function verdict(test: TestOutcome, level: ReadingLevel, clear: string, open: string): string {
  if (!test.defined) return `${open} (${undefinedWords(test.reason)}).`;
  const { p } = test.value;
  const isClear = p < ALPHA;
  const said = isClear ? clear : open;
  if (level === '5-7') return `${said}.`;
  if (level === '14+') return `${said} (${pText(p)}).`;
  return `${said}: luck alone would make differences like these in ${outOfHundred(p)} tries.`;
}

/** An end farther above the tallest pot than this is a guess that no pot bears out. */
const FARTHEST_END = 1.25;

/** Growth over time, group by group. */
export function growthWords(part: GrowthPart, { groups, style, level }: PartSpeech): string[] {
  const rate = summaryStyle(style, 'growth_per_day');
  return part.groups.flatMap((group) => {
    const name = groups.find(({ id }) => id === group.groupId)?.name ?? '';
    const { mean } = group.perDay;
    if (!mean.defined) return [];
    const average = computedText(mean.value, rate);
    if (level === '5-7') return [`${name}: about ${average}.`];
    const said = `${name}: ${average} on average, over ${potCount(group.perDay.n)}`;
    if (level === '8-10') return [`${said}.`];
    return [`${said}${curveClause(group, style, rate, level)}.`];
  });
}

/** What the curve through the means of a group says, or why there is none. */
function curveClause(
  group: GrowthPart['groups'][number],
  style: ValueStyle,
  rate: ValueStyle,
  level: ReadingLevel,
): string {
  const best = group.best === null ? undefined : group.fits[group.best];
  if (!best?.fit.defined || best.kind === 'linear') {
    const bent = group.fits.find((fit) => fit.kind === 'logistic');
    return bent && !bent.fit.defined ? `; no growth curve yet: ${undefinedWords(bent.fit.reason)}` : '';
  }
  const middle = best.fit.value.parameters[2];
  const clause = `; fastest about day ${Math.round(middle?.value ?? 0)}, with ${computedText(best.fit.value.fastest, rate)}`;
  const { n, mean, interval } = group.end;
  if (!mean.defined || mean.value > FARTHEST_END * (group.largest ?? 0)) return clause;
  const levels = `${clause}, its pots levelling off near ${roundedText(mean.value, style)}`;
  if (level !== '14+' || !interval.defined) return levels;
  const { low, high } = interval.value;
  return `${levels} (mean of ${n} fitted curves, 95 % interval ${computedText(low, style)} to ${computedText(high, style)})`;
}

/** How the seeds came up. */
export function emergenceWords(part: EmergencePart, { groups, level }: PartSpeech): string[] {
  const lines = part.groups.flatMap(({ groupId, counted, indices, waiting }) => {
    const name = groups.find(({ id }) => id === groupId)?.name ?? '';
    const what = counted === 'seeds' ? 'seeds' : 'pots';
    const of = indices.sown === null ? '' : ` of ${indices.sown}`;
    if (indices.up === 0) return [`${name}: nothing up yet${of ? `, 0${of} ${what}` : ''}.`];
    const first = indices.first.defined ? `, the first by day ${indices.first.value}` : '';
    const half = waiting.median.defined
      ? `, half of the pots by day ${Number(waiting.median.value.toFixed(1))}`
      : ', fewer than half of the pots so far';
    return [`${name}: ${indices.up}${of} ${what} up${first}${level === '5-7' ? '' : half}.`];
  });
  const isAnyUp = part.units.some((unit) => unit.upAt !== null);
  if (part.groups.length > 1 && level !== '5-7' && isAnyUp) {
    lines.push(
      ...[
        verdict(
          part.share,
          level,
          'How many came up differs between the treatments',
          'How many came up cannot be told apart here',
        ),
        verdict(
          part.speed,
          level,
          'Of those that came up, some treatments were earlier',
          'Of those that came up, these pots do not tell apart which were earlier',
        ),
      ].flat(),
    );
  }
  const waiting = part.units.filter((unit) => unit.upAt === null && !unit.isLost).length;
  if (waiting > 0) lines.push(`${potCount(waiting)} not up by this day, which is not the same as never.`);
  const lost = part.units.filter((unit) => unit.isLost).length;
  if (lost > 0) lines.push(`Lost before anybody saw anything up: ${potCount(lost)}.`);
  if (level === '11-13' || level === '14+') {
    lines.push('A pot found up at a check came up some time after the check before.');
  }
  return lines;
}

/** Treatments beyond the answer: interaction first, then what the tests take for granted. */
export function treatmentsWords(
  part: TreatmentsPart,
  { level }: PartSpeech,
  together: Comparison['together'],
): string[] {
  const lines: string[] = [];
  if (together?.test.defined) {
    const names = listed(together.factors);
    lines.push(
      verdict(
        together.test,
        level,
        `${names} work together: what one does depends on the other, so look at the combinations`,
        `These pots do not show that ${names} work differently together`,
      ),
    );
  }
  if (part.factorial.defined && part.factorial.value.isReduced) {
    lines.push('With one pot a combination, whether the factors work together cannot be told.');
  }
  if (part.factorial.defined && part.factorial.value.missingCells > 0) {
    lines.push('Some combinations have no value, so the factors are compared over those that do.');
  }
  if (level === '5-7' || level === '8-10') return lines;
  const { normal, spread } = part.assumptions;
  if (normal.defined && normal.value.p < ALPHA) {
    lines.push('The pots are not spread like a bell: look at the rank and shuffling tests as well.');
  }
  if (spread.defined && spread.value.p < ALPHA) {
    lines.push('Some treatments vary more than others: Welch’s tests allow for that, Student’s do not.');
  }
  if (part.up.isRough) lines.push('Counts of pots are small: trust Fisher’s exact test, not the chi-square.');
  return lines;
}

/** Is it the plants or the measuring? */
export function teamsWords(part: TeamsPart, { style, level }: PartSpeech): string[] {
  const lines: string[] = [];
  if (part.teams.length > 1) {
    lines.push(
      verdict(
        part.test,
        level,
        'Teams read pots treated the same differently: compare how they hold the ruler',
        'These pots do not show that teams read differently',
      ),
    );
  }
  const { agreement, plantSd, readingShare } = part;
  if (agreement.technicalError.defined) {
    const error = computedText(agreement.technicalError.value, style);
    lines.push(
      `Two people who read one pot differ by chance by about ${error} each (${potCount(agreement.n)}).`,
    );
  } else {
    lines.push('No pot was read by two people on one day, so the reading error is not known from here.');
  }
  if (plantSd.defined && level !== '5-7') {
    lines.push(`Pots treated the same differ by about ${computedText(plantSd.value, style)} (SD).`);
  }
  if (readingShare.defined) {
    const share = Math.round(100 * readingShare.value);
    lines.push(
      share < 1
        ? 'Almost all of that is plants, hardly any is reading.'
        : `About ${share} of 100 parts of that variation could be reading, the rest is plants.`,
    );
  }
  return lines;
}

/** Several classes together. */
export function studyWords(part: StudyPart, { style, level }: PartSpeech): string[] {
  if (part.runs.length < 2) return ['Only one class runs this plan so far. Its results stand alone.'];
  const lines = part.differences.flatMap(({ first, second, result }) => {
    if (!result.defined) return [`${second} and ${first}: ${undefinedWords(result.reason)}.`];
    const { difference, low, high, p } = result.value;
    const size = computedText(Math.abs(difference), style);
    const way = difference < 0 ? 'less' : 'more';
    const range = `95 % interval ${computedText(low, style)} to ${computedText(high, style)}`;
    const said = `Each class compared within itself, ${second} gave ${size} ${way} than ${first} on day ${part.age}`;
    if (level === '14+') return [`${said} (${range}, ${pText(p)}).`];
    return [p < ALPHA ? `${said}.` : `${said}, but luck could do that too.`];
  });
  if (level !== '5-7') {
    lines.push(
      verdict(
        part.interaction,
        level,
        'The treatments did differently in different classes',
        'These pots do not show that the treatments did differently in different classes',
      ),
    );
  }
  lines.push('Every pot is compared with pots of its own class; classes are never thrown together.');
  return lines;
}

/** Why a pot counts once, and why days are not thrown together. */
export function countingWords(
  comparison: Comparison,
  plantRule: 'tallest' | 'tagged' | 'mean' | null,
): string {
  const plants = {
    tallest: 'its tallest plant',
    tagged: 'its marked plant',
    mean: 'the mean of its plants',
  };
  const what = plantRule === null ? 'its value' : plants[plantRule];
  const reduced = {
    day: `${what} on this day; two readings of a pot count as their mean, and other days are not added, as they are the same pots again`,
    final: `${what} at its last reading up to this day`,
    growth_per_day: 'its growth a day from its first value to its last up to this day',
    relative_growth: 'its relative growth a day, from all its values up to this day',
    area: 'the area under its curve up to this day',
  }[comparison.summary];
  return `Each pot counts once: ${reduced}.`;
}
