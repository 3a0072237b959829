import type { ReadingFact } from '../growth/index.ts';
import { type CalendarDay, defined, notDefined, type Outcome, PICTURE_OBSERVER } from '../shared/index.ts';
import {
  type Agreement,
  agreementOf,
  around,
  describe,
  type Description,
  factorialAnova,
  meanOf,
  tForInterval,
} from '../statistics/index.ts';
import type { Design } from './grouping.ts';
import { lineOf, testLine, type TestOutcome } from './test-line.ts';
import type { Comparison } from './types.ts';

/** A reading with who made it. */
export interface ObservedFact extends ReadingFact {
  readonly observer: string;
}

/** What a team read of its own pots. */
export interface TeamFigures {
  readonly team: string;
  /**
   * Of each pot, its value less the mean of all pots treated the same; its interval by the spread that pots treated the
   * same have in all teams, as two pots of a team say next to nothing of it.
   */
  readonly offset: Description;
  /** By treatment. */
  readonly groups: readonly { readonly groupId: string; readonly description: Description }[];
  /** Pots of the team read by a second person on one day. */
  readonly agreement: Agreement;
}

/** Is it the plants or the measuring? */
export interface TeamsPart {
  readonly teams: readonly TeamFigures[];
  /** Teams after treatments, type II. */
  readonly test: TestOutcome;
  /** All pots that two people read on one day. */
  readonly agreement: Agreement;
  /** Pots that were read by a person and measured on a picture on one day: picture − person. */
  readonly byPicture: Agreement;
  /** SD of pots treated the same, pooled. */
  readonly plantSd: Outcome<number>;
  /** Share of the variance of pots treated the same that reading errors can make, 0–1. */
  readonly readingShare: Outcome<number>;
}

/** Compares the teams on what they read alike. @param readings of the variable, in the order they were made */
export function teamsPart(
  comparison: Comparison,
  design: Design,
  readings: readonly ObservedFact[],
): TeamsPart {
  const teamOf = new Map(design.units.map((unit) => [unit.id, unit.team]));
  const teams = [...new Set(design.units.map((unit) => unit.team).filter((team) => team !== ''))].sort();
  const points = comparison.groups.flatMap((group, at) => {
    const mean = group.points.length > 0 ? meanOf(group.points.map((point) => point.value)) : 0;
    return group.points.map(({ unitId, value }) => ({
      team: teamOf.get(unitId) ?? '',
      groupId: group.groupId,
      at,
      value,
      offset: value - mean,
    }));
  });
  const days = potDays(readings, comparison.day);
  const pairs = twiceRead(days);
  const spread = pooledSpread(comparison);
  const plantSd = spread.defined ? defined(spread.value.sd) : spread;
  const agreement = agreementOf(pairs.map((pair) => pair.values));
  return {
    teams: teams.map((team) => {
      const own = points.filter((point) => point.team === team);
      return {
        team,
        offset: bySpreadOfAll(describe(own.map((point) => point.offset)), spread),
        groups: comparison.groups.map(({ groupId }) => ({
          groupId,
          description: describe(own.filter((point) => point.groupId === groupId).map((point) => point.value)),
        })),
        agreement: agreementOf(
          pairs.filter((pair) => teamOf.get(pair.unitId) === team).map((pair) => pair.values),
        ),
      };
    }),
    test: teamTest(points, teams),
    agreement,
    byPicture: agreementOf(picturedToo(days)),
    plantSd,
    readingShare: readingShare(agreement, plantSd),
  };
}

function teamTest(
  points: readonly { readonly team: string; readonly at: number; readonly value: number }[],
  teams: readonly string[],
): TestOutcome {
  const own = points.filter((point) => teams.includes(point.team));
  if (new Set(own.map((point) => point.team)).size < 2) return notDefined('one_team');
  const found = factorialAnova(
    own.map(({ team, at, value }) => ({ value, levels: [teams.indexOf(team)], block: at })),
    'II',
  );
  if (!found.defined) return found;
  const { terms, errorDf } = found.value;
  const term = terms.find((candidate) => candidate.factors.length === 1);
  if (!term) return notDefined('one_team');
  return lineOf(term.test, ({ f, p }) => testLine('factorial', p, f, term.df, errorDf));
}

/** What people and what pictures gave of a pot on one day, in the order it was made. */
interface PotDay {
  readonly unitId: string;
  readonly people: { readonly observer: string; readonly value: number }[];
  readonly pictures: number[];
}

/** The values of every pot and day up to the day compared. */
function potDays(readings: readonly ObservedFact[], last: CalendarDay): PotDay[] {
  const days = new Map<string, PotDay>();
  for (const { unitId, day, observer, value } of readings) {
    if (value === null || day > last) continue;
    const key = `${unitId} ${day}`;
    const found = days.get(key) ?? { unitId, people: [], pictures: [] };
    if (observer === PICTURE_OBSERVER) found.pictures.push(value);
    else found.people.push({ observer, value });
    days.set(key, found);
  }
  return [...days.values()];
}

/** First and second value of every pot that two people read on one day. */
function twiceRead(days: readonly PotDay[]): { unitId: string; values: [number, number] }[] {
  return days.flatMap(({ unitId, people: [first, ...others] }) => {
    const second = others.find(({ observer }) => observer !== first?.observer);
    return first && second ? [{ unitId, values: [first.value, second.value] as [number, number] }] : [];
  });
}

/** The first value by a person and the last by a picture of every pot that has both on one day. */
function picturedToo(days: readonly PotDay[]): [number, number][] {
  return days.flatMap(({ people: [person], pictures }) => {
    const pictured = pictures.at(-1);
    return person && pictured !== undefined ? [[person.value, pictured] as [number, number]] : [];
  });
}

interface PooledSpread {
  readonly sd: number;
  readonly df: number;
}

function pooledSpread(comparison: Comparison): Outcome<PooledSpread> {
  let [squares, df] = [0, 0];
  for (const { description } of comparison.groups) {
    if (!description.sd.defined) continue;
    squares += description.sd.value ** 2 * (description.n - 1);
    df += description.n - 1;
  }
  return df > 0 ? defined({ sd: Math.sqrt(squares / df), df }) : notDefined('group_too_small');
}

function bySpreadOfAll(own: Description, spread: Outcome<PooledSpread>): Description {
  if (!own.mean.defined || !spread.defined) return own;
  const { sd, df } = spread.value;
  if (sd === 0) return { ...own, interval: notDefined('no_spread') };
  const standardError = sd / Math.sqrt(own.n);
  return {
    ...own,
    standardError: defined(standardError),
    interval: defined(around(own.mean.value, tForInterval(0.95, df) * standardError)),
  };
}

function readingShare(agreement: Agreement, plantSd: Outcome<number>): Outcome<number> {
  if (!agreement.technicalError.defined) return notDefined('nobody_read_twice');
  if (!plantSd.defined) return plantSd;
  if (plantSd.value === 0) return notDefined('no_spread');
  return defined(Math.min(1, agreement.technicalError.value ** 2 / plantSd.value ** 2));
}
