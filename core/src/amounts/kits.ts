import { type GivenDose, type UnitPlan } from '../design/index.ts';
import { type MixTotal, mixTotals } from './materials.ts';

/** So many seeds of a crop for a kit. */
export interface KitSeeds {
  readonly cropId: string;
  readonly seeds: number;
}

/** A dose of a kit and the treatments whose units get it. */
export interface KitDose extends GivenDose {
  readonly treatments: readonly string[];
  readonly units: number;
}

/** What the teams of a kit get for their units. Volumes in mL. */
export interface Kit {
  readonly teams: readonly string[];
  readonly units: number;
  readonly seeds: readonly KitSeeds[];
  readonly mixes: readonly MixTotal[];
  readonly linings: readonly { readonly medium: string; readonly count: number }[];
  /** Water of sowing day: what wets linings, or the first watering. */
  readonly waterMl: number;
  /** The amounts that one unit of it gets, each once. */
  readonly waterOfOne: readonly number[];
  readonly doses: readonly KitDose[];
}

/** Team 2 comes before team 10. */
const IN_ORDER = new Intl.Collator('en', { numeric: true });

/**
 * The kit of each team for what is done to its own units; teams whose kits hold the same share one.
 * @param units each with the team that has it
 */
export function kitsOf(units: readonly (UnitPlan & { readonly team: string })[]): Kit[] {
  const kits = new Map<string, Kit>();
  const teams = [...new Set(units.map(({ team }) => team))];
  for (const team of teams.sort(IN_ORDER.compare)) {
    const { teams: own, ...kit } = kitOf(
      team,
      units.filter((unit) => unit.team === team),
    );
    const key = JSON.stringify(kit);
    kits.set(key, { teams: [...(kits.get(key)?.teams ?? []), ...own], ...kit });
  }
  return [...kits.values()];
}

function kitOf(team: string, units: readonly UnitPlan[]): Kit {
  const waters = units.map(({ waterMl, wettingMl }) => wettingMl || waterMl);
  return {
    teams: [team],
    units: units.length,
    seeds: [...new Set(units.map(({ cropId }) => cropId))].sort().map((cropId) => ({
      cropId,
      seeds: units.reduce((sum, unit) => sum + (unit.cropId === cropId ? unit.seeds : 0), 0),
    })),
    mixes: mixTotals(units),
    linings: [...counted(units.flatMap(({ filling, medium }) => (filling === 'lining' ? [medium] : [])))].map(
      ([medium, count]) => ({ medium, count }),
    ),
    waterMl: waters.reduce((sum, ml) => sum + ml, 0),
    waterOfOne: [...new Set(waters.filter((ml) => ml > 0))].sort((a, b) => a - b),
    doses: dosesOf(units),
  };
}

function dosesOf(units: readonly UnitPlan[]): KitDose[] {
  const doses = new Map<string, KitDose>();
  for (const { doses: own, treatment } of units) {
    for (const dose of own) {
      const key = JSON.stringify(dose);
      const before = doses.get(key);
      doses.set(key, {
        ...dose,
        treatments: [...new Set([...(before?.treatments ?? []), treatment.code])].sort(),
        units: (before?.units ?? 0) + 1,
      });
    }
  }
  return [...doses].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, dose]) => dose);
}

function counted(words: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const word of [...words].sort()) counts.set(word, (counts.get(word) ?? 0) + 1);
  return counts;
}
