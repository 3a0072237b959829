import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import type {
  Comparison,
  ComparedGroup,
  EmergencePart,
  GrowthPart,
  StudyPart,
  TeamsPart,
  TestOutcome,
  TreatmentsPart,
  BesideVerdict,
} from '../comparison/index.ts';
import { verdictBeside } from '../comparison/index.ts';
import { type Agreement, ALPHA } from '../statistics/index.ts';
import { outOfHundred, pText } from './luck-words.ts';
import type { ReadingLevel } from './reading-level.ts';
import { undefinedWords } from './undefined-words.ts';
import {
  computedText,
  differenceSize,
  roundedSize,
  roundedText,
  summaryStyle,
  type ValueStyle,
} from './value-style.ts';

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
  return say('luckAloneWouldMakeDifferencesLike', { said, outOfHundred: outOfHundred(p) });
}

/** A claim that stands beside the answer, in the words of how sure it is. */
function beside(
  test: TestOutcome,
  level: ReadingLevel,
  said: Record<BesideVerdict, string>,
  isFate = false,
): string {
  if (!test.defined) return `${said.open} (${undefinedWords(test.reason)}).`;
  const verdict = verdictBeside(test.value, isFate);
  if (level === '5-7') return `${said[verdict]}.`;
  if (level === '14+') return `${said[verdict]} (${pText(test.value.p)}).`;
  return say('luckAloneWouldMakeDifferencesLike', {
    said: said[verdict],
    outOfHundred: outOfHundred(test.value.p),
  });
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
    if (level === '5-7') return [say('about2', { name, average })];
    const said = say('onAverageOverPots', { name, average, n: group.perDay.n });
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
    return bent && !bent.fit.defined
      ? say('noGrowthCurveYet', { undefinedWords: undefinedWords(bent.fit.reason) })
      : '';
  }
  const middle = best.fit.value.parameters[2];
  const clause = say('fastestAboutDayWith', {
    middle: Math.round(middle?.value ?? 0),
    computedText: computedText(best.fit.value.fastest, rate),
  });
  const { n, mean, interval } = group.end;
  if (!mean.defined || mean.value > FARTHEST_END * (group.largest ?? 0)) return clause;
  const levels = say('itsPotsLevellingOffNear', { clause, roundedText: roundedText(mean.value, style) });
  if (level !== '14+' || !interval.defined) return levels;
  const { low, high } = interval.value;
  return say('meanOfFittedCurves95IntervalTo', {
    levels,
    n,
    computedText: computedText(low, style),
    computedText2: computedText(high, style),
  });
}

/** How the seeds came up. */
export function emergenceWords(part: EmergencePart, { groups, level }: PartSpeech): string[] {
  const lines = part.groups.flatMap(({ groupId, counted, indices, waiting }) => {
    const name = groups.find(({ id }) => id === groupId)?.name ?? '';
    const said = { name, what: counted, hasSown: indices.sown === null ? 'no' : 'yes', sown: indices.sown };
    const own = part.units.filter((unit) => unit.groupId === groupId);
    if (indices.up === 0) {
      const isAllLost = own.length > 0 && own.every((unit) => unit.isLost);
      return [isAllLost ? say('lostBeforeUp', said) : say('nothingUpYet', said)];
    }
    const { first } = indices;
    const { median } = waiting;
    // A day by which half are up is one of pots that were seen up, not of pots that were given up, nor of seeds.
    const isHalfUp = 2 * own.filter((unit) => unit.upAt !== null).length >= own.length;
    const isOfPots = counted === 'pots' || !part.seedsSharePots;
    const half = !isOfPots || level === '5-7' ? 'unsaid' : median.defined && isHalfUp ? 'reached' : 'open';
    return [
      say('up', {
        ...said,
        up: indices.up,
        hasFirst: first.defined ? 'yes' : 'no',
        first: first.defined ? first.value : null,
        half,
        median: median.defined ? Number(median.value.toFixed(1)) : null,
      }),
    ];
  });
  const isAnyUp = part.units.some((unit) => unit.upAt !== null);
  if (part.groups.length > 1 && level !== '5-7' && isAnyUp) {
    lines.push(
      ...[
        beside(
          part.share,
          level,
          {
            found: say('howManyCameUpDiffersBetweenThe'),
            look: say('howManyCameUpMayDiffer'),
            open: say('howManyCameUpCannotBeTold'),
          },
          true,
        ),
        beside(part.speed, level, {
          found: say('ofThoseThatCameUpSomeTreatments'),
          look: say('someTreatmentsMayHaveBeenEarlier'),
          open: say('ofThoseThatCameUpThesePots'),
        }),
      ],
    );
  }
  const waiting = part.units.filter((unit) => unit.upAt === null && !unit.isLost).length;
  if (waiting > 0) lines.push(say('potsNotUpByThisDayWhich', { waiting }));
  const lost = part.units.filter((unit) => unit.isLost).length;
  if (lost > 0) lines.push(say('lostBeforeAnybodySawAnythingUpPots', { lost }));
  if (level === '11-13' || level === '14+') {
    lines.push(say('aPotFoundUpAtACheck'));
  }
  return lines;
}

/** Treatments beyond the answer: interaction first, where the answer does not tell of it, then what the tests take for granted. */
export function treatmentsWords(
  part: TreatmentsPart,
  { level }: PartSpeech,
  { together, lead }: Pick<Comparison, 'together' | 'lead'>,
): string[] {
  const lines: string[] = [];
  const isHeaded = lead?.kind === 'together' || lead?.kind === 'factor';
  if (together?.test.defined && !isHeaded) {
    const names = allOf(together.factors);
    lines.push(
      verdict(
        together.test,
        level,
        say('workTogetherWhatOneDoesDependsOn2', { names }),
        say('thesePotsDoNotShowThatWork', { names }),
      ),
    );
  }
  if (part.factorial.defined && part.factorial.value.isReduced) {
    lines.push(say('withOnePotACombinationWhetherThe'));
  }
  if (part.factorial.defined && part.factorial.value.missingCells > 0) {
    lines.push(say('someCombinationsHaveNoValueSoThe'));
  }
  if (level === '5-7' || level === '8-10') return lines;
  const { normal, spread } = part.assumptions;
  if (normal.defined && verdictBeside(normal.value) === 'found') {
    lines.push(say('thePotsAreNotSpreadLikeA'));
  }
  if (spread.defined && verdictBeside(spread.value) === 'found') {
    lines.push(say('someTreatmentsVaryMoreThanOthers'));
  }
  if (part.up.isRough) lines.push(say('countsOfPotsAreSmallTrustFishers'));
  return lines;
}

/** Is it the plants or the measuring? */
export function teamsWords(part: TeamsPart, { style, level }: PartSpeech): string[] {
  const lines: string[] = [];
  if (part.teams.length > 1) {
    lines.push(
      beside(part.test, level, {
        found: say('teamsReadPotsTreatedTheSame'),
        look: say('teamsMayReadDifferently'),
        open: say('thesePotsDoNotShowThatTeams'),
      }),
    );
  }
  const { agreement, plantSd, readingShare } = part;
  if (agreement.technicalError.defined) {
    const error = computedText(agreement.technicalError.value, style);
    lines.push(say('twoPeopleWhoReadOnePotDiffer', { error, n: agreement.n }));
  } else {
    lines.push(say('noPotWasReadByTwoPeople2'));
  }
  lines.push(...pictureWords(part.byPicture, style, level));
  if (plantSd.defined && level !== '5-7') {
    lines.push(say('potsTreatedTheSameDifferByAbout', { computedText: computedText(plantSd.value, style) }));
  }
  if (readingShare.defined) {
    const share = Math.round(100 * readingShare.value);
    lines.push(
      share < 1 ? say('almostAllOfThatIsPlantsHardly') : say('aboutOf100PartsOfThatVariation', { share }),
    );
  }
  return lines;
}

/** How measuring on pictures differs from reading. */
function pictureWords({ n, bias }: Agreement, style: ValueStyle, level: ReadingLevel): string[] {
  if (!bias.defined) return [];
  const said = { n, level: level === '5-7' ? 'young' : 'other' };
  if (bias.value === 0) return [say('picturesGaveWhatPeopleRead', said)];
  const size = level === '14+' ? differenceSize(bias.value, style) : roundedSize(bias.value, style);
  return [say('picturesGaveMoreOrLess', { ...said, size, way: bias.value < 0 ? say('less') : say('more') })];
}

/** Several classes together. */
export function studyWords(part: StudyPart, { style, level }: PartSpeech): string[] {
  if (part.runs.length < 2) return [say('onlyOneClassRunsThisPlanSo')];
  const lines = part.differences.flatMap(({ first, second, result }) => {
    if (!result.defined)
      return [say('and2', { second, first, undefinedWords: undefinedWords(result.reason) })];
    const { difference, low, high, p } = result.value;
    const size = computedText(Math.abs(difference), style);
    const way = difference < 0 ? say('less') : say('more');
    const range = say('n95IntervalTo', {
      computedText: computedText(low, style),
      computedText2: computedText(high, style),
    });
    const said = say('eachClassComparedWithinItselfGave', { second, size, way, first, age: part.age });
    if (level === '14+') return [`${said} (${range}, ${pText(p)}).`];
    return [p < ALPHA ? `${said}.` : say('butLuckCouldDoThatToo', { said })];
  });
  if (level !== '5-7') {
    lines.push(
      verdict(
        part.interaction,
        level,
        say('theTreatmentsDidDifferentlyIn'),
        say('thesePotsDoNotShowThatThe'),
      ),
    );
  }
  lines.push(say('everyPotIsComparedWithPotsOf'));
  return lines;
}

/** Why a pot counts once, and why days are not thrown together. */
export function countingWords(
  comparison: Comparison,
  plantRule: 'tallest' | 'tagged' | 'mean' | null,
): string {
  const plants = {
    tallest: say('itsTallestPlant'),
    tagged: say('itsMarkedPlant'),
    mean: say('theMeanOfItsPlants'),
  };
  const what = plantRule === null ? say('itsValue') : plants[plantRule];
  const reduced = {
    day: say('onThisDayTwoReadingsOfA', { what }),
    final: say('atItsLastReadingUpToThis', { what }),
    growth_per_day: say('itsGrowthADayFromItsFirst'),
    relative_growth: say('itsRelativeGrowthADayFromAll'),
    area: say('theAreaUnderItsCurveUpTo'),
  }[comparison.summary];
  return say('eachPotCountsOnce2', { reduced });
}
