import { seedsFor } from './seeds.ts';
import {
  type ContainerKind,
  type Dose,
  type Plan,
  type PlannedUnit,
  plannedUnits,
  type SeedLot,
  treatmentsOf,
  type TreatmentSettings,
} from '../design/index.ts';

/** Dry mix shrinks when it is wetted, so a tenth more is measured out. */
export const SETTLING = 1.1;
/** Share of every amount kept as a spare. */
export const SPARE = 0.1;
/** Usual parts of water to one part of dry mix, by volume, for wetting it through before it is filled in. */
export const WETTING = 0.25;
/** A usual pot to move a seedling on into, in mL. */
export const POT_ON_ML = 250;
/** Labels written beyond one for each unit. */
const SPARE_LABELS = 0.1;

/** What a dose comes to over the units that get it. */
export interface DoseTotal extends Dose {
  readonly treatments: readonly string[];
  readonly units: number;
  readonly total: number;
}

/** Everything a plan takes. Volumes in mL. */
export interface Materials {
  readonly units: number;
  readonly seeds: number;
  readonly packets: number;
  /** By crop id, for plans with several. */
  readonly seedsByCrop: readonly {
    readonly cropId: string;
    readonly seeds: number;
    readonly perPacket: number;
    readonly packets: number;
  }[];
  readonly soilMl: number;
  readonly wettingMl: number;
  /** Parts of water to one of dry mix. */
  readonly wetting: number;
  /** Pots to move plants on into, one for each plant that is kept, and the mix in them; `null` where none are. */
  readonly potOn: { readonly pots: number; readonly mixMl: number } | null;
  readonly waterMlAWatering: number;
  readonly doses: readonly DoseTotal[];
  readonly containers: number;
  /** Cups, pots, jars or bags that each hold one unit, and trays and boxes that hold several. */
  readonly vessels: readonly { readonly kind: ContainerKind; readonly count: number }[];
  /** Linings to cut for units without soil, by what they are. */
  readonly linings: readonly { readonly medium: string; readonly count: number }[];
  readonly trays: number;
  readonly labels: number;
  readonly rowMarkers: number;
}

/**
 * The amounts of a plan. Soil: volume of a place × units × settling × (1 + spare); water to wet the mix: the
 * plan's share of the soil, a quarter where it says none; doses: amount × units of the treatments that get it, × (1 + spare); seeds rounded up to
 * packets, each crop by its own packet.
 */
export function materialsOf(plan: Plan, lots: readonly SeedLot[] = []): Materials {
  const units = plannedUnits(plan);
  const treatments = treatmentsOf(plan);
  const seedsByCrop = new Map(treatments.map(({ settings }) => [settings.cropId, 0]));
  const packetOf = (cropId: string): number => {
    const ids = treatments.flatMap(({ settings }) => (settings.cropId === cropId ? [settings.lotId] : []));
    const lot = lots.find((one) => one.cropId === cropId && ids.includes(one.id));
    return lot?.seedsPerPacket ?? plan.seedsPerPacket;
  };
  let waterMl = 0;
  for (const unit of units) {
    const settings = treatments[unit.treatment]?.settings;
    if (!settings) continue;
    seedsByCrop.set(settings.cropId, (seedsByCrop.get(settings.cropId) ?? 0) + seedsIn(plan, settings));
    waterMl += settings.waterMl;
  }
  const seeds = [...seedsByCrop.values()].reduce((sum, count) => sum + count, 0);
  const seedsByCropRows = [...seedsByCrop].map(([cropId, count]) => {
    const perPacket = packetOf(cropId);
    return { cropId, seeds: count, perPacket, packets: Math.ceil(count / perPacket) };
  });
  const soilMl = plan.conditions.hasSoil ? soilOf(plan, units) : 0;
  const wetting = plan.conditions.wetting ?? WETTING;
  const used = new Set(units.map((unit) => unit.container));
  return {
    units: units.length,
    seeds,
    packets: seedsByCropRows.reduce((sum, row) => sum + row.packets, 0),
    seedsByCrop: seedsByCropRows,
    soilMl,
    ...{ wettingMl: soilMl * wetting, wetting },
    potOn: plan.calendar.potsOn ? potOn(plan, units) : null,
    waterMlAWatering: waterMl,
    doses: dosesOf(plan, units),
    containers: used.size,
    vessels: vesselsOf(plan, units),
    linings: plan.conditions.hasSoil ? [] : liningsOf(plan, units),
    trays: plan.conditions.hasSoil ? used.size : 0,
    labels: Math.ceil(units.length * (1 + SPARE_LABELS)),
    rowMarkers: plan.containers
      .filter((container, index) => container.kind === 'box_rows' && used.has(index))
      .reduce((sum, container) => sum + 2 * container.rows, 0),
  };
}

/** Seeds that go into a unit of a treatment: its own number, or the plan's in proportion to its plants. */
export function seedsIn(
  plan: Pick<Plan, 'seedsPerUnit' | 'plantsPerUnit'>,
  { seeds, plants }: Pick<TreatmentSettings, 'seeds' | 'plants'>,
): number {
  return seeds ?? seedsFor(plan.seedsPerUnit, plan.plantsPerUnit, plants);
}

/** Kinds of which each place is a vessel of its own. */
const ONE_A_UNIT: readonly ContainerKind[] = ['cups', 'pots', 'jars', 'bags'];

function vesselsOf(plan: Plan, units: readonly PlannedUnit[]): Materials['vessels'] {
  const counts = new Map<ContainerKind, number>();
  plan.containers.forEach(({ kind }, index) => {
    const held = units.filter(({ container }) => container === index).length;
    if (held > 0) counts.set(kind, (counts.get(kind) ?? 0) + (ONE_A_UNIT.includes(kind) ? held : 1));
  });
  return [...counts].map(([kind, count]) => ({ kind, count }));
}

function liningsOf(plan: Plan, units: readonly PlannedUnit[]): Materials['linings'] {
  const treatments = treatmentsOf(plan);
  const counts = new Map<string, number>();
  for (const unit of units) {
    const medium = treatments[unit.treatment]?.settings.medium ?? plan.conditions.medium;
    counts.set(medium, (counts.get(medium) ?? 0) + 1);
  }
  return [...counts].map(([medium, count]) => ({ medium, count }));
}

function potOn(plan: Plan, units: readonly PlannedUnit[]): Materials['potOn'] {
  const treatments = treatmentsOf(plan);
  const pots = units.reduce((sum, unit) => sum + (treatments[unit.treatment]?.settings.plants ?? 0), 0);
  return { pots, mixMl: pots * (plan.calendar.potOnMl ?? POT_ON_ML) * SETTLING * (1 + SPARE) };
}

function soilOf(plan: Plan, units: readonly PlannedUnit[]): number {
  const filled = units.reduce((sum, unit) => sum + (plan.containers[unit.container]?.cellMl ?? 0), 0);
  return filled * SETTLING * (1 + SPARE);
}

function dosesOf(plan: Plan, units: readonly PlannedUnit[]): DoseTotal[] {
  const totals = new Map<string, DoseTotal>();
  treatmentsOf(plan).forEach((treatment, index) => {
    const count = units.filter((unit) => unit.treatment === index).length;
    for (const dose of treatment.settings.doses) {
      const key = `${dose.material}|${dose.amount}|${dose.unit}`;
      const before = totals.get(key);
      const all = (before?.units ?? 0) + count;
      totals.set(key, {
        ...dose,
        treatments: [...(before?.treatments ?? []), treatment.code],
        units: all,
        total: all * dose.amount * (1 + SPARE),
      });
    }
  });
  return [...totals.values()];
}
