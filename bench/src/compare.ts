import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  compareTreatments,
  type Design,
  emergencePart,
  grouped,
  growthPart,
  type ObservedFact,
  teamsPart,
  treatmentsPart,
} from '@bright-sprout/core/comparison';
import { fitCurve, unitDays } from '@bright-sprout/core/growth';
import { addDays, calendarDay, randomGenerator } from '@bright-sprout/core/shared';
import { ROOT } from '@bright-sprout/scripts';
import { median } from './timing.ts';

const SOWN = calendarDay('2026-03-02');
const AGES = Array.from({ length: 20 }, (_, index) => index + 4);
const VARIABLES = 3;
const ROUNDS = 30;
const R_ROUNDS = 10;
const FITS = 1000;

/** The computation of Compare against R, and fits alone. */
export interface ComputationBench {
  /** Whole Compare of all three variables, ms. */
  readonly core: number;
  /** The same tests by R, start-up left out, ms; undefined where there is no R. */
  readonly r: number | undefined;
  readonly fits: number;
  readonly fitsMs: number;
  readonly fitted: number;
}

const GROUPS = ['none', 'half', 'full'];

function design(): Design {
  return {
    factors: [
      { name: 'Feed', levels: GROUPS.map((name, at) => ({ name, isControl: at === 0, amount: at })) },
    ],
    treatments: GROUPS.map((name, at) => ({
      id: name,
      name,
      isControl: at === 0,
      levels: [at],
      crop: 'Oat',
      plants: 1,
    })),
    units: Array.from({ length: 12 }, (_, at) => ({
      id: `u${at}`,
      number: at + 1,
      treatmentId: GROUPS[at % 3] as string,
      sownOn: SOWN,
      block: `row ${1 + Math.floor(at / 3)}`,
      team: ['Newt', 'Heron'][at % 2] as string,
      seedsSown: 1,
    })),
  };
}

function readingsOf({ units }: Design, seed: number): ObservedFact[] {
  const chance = randomGenerator(seed);
  return units.flatMap((unit, at) => {
    const end = 80 + 12 * (at % 3) + 6 * chance.normal();
    return AGES.map((age): ObservedFact => {
      const isUp = age > 5 + (at % 4);
      const value = end / (1 + Math.exp(-0.35 * (age - 12))) + chance.normal();
      return {
        unitId: unit.id,
        day: addDays(SOWN, age),
        state: isUp ? 'emerged' : 'not_emerged',
        value: isUp ? Math.max(0.5, value) : null,
        observer: unit.team,
      };
    });
  });
}

function wholeCompare(plan: Design, readings: readonly ObservedFact[]): void {
  const { groups, units } = grouped(plan, 'treatment');
  const day = addDays(SOWN, AGES.at(-1) ?? 0);
  const comparison = compareTreatments({
    treatments: groups,
    units,
    readings,
    day,
    rule: 'only_up',
    design: plan,
    by: 'treatment',
  });
  const histories = unitDays(readings);
  treatmentsPart(comparison, plan, new Map(units.map((unit) => [unit.id, true])), 'II');
  growthPart(comparison, new Map(units.map((unit) => [unit.id, unit.sownOn])), null);
  emergencePart(comparison, plan, units, { histories, counts: null, packetRate: 0.9, isLength: true });
  teamsPart(comparison, plan, readings);
}

/** Times the whole of Compare in the core, and the same tests in R on the same readings in the same run. */
export function computation(): ComputationBench {
  const plan = design();
  const variables = Array.from({ length: VARIABLES }, (_, at) => readingsOf(plan, 7 + at));
  const compareAll = (): void => variables.forEach((readings) => wholeCompare(plan, readings));
  for (let round = 0; round < 5; round += 1) compareAll();
  const times = Array.from({ length: ROUNDS }, () => timed(compareAll));
  const series = Array.from({ length: FITS }, (_, at) => seriesOf(at));
  for (const points of series.slice(0, 100)) fitCurve('logistic', points);
  let fitted = 0;
  const fitsMs = timed(() => {
    for (const points of series) fitted += fitCurve('logistic', points).defined ? 1 : 0;
  });
  return { core: median(times), r: byR(plan, variables), fits: FITS, fitsMs, fitted };
}

function seriesOf(seed: number) {
  const chance = randomGenerator(seed + 1);
  const [end, rate, middle] = [
    60 + 60 * chance.uniform(),
    0.25 + 0.2 * chance.uniform(),
    9 + 4 * chance.uniform(),
  ];
  return AGES.map((age) => ({ age, value: end / (1 + Math.exp(-rate * (age - middle))) + chance.normal() }));
}

function byR(plan: Design, variables: readonly (readonly ObservedFact[])[]): number | undefined {
  const folder = mkdtempSync(join(tmpdir(), 'sprout-bench-'));
  try {
    const files = variables.map((readings, at) => {
      const file = join(folder, `variable-${at}.csv`);
      writeFileSync(file, ['unit,group,block,team,age,state,value', ...linesOf(plan, readings)].join('\n'));
      return file;
    });
    const script = join(ROOT, 'bench', 'compare.R');
    const found = spawnSync('Rscript', [script, String(R_ROUNDS), ...files], { encoding: 'utf8' });
    const seconds = Number(found.stdout);
    return found.status === 0 && seconds > 0 ? seconds * 1000 : undefined;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function linesOf(plan: Design, readings: readonly ObservedFact[]): string[] {
  return readings.map((reading) => {
    const unit = plan.units.find(({ id }) => id === reading.unitId);
    const age = (Date.parse(reading.day) - Date.parse(SOWN)) / 86_400_000;
    const facts = [unit?.number, unit?.treatmentId, unit?.block, unit?.team, age];
    return [...facts, reading.state, reading.value ?? 'NA'].join(',');
  });
}

function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
