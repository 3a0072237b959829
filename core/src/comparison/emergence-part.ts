import {
  type Check,
  checksFromCounts,
  checksFromUnits,
  type Emergence,
  emergences,
  type GerminationIndices,
  germinationIndices,
  waitsOf,
} from '../germination/index.ts';
import type { UnitDay } from '../growth/index.ts';
import { type CalendarDay, notDefined } from '../shared/index.ts';
import {
  binomialTest,
  kaplanMeier,
  type KaplanMeier,
  logRank,
  sharedShare,
  shareTest,
  shuffledRanks,
  type Wait,
} from '../statistics/index.ts';
import { evenlyShared } from './fates.ts';
import type { Design } from './grouping.ts';
import { chiSquareLine, lineOf, testLine, type TestOutcome } from './test-line.ts';
import type { Comparison, ComparedUnit, SeedsAnswer } from './types.ts';

/** How a group came up. */
export interface GroupEmergence {
  readonly groupId: string;
  /** Whether seeds were counted, or each pot is up or not. */
  readonly counted: 'seeds' | 'pots';
  readonly checks: readonly Check[];
  readonly indices: GerminationIndices;
  /** Pots waiting to come up, those not up yet as waiting. */
  readonly waiting: KaplanMeier;
  readonly againstPacket: TestOutcome;
}

/** How the seeds came up. */
export interface EmergencePart {
  readonly groups: readonly GroupEmergence[];
  readonly units: readonly (Emergence & { readonly groupId: string })[];
  /** Waiting times, those not up as waiting: it answers to the share that came up and to when alike. */
  readonly logRank: TestOutcome;
  /** Whether the share that came up differs: of the pots, or where seeds were counted of the seeds in each pot. */
  readonly share: TestOutcome;
  /** Whether those that came up did so on other days. */
  readonly speed: TestOutcome;
  /** What the packet states, 0–1. */
  readonly packetRate: number | null;
  /** Several seeds share a pot, so that seeds are not independent. */
  readonly seedsSharePots: boolean;
}

/** What emergence is read from. */
export interface EmergenceReadings {
  /** Findings that say whether a unit is up. */
  readonly histories: ReadonlyMap<string, readonly UnitDay[]>;
  /** Findings of the number of seeds up; `null` when nobody counts them. */
  readonly counts: ReadonlyMap<string, readonly UnitDay[]> | null;
  readonly packetRate: number | null;
  /** Whether what is compared is the length of the plants, which vigour is reckoned from. */
  readonly isLength: boolean;
}

/**
 * How each group came up until the day of the comparison. Seeds are counted where a count was read, else pots.
 * @param units the compared units with their groups
 */
export function emergencePart(
  comparison: Comparison,
  design: Design,
  units: readonly ComparedUnit[],
  { histories, counts, packetRate, isLength }: EmergenceReadings,
): EmergencePart {
  const sown = new Map(design.units.map((unit) => [unit.id, unit]));
  const states = until(histories, comparison.day);
  const counted = counts && until(counts, comparison.day);
  const counting = counted && counted.size > 0 ? 'seeds' : 'pots';
  const source = counted && counted.size > 0 ? counted : states;
  const found = units.flatMap((unit) => {
    const own = sown.get(unit.id);
    return own ? emergences([own], states).map((one) => ({ ...one, groupId: unit.groupId })) : [];
  });
  const groups = comparison.groups.map(({ groupId, description }): GroupEmergence => {
    const own = units.filter((unit) => unit.groupId === groupId).flatMap((unit) => sown.get(unit.id) ?? []);
    const looked = own.filter((unit) => unit.sownOn !== null && source.has(unit.id));
    const checks = counting === 'seeds' ? checksFromCounts(looked, source) : checksFromUnits(looked, source);
    const seeds = looked.every((unit) => unit.seedsSown !== null)
      ? looked.reduce((sum, unit) => sum + (unit.seedsSown ?? 0), 0)
      : null;
    const total = counting === 'pots' ? looked.length : seeds;
    const isSeeds = counting === 'seeds' || looked.every((unit) => unit.seedsSown === 1);
    const isOfSeedlings =
      isLength && isSeeds && comparison.summary === 'day' && comparison.rule === 'only_up';
    const mean = isOfSeedlings && description.mean.defined ? description.mean.value : null;
    const seedsOf = looked.map((unit) => ({
      up: upIn(source.get(unit.id) ?? []),
      sown: unit.seedsSown ?? 1,
    }));
    const single = germinationIndices(checks, total, mean);
    const isShared = counting === 'seeds' && total !== null && looked.some((unit) => unit.seedsSown !== 1);
    const indices = isShared ? { ...single, final: sharedShare(seedsOf) } : single;
    const waits = waitsOf(found.filter((one) => one.groupId === groupId));
    return {
      groupId,
      counted: counting,
      checks,
      indices,
      waiting: kaplanMeier(waits),
      againstPacket: againstPacket(indices, packetRate, counting, seedsOf),
    };
  });
  const waits = comparison.groups.map(({ groupId }) =>
    waitsOf(found.filter((one) => one.groupId === groupId)),
  );
  return {
    groups,
    units: found,
    logRank: chiSquareLine('log_rank', logRank(waits)),
    share:
      counting === 'seeds'
        ? seedShares(comparison, units, sown, source)
        : evenlyShared(
            comparison.groups.map(({ groupId }) => {
              const own = found.filter((one) => one.groupId === groupId && !one.isLost);
              const up = own.filter((one) => one.upAt !== null).length;
              return [up, own.length - up];
            }),
          ),
    speed: speedTest(waits),
    packetRate,
    seedsSharePots: design.units.some((unit) => (unit.seedsSown ?? 1) > 1),
  };
}

/** The share of its seeds that came up in each pot, by its ranks shuffled between the groups. */
function seedShares(
  { groups }: Comparison,
  units: readonly ComparedUnit[],
  sown: ReadonlyMap<string, Design['units'][number]>,
  source: ReadonlyMap<string, readonly UnitDay[]>,
): TestOutcome {
  const shares = groups.map(({ groupId }) =>
    units.flatMap(({ id, groupId: own }) => {
      const seeds = sown.get(id)?.seedsSown ?? 0;
      const history = source.get(id);
      return own === groupId && history && seeds > 0 ? [upIn(history) / seeds] : [];
    }),
  );
  if (shares.flat().length === 0) return notDefined('no_seed_count');
  if (shares.every((group) => group.length < 2)) return notDefined('seeds_share_pots');
  const found = shuffledRanks(shares, SPEED_SEED);
  if (!found.defined && found.reason === 'no_spread') return notDefined('all_alike');
  return lineOf(found, ({ p, h }) => testLine('ranks_shuffled', p, h));
}

/** Days of coming up compared by their ranks, shuffled between the groups. */
function speedTest(waits: readonly (readonly Wait[])[]): TestOutcome {
  const days = waits.map((group) => group.flatMap(({ time, happened }) => (happened ? [time] : [])));
  return lineOf(shuffledRanks(days, SPEED_SEED), ({ p, h }) => testLine('ranks_shuffled', p, h));
}

const SPEED_SEED = 1945;

/**
 * Seeds up against the packet's rate. Seeds that share a pot share a fate: there the pots are what is judged by, each
 * with its own share up; pots that are only up or not say nothing of several seeds.
 */
function againstPacket(
  indices: GerminationIndices,
  rate: number | null,
  counted: 'seeds' | 'pots',
  looked: readonly { readonly up: number; readonly sown: number }[],
): TestOutcome {
  if (rate === null) return notDefined('no_packet_rate');
  if (indices.sown === null) return notDefined('no_seed_count');
  const isShared = looked.some((unit) => unit.sown !== 1);
  if (isShared && counted === 'pots') return notDefined('seeds_share_pots');
  if (isShared) {
    return lineOf(shareTest(looked, rate), ({ t, df, p }) => testLine('share_by_unit', p, t, df));
  }
  const test = binomialTest(Math.min(indices.up, indices.sown), indices.sown, rate);
  return lineOf(test, (p) => testLine('binomial_exact', p));
}

/** The answer on seeds of one kind, all treated the same; `null` where several are compared or nobody counted seeds. */
export function seedsAnswer({ groups, packetRate }: EmergencePart): SeedsAnswer | null {
  const [only, ...others] = groups;
  if (!only || others.length > 0 || only.counted !== 'seeds' || only.indices.sown === null) return null;
  const { up, sown, final } = only.indices;
  return { up, sown, rate: packetRate, test: only.againstPacket, share: final };
}

/** The most seeds seen up in a unit. */
function upIn(history: readonly UnitDay[]): number {
  return Math.max(0, ...history.map((finding) => finding.value ?? 0));
}

function until(
  histories: ReadonlyMap<string, readonly UnitDay[]>,
  day: CalendarDay,
): Map<string, readonly UnitDay[]> {
  const found = [...histories].map(([unitId, history]): [string, readonly UnitDay[]] => [
    unitId,
    history.filter((finding) => finding.day <= day),
  ]);
  return new Map(found.filter(([, history]) => history.length > 0));
}
