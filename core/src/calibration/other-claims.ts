import {
  compareTreatments,
  emergencePart,
  growthPart,
  type StudyRun,
  studyPart,
  teamsPart,
  treatmentsPart,
  verdictBeside,
} from '../comparison/index.ts';
import { dealtUnits, shareInPot } from '../design/index.ts';
import { type ReadingFact, unitDays } from '../growth/index.ts';
import {
  addDays,
  calendarDay,
  type RandomGenerator,
  randomGenerator,
  type Outcome,
} from '../shared/index.ts';
import { ALPHA, kaplanMeier, proportionDifference, sharedShare, wilson } from '../statistics/index.ts';
import { isTold, type Rate } from './calibrate.ts';
import { designOf, type Situation } from './simulated-class.ts';

/** A claim beyond the answer of one class, and how often it is made, or an interval, and how often it holds the truth. */
export interface OtherClaim {
  readonly name: string;
  readonly rate: (classes: number, seed: number) => Rate;
}

const SOWN = calendarDay('2026-03-01');
const DAY = calendarDay('2026-04-10');
const SIGMA = Math.sqrt(Math.log(1 + 0.22 ** 2));

/** Claims that are made though nothing differs. */
export const FALSE_CLAIMS: readonly OtherClaim[] = [
  claim('counts of 10 seeds a pot, 2 treatments of 6 pots', countsDiffer({ levels: [2], pots: 6 })),
  claim('counts of 10 seeds a pot, 3 treatments of 6 pots', countsDiffer({ levels: [3], pots: 6 })),
  claim('coming up on other days, 2 treatments of 8 pots', speedDiffers({ levels: [2], pots: 8 })),
  claim('coming up on other days, 4 treatments of 6 pots', speedDiffers({ levels: [4], pots: 6 })),
  claim('a share unlike the packet’s 70 %, 8 pots of 5 seeds', unlikePacket(8, 5, 0.7)),
  claim('a share unlike the packet’s 90 %, 8 pots of 5 seeds', unlikePacket(8, 5, 0.9)),
  claim('a share unlike the packet’s 70 %, 24 pots of 1 seed', unlikePacket(24, 1, 0.7)),
  claim('the whole page, 2 treatments of 8 pots, 4 teams', pageTells({ levels: [2], pots: 8 }, 4)),
  claim('the whole page, 4 treatments of 6 pots, 6 teams', pageTells({ levels: [4], pots: 6 }, 6)),
  claim('2 treatments over 3 classes of 4 pots each', classesDiffer(2, 3, 4)),
  claim('3 treatments over 3 classes of 4 pots each', classesDiffer(3, 3, 4)),
  claim('3 treatments over 5 classes of 2 pots each', classesDiffer(3, 5, 2)),
];

/** Intervals of 95 % that are shown beside the difference. */
export const SHOWN_INTERVALS: readonly OtherClaim[] = [
  ...[3, 6, 12].map((pots) => claim(`mean height of ${pots} pots`, meanHeld(pots))),
  ...[4, 8].map((pots) => claim(`height that ${pots} pots level off at`, endHeld(pots))),
  ...[20, 50].map((seeds) => claim(`share of ${seeds} seeds in pots of their own`, shareHeld(seeds))),
  ...[4, 8].map((pots) => claim(`share of seeds in ${pots} pots of 10`, sharedHeld(pots))),
  ...[8, 20].map((pots) => claim(`difference of shares of ${pots} pots each`, shareDifferenceHeld(pots))),
  ...[12, 30].map((pots) => claim(`day by which half of ${pots} pots are up`, medianHeld(pots))),
];

function claim(name: string, holds: (chance: RandomGenerator) => boolean | undefined): OtherClaim {
  return {
    name,
    rate: (classes, seed) => {
      const chance = randomGenerator(seed);
      const found = Array.from({ length: classes }, () => holds(chance)).filter((one) => one !== undefined);
      return { count: found.filter(Boolean).length, of: found.length };
    },
  };
}

const isIn = (interval: Outcome<{ readonly low: number; readonly high: number }>, truth: number) =>
  interval.defined ? interval.value.low <= truth && truth <= interval.value.high : undefined;

const heightOf = (chance: RandomGenerator, mean = 100): number =>
  mean * Math.exp(SIGMA * chance.normal() - SIGMA ** 2 / 2);

function seedsUp(seeds: number, share: number, chance: RandomGenerator): number {
  const own = shareInPot(share, chance.normal());
  return Array.from({ length: seeds }, () => chance.happens(own)).filter(Boolean).length;
}

/** Units of a design with their groups, and the comparison of its readings on the day. */
function compared(situation: Situation, readings: readonly ReadingFact[]) {
  const design = designOf(situation);
  const units = design.units.map(({ id, number, treatmentId, sownOn }) => ({
    id,
    number,
    groupId: treatmentId,
    sownOn,
  }));
  const treatments = design.treatments.map(({ id, name, isControl }) => ({ id, name, isControl }));
  const comparison = compareTreatments({ treatments, units, readings, day: DAY, rule: 'only_up', design });
  return { design, units, comparison };
}

function countsDiffer(situation: Situation): (chance: RandomGenerator) => boolean {
  const { units } = designOf(situation);
  return (chance) =>
    isTold(
      compared(
        situation,
        units.map(({ id }) => ({ unitId: id, day: DAY, state: 'emerged', value: seedsUp(10, 0.7, chance) })),
      ).comparison,
    );
}

function upHistories(ids: readonly string[], share: number, chance: RandomGenerator): ReadingFact[] {
  return ids.flatMap((unitId) => {
    const upAt = chance.happens(share) ? 6 * Math.exp(0.25 * chance.normal()) : Infinity;
    return Array.from({ length: 20 }, (_, age): ReadingFact => ({
      unitId,
      day: addDays(SOWN, age + 1),
      state: upAt <= age + 1 ? 'emerged' : 'not_emerged',
      value: null,
    }));
  });
}

function speedDiffers(situation: Situation): (chance: RandomGenerator) => boolean | undefined {
  return (chance) => {
    const { design, units, comparison } = compared(situation, []);
    const histories = unitDays(
      upHistories(
        units.map(({ id }) => id),
        0.85,
        chance,
      ),
    );
    const { speed } = emergencePart(comparison, design, units, {
      histories,
      counts: null,
      packetRate: null,
      isLength: true,
    });
    return speed.defined ? verdictBeside(speed.value) === 'found' : undefined;
  };
}

/** Whether anything at all is told as found: the answer, or what stands beside it. */
function pageTells(situation: Situation, teams: number): (chance: RandomGenerator) => boolean {
  return (chance) => {
    const plain = designOf(situation);
    const turns = dealtUnits(
      plain.units.map(({ treatmentId }) => treatmentId),
      teams,
    );
    const design = {
      ...plain,
      units: plain.units.map((unit, at) => ({ ...unit, team: `team ${turns[at]}` })),
    };
    const ids = design.units.map(({ id }) => id);
    const histories = upHistories(ids, 0.85, chance);
    const isUp = new Set(histories.flatMap(({ unitId, state }) => (state === 'emerged' ? [unitId] : [])));
    const readings = ids.map((unitId): ReadingFact & { observer: string } => ({
      ...{ unitId, day: DAY, observer: 'a' },
      ...(isUp.has(unitId)
        ? { state: 'emerged', value: heightOf(chance) }
        : { state: 'not_emerged', value: null }),
    }));
    const { units, comparison } = compared(situation, readings);
    const { share, speed } = emergencePart(comparison, design, units, {
      ...{ histories: unitDays(histories), counts: null, packetRate: null, isLength: true },
    });
    const { assumptions } = treatmentsPart(comparison, design, new Map(), 'II');
    const beside = [
      speed,
      teamsPart(comparison, design, readings).test,
      assumptions.normal,
      assumptions.spread,
    ];
    return (
      isTold(comparison) ||
      (share.defined && verdictBeside(share.value, true) === 'found') ||
      beside.some((test) => test.defined && verdictBeside(test.value) === 'found')
    );
  };
}

function unlikePacket(
  pots: number,
  seeds: number,
  rate: number,
): (chance: RandomGenerator) => boolean | undefined {
  return (chance) => {
    const { design, units, comparison } = compared({ levels: [1], pots }, []);
    const sown = { ...design, units: design.units.map((unit) => ({ ...unit, seedsSown: seeds })) };
    const ids = units.map(({ id }) => id);
    const readings = ids.map((unitId): ReadingFact => {
      const up = seedsUp(seeds, rate, chance);
      return { unitId, day: DAY, state: up > 0 ? 'emerged' : 'not_emerged', value: up };
    });
    const [group] = emergencePart(comparison, sown, units, {
      histories: unitDays(readings),
      counts: unitDays(readings),
      packetRate: rate,
      isLength: true,
    }).groups;
    return group?.againstPacket.defined ? verdictBeside(group.againstPacket.value) === 'found' : undefined;
  };
}

function classesDiffer(groups: number, classes: number, pots: number): (chance: RandomGenerator) => boolean {
  const situation: Situation = { levels: [groups], pots };
  const { units, treatments } = designOf(situation);
  return (chance) => {
    const runs = Array.from({ length: classes }, (_, at): StudyRun => {
      const level = 100 * Math.exp(0.15 * chance.normal());
      const readings = units.map(({ id }) => ({
        unitId: `${at} ${id}`,
        day: DAY,
        state: 'emerged' as const,
        value: heightOf(chance, level),
      }));
      return {
        id: String(at),
        name: String(at),
        groups: treatments,
        units: units.map((unit) => ({ ...unit, id: `${at} ${unit.id}`, groupId: unit.treatmentId })),
        histories: unitDays(readings),
      };
    });
    const { differences } = studyPart(runs, 40, 'only_up');
    return differences.some(({ result }) => result.defined && result.value.p < ALPHA);
  };
}

function meanHeld(pots: number): (chance: RandomGenerator) => boolean | undefined {
  const situation: Situation = { levels: [2], pots };
  const { units } = designOf(situation);
  return (chance) => {
    const readings = units.map(({ id }) => ({
      unitId: id,
      day: DAY,
      state: 'emerged' as const,
      value: heightOf(chance),
    }));
    const [group] = compared(situation, readings).comparison.groups;
    return group && isIn(group.description.interval, 100);
  };
}

function endHeld(pots: number): (chance: RandomGenerator) => boolean | undefined {
  const situation: Situation = { levels: [2], pots };
  const { units } = designOf(situation);
  return (chance) => {
    const readings = units.flatMap(({ id }) => {
      const end = heightOf(chance);
      return Array.from({ length: 14 }, (_, at): ReadingFact => {
        const age = 3 * at + 1;
        const value = end / (1 + Math.exp(-0.3 * (age - 12))) + chance.normal();
        return { unitId: id, day: addDays(SOWN, age), state: 'emerged', value: Math.max(0.5, value) };
      });
    });
    const { comparison } = compared(situation, readings);
    const sown = new Map(units.map(({ id }) => [id, SOWN]));
    const [group] = growthPart(comparison, sown, null).groups;
    return group && isIn(group.end.interval, 100);
  };
}

function shareHeld(seeds: number): (chance: RandomGenerator) => boolean | undefined {
  return (chance) =>
    isIn(wilson(Array.from({ length: seeds }, () => chance.happens(0.8)).filter(Boolean).length, seeds), 0.8);
}

function sharedHeld(pots: number): (chance: RandomGenerator) => boolean | undefined {
  return (chance) => {
    const units = Array.from({ length: pots }, () => ({ up: seedsUp(10, 0.8, chance), sown: 10 }));
    return isIn(sharedShare(units), 0.8);
  };
}

function shareDifferenceHeld(pots: number): (chance: RandomGenerator) => boolean | undefined {
  return (chance) => {
    const up = (share: number) => ({
      count: Array.from({ length: pots }, () => chance.happens(share)).filter(Boolean).length,
      of: pots,
    });
    return isIn(proportionDifference(up(0.6), up(0.85)), 0.25);
  };
}

/** The truth is the first check by which half of many pots are up. */
function medianHeld(pots: number): (chance: RandomGenerator) => boolean | undefined {
  const truth = 6;
  return (chance) => {
    const waits = Array.from({ length: pots }, () => {
      const time = Math.ceil(truth * Math.exp(0.25 * chance.normal()) - 0.5);
      return { time, happened: time <= 20 };
    });
    const { medianLow, medianHigh } = kaplanMeier(waits);
    if (!medianLow.defined) return undefined;
    return medianLow.value <= truth && (!medianHigh.defined || truth <= medianHigh.value);
  };
}
