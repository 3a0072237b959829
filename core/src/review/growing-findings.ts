import { emptyUnits, seedsNeeded, type SowingWish, sowingWith, sparesNeeded } from '../amounts/index.ts';
import { isSetSingly, kindsOfUnit, type Plan, treatmentsOf, usualWaterMl, seedsIn } from '../design/index.ts';
import {
  planCalendar,
  type PlanSurroundings,
  sowingWish,
  type TreatmentGrowth,
  treatmentGrowth,
} from '../calendar/index.ts';
import type { Finding, Mend } from './finding.ts';
import { replicatesMend } from './design-findings.ts';
import { replicatesToSee, visibleDifference } from './visible-difference.ts';

const NOTHING: Mend['cost'] = { units: 0, seeds: 0, days: 0 };
/** Chance of an empty unit from which it is worth a word. */
const EMPTY_CHANCE = 0.2;
const LIKELY_EMPTY = 0.5;
/** A difference below this share of the mean is what a class usually hopes to see. */
const HOPED_FOR = 0.3;
const WRONG_DEPTH = 2;
const LEAST_DEPTH_GAP = 6;
const ROOM_C = 21;

/** Faults of seeds, place and growth: what is likely to come up, and whether a difference could be seen. */
export function growingFindings(plan: Plan, surroundings: PlanSurroundings): Finding[] {
  const growths = treatmentGrowth(plan, surroundings);
  return [
    ...place(plan, surroundings, growths),
    ...emptyPots(plan, surroundings, growths),
    ...water(plan, surroundings),
    ...sorted(plan),
    ...difference(plan, surroundings),
    ...tallestOfMany(plan),
    ...firstReadings(plan, surroundings, growths),
  ];
}

function place(plan: Plan, surroundings: PlanSurroundings, growths: readonly TreatmentGrowth[]): Finding[] {
  const findings: Finding[] = [];
  const seen = new Set<string>();
  const kinds = kindsOfUnit(plan, surroundings);
  for (const { crop, facts, treatment } of growths) {
    const unit = kinds.find((one) => one.treatment.code === treatment.code);
    if (!crop || !facts || !unit || seen.has(crop.id)) continue;
    const { temperatureC, light } = unit;
    const isVaried = (aspect: string): boolean => plan.factors.some((factor) => factor.aspect === aspect);
    const depth = unit.depthMm;
    const isInMix = unit.filling === 'mix';
    const { min, max } = crop.temperatureC;
    if (!isVaried('temperature') && (temperatureC <= min || temperatureC > max)) {
      findings.push({
        severity: 'stops',
        facts: { code: 'temperature_wrong', crop: crop.commonName, temperatureC, min, max },
        mend: conditionMend(plan, { temperatureC: Math.min(ROOM_C, max) }),
      });
    }
    if (!isVaried('light') && !isVaried('depth')) {
      const isBuried = depth !== null && depth > LEAST_DEPTH_GAP / 2 && isInMix;
      if (crop.lightToGerminate === 'needs_light' && (light === 'dark' || isBuried)) {
        const facts = { code: 'light_wrong', crop: crop.commonName, needs: 'light' } as const;
        const mend = conditionMend(plan, { light: light === 'dark' ? 'bright' : light, depthRule: 'packet' });
        findings.push({ severity: 'weakens', facts, mend });
      }
      if (crop.lightToGerminate === 'needs_dark' && light !== 'dark' && (depth ?? 0) < 3) {
        const facts = { code: 'light_wrong', crop: crop.commonName, needs: 'dark' } as const;
        findings.push({ severity: 'weakens', facts, mend: conditionMend(plan, { depthRule: 'packet' }) });
      }
    }
    const usual = facts.depthMm;
    if (usual !== null && depth !== null && !isVaried('depth') && isInMix && plan.kind !== 'sections') {
      const isFar = depth > usual * WRONG_DEPTH || depth * WRONG_DEPTH < usual;
      if (isFar && Math.abs(depth - usual) > LEAST_DEPTH_GAP) {
        findings.push({
          severity: 'weakens',
          facts: { code: 'depth_wrong', crop: crop.commonName, depthMm: depth, usualMm: usual },
          mend: conditionMend(plan, { depthRule: 'packet' }),
        });
      }
    }
    seen.add(crop.id);
  }
  for (const growth of growths) {
    const { crop, setting, treatment } = growth;
    const name = crop?.commonName ?? treatment.settings.cropId;
    if (setting.defined || setting.reason === 'temperature_outside' || seen.has(`?${name}`)) continue;
    seen.add(`?${name}`);
    findings.push({
      severity: 'look',
      facts: { code: 'unknown_figures', crop: name, reason: setting.reason },
      mend: null,
    });
  }
  return findings;
}

/** A watering this many times the usual, or this part of it, drowns or dries what stands there. */
const FAR_OFF = 3;

function water(plan: Plan, surroundings: PlanSurroundings): Finding[] {
  if (plan.factors.some((factor) => factor.aspect === 'water')) return [];
  const wrong = kindsOfUnit(plan, surroundings).find(({ mixMl, waterMl }) => {
    const usualMl = usualWaterMl(mixMl);
    return mixMl > 0 && (waterMl * FAR_OFF < usualMl || waterMl > usualMl * FAR_OFF);
  });
  if (!wrong) return [];
  const { waterMl, mixMl: cellMl } = wrong;
  const facts = { code: 'water_far_off', waterMl, cellMl, usualMl: usualWaterMl(cellMl) } as const;
  return [{ severity: 'look', facts, mend: conditionMend(plan, { waterMl: facts.usualMl }) }];
}

/** Each level takes no more seeds than its sorting left. */
function sorted(plan: Plan): Finding[] {
  return plan.factors.flatMap((factor, at) =>
    factor.levels.flatMap((level, index): Finding[] => {
      const own = treatmentsOf(plan).filter(({ levels }) => levels[at] === index);
      const wanted = own.reduce((sum, { settings }) => sum + plan.replicates * seedsIn(plan, settings), 0);
      const left = level.sorted ?? wanted;
      if (wanted <= left) return [];
      const facts = { code: 'more_than_sorted', level: level.name, wanted, sorted: left } as const;
      return [{ severity: 'stops', facts, mend: null }];
    }),
  );
}

function conditionMend(plan: Plan, changes: Partial<Plan['conditions']>): Mend {
  return { changes: { conditions: { ...plan.conditions, ...changes } }, cost: NOTHING };
}

function emptyPots(
  plan: Plan,
  surroundings: PlanSurroundings,
  growths: readonly TreatmentGrowth[],
): Finding[] {
  const wish = sowingWish(plan, growths);
  if (!wish.defined) return [];
  if (wish.value.groups.some(({ rate }) => rate.share <= 0)) {
    return [{ severity: 'stops', facts: { code: 'packet_too_poor' }, mend: null }];
  }
  const seeds = plan.seedsPerUnit;
  const { expected, chanceOfAny } = emptyUnits(seeds, wish.value);
  if (chanceOfAny < EMPTY_CHANCE || plan.measure.variable === 'seeds up') return [];
  const crop = surroundings.crops.find(({ id }) => id === plan.cropId);
  const single = isSetSingly(plan, crop) ? (crop?.propagule ?? null) : null;
  const mend = single === null ? moreSeeds(seeds, wish.value) : null;
  const needed = sparesNeeded(wish.value);
  const spares = single !== null && needed.defined ? needed.value.spares : 0;
  // Nobody sows several of what is set in one by one, so a spare is the usual way and not a fault.
  const severity = single !== null || chanceOfAny < LIKELY_EMPTY ? 'look' : 'weakens';
  return [
    { severity, facts: { code: 'pots_stay_empty', expected, chanceOfAny, seeds, single, spares }, mend },
  ];
}

function moreSeeds(seeds: number, wish: SowingWish): Mend | null {
  const needed = seedsNeeded(wish);
  if (!needed.defined || needed.value.seedsPerUnit <= seeds) return null;
  const more = needed.value.seeds - sowingWith(seeds, wish).seeds;
  return {
    changes: { seedsPerUnit: needed.value.seedsPerUnit },
    cost: { units: 0, seeds: more, days: 0 },
  };
}

function difference(plan: Plan, surroundings: PlanSurroundings): Finding[] {
  if (plan.factors.some((factor) => factor.aspect === 'age')) return [];
  const found = visibleDifference(plan, surroundings);
  if (!found.defined) return [];
  const { more } = found.value;
  // How large a difference a class wants to see is its own choice, not a fault of the plan.
  const severity = more > HOPED_FOR ? 'look' : 'fine';
  const wanted = severity === 'fine' ? null : replicatesToSee(plan, surroundings, HOPED_FOR);
  const mend = wanted === null ? null : replicatesMend(plan, wanted);
  return [
    {
      severity,
      facts: { code: 'smallest_difference', replicates: plan.replicates, wanted, ...found.value },
      mend,
    },
  ];
}

/** The tallest of three is likely to be taller than an only plant, whatever crowding does. */
function tallestOfMany(plan: Plan): Finding[] {
  const isVaried = plan.factors.some((factor) => factor.aspect === 'density');
  if (!isVaried || plan.measure.variable !== 'height' || plan.plantRule !== 'tallest') return [];
  const mend: Mend = { changes: { plantRule: 'tagged' }, cost: NOTHING };
  return [{ severity: 'weakens', facts: { code: 'tallest_of_many' }, mend }];
}

function firstReadings(
  plan: Plan,
  surroundings: PlanSurroundings,
  growths: readonly TreatmentGrowth[],
): Finding[] {
  const { tasks, emergence } = planCalendar(plan, surroundings);
  const reads = tasks.filter((task) => task.code === 'read');
  if (reads.length === 0) return [{ severity: 'stops', facts: { code: 'no_readings' }, mend: null }];
  const isReadBefore = emergence !== undefined && reads.every((task) => task.day < emergence.from);
  if (!isReadBefore || !growths.some(({ window }) => window.defined)) return [];
  return [{ severity: 'stops', facts: { code: 'reads_before_up', up: emergence.from }, mend: null }];
}
