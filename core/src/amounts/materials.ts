import {
  type ContainerKind,
  type Dose,
  isInWater,
  type PlacedUnitPlan,
  type Plan,
  type SeedLot,
  unitPlans,
} from '../design/index.ts';

/** Dry mix shrinks when it is wetted, so a tenth more is measured out. */
export const SETTLING = 1.1;
/** Share of every amount kept as a spare. */
export const SPARE = 0.1;
/** Usual parts of water to one part of dry mix, by volume, for wetting it through before it is filled in. */
export const WETTING = 0.25;
/** A usual pot to move a seedling on into, in mL: this, or twice as large as the one that it grew in. */
const POT_ON_ML = 250;
const TIMES_LARGER = 2;
/** Labels written beyond one for each unit. */
const SPARE_LABELS = 0.1;
const ML_A_LITRE = 1000;

/** What a dose comes to over the units that get it. */
export interface DoseTotal extends Dose {
  readonly treatments: readonly string[];
  readonly units: number;
  /** With the spare, in the dose's unit; of what is given in water in g or mL, over all waterings. */
  readonly total: number;
}

/** So much of a crop's seed. */
export interface SeedTotal {
  readonly cropId: string;
  readonly seeds: number;
  readonly perPacket: number;
  readonly packets: number;
}

/** So much of a part of the mixes, in mL. */
export interface MixTotal {
  readonly material: string;
  readonly ml: number;
}

/** Everything a plan takes. Volumes in mL. */
export interface Materials {
  readonly units: number;
  readonly seeds: number;
  readonly packets: number;
  /** By crop id, for plans with several. */
  readonly seedsByCrop: readonly SeedTotal[];
  readonly soilMl: number;
  /** What the mixes are made of; together `soilMl`. */
  readonly mixes: readonly MixTotal[];
  readonly wettingMl: number;
  /** Parts of water to one of dry mix. */
  readonly wetting: number;
  /** Pots to move plants on into, one for each plant that is kept, and the mix in them; `null` where none are. */
  readonly potOn: { readonly pots: number; readonly mixMl: number } | null;
  /** Water that wets linings on sowing day. */
  readonly liningMl: number;
  readonly waterMlAWatering: number;
  readonly doses: readonly DoseTotal[];
  readonly containers: number;
  /** Cups, pots, jars or bags that each hold one unit, and trays and boxes that hold several. */
  readonly vessels: readonly { readonly kind: ContainerKind; readonly count: number }[];
  /** Linings to cut for units without soil, by what they are. */
  readonly linings: readonly { readonly medium: string; readonly count: number }[];
  /** Under containers that are watered. */
  readonly trays: number;
  /** Containers that are covered until their seedlings are up. */
  readonly covers: number;
  readonly labels: number;
  readonly rowMarkers: number;
}

/** What amounts are worked out with, beside the plan. */
export interface MaterialsKnown {
  readonly lots?: readonly SeedLot[];
  /** Waterings from sowing day to the lesson, both counted in. */
  readonly waterings?: number;
}

/**
 * The amounts of a plan, over what is done to each of its units. Soil: volume of a place × units × settling × (1 + spare),
 * each part of a mix by its share; water to wet the mix: the plan's share of the soil, a quarter where it says none;
 * doses: amount × units that get it × (1 + spare), in water amount × litres × waterings; seeds rounded up to packets, each
 * crop by its own packet.
 */
export function materialsOf(plan: Plan, { lots = [], waterings = 1 }: MaterialsKnown = {}): Materials {
  const units = unitPlans(plan, { crops: [], lots }).sort((a, b) => a.unit.treatment - b.unit.treatment);
  const seedsByCrop = seedTotals(plan, units, lots);
  const mixes = mixTotals(units);
  const soilMl = sumOf(mixes.map(({ ml }) => ml));
  const wetting = plan.conditions.wetting ?? WETTING;
  const containersOf = (some: readonly PlacedUnitPlan[]): number =>
    new Set(some.map(({ unit }) => unit.container)).size;
  const used = new Set(units.map(({ unit }) => unit.container));
  return {
    units: units.length,
    seeds: sumOf(seedsByCrop.map(({ seeds }) => seeds)),
    packets: sumOf(seedsByCrop.map(({ packets }) => packets)),
    seedsByCrop,
    soilMl,
    mixes,
    ...{ wettingMl: soilMl * wetting, wetting },
    potOn: plan.calendar.potsOn ? potOn(plan, units) : null,
    liningMl: sumOf(units.map(({ wettingMl }) => wettingMl)),
    waterMlAWatering: sumOf(units.map(({ waterMl }) => waterMl)),
    doses: doseTotals(units, waterings),
    containers: used.size,
    vessels: vesselsOf(plan, units),
    linings: liningsOf(units),
    trays: containersOf(units.filter(({ closing, vessel }) => closing !== 'sealed' && vessel !== 'jars')),
    covers: containersOf(units.filter(({ closing }) => closing === 'until_up' || closing === 'covered')),
    labels: Math.ceil(units.length * (1 + SPARE_LABELS)),
    rowMarkers: plan.containers
      .filter((container, index) => container.kind === 'box_rows' && used.has(index))
      .reduce((sum, container) => sum + 2 * container.rows, 0),
  };
}

function sumOf(amounts: readonly number[]): number {
  return amounts.reduce((sum, amount) => sum + amount, 0);
}

function seedTotals(
  plan: Plan,
  units: readonly PlacedUnitPlan[],
  lots: readonly SeedLot[],
): readonly SeedTotal[] {
  return [...new Set(units.map(({ cropId }) => cropId))].map((cropId) => {
    const own = units.filter((unit) => unit.cropId === cropId);
    const lot = lots.find((one) => one.cropId === cropId && own.some(({ lotId }) => lotId === one.id));
    const perPacket = lot?.seedsPerPacket ?? plan.seedsPerPacket;
    const seeds = sumOf(own.map((unit) => unit.seeds));
    return { cropId, seeds, perPacket, packets: Math.ceil(seeds / perPacket) };
  });
}

/** The mix of some units by what it is made of, in mL, with what settles and the spare. */
export function mixTotals(units: readonly Pick<PlacedUnitPlan, 'mixMl' | 'recipe'>[]): MixTotal[] {
  const totals = new Map<string, MixTotal>();
  for (const { mixMl, recipe } of units) {
    for (const { material, share } of recipe) {
      const key = material.toLowerCase();
      const before = totals.get(key);
      const ml = (before?.ml ?? 0) + mixMl * share * SETTLING * (1 + SPARE);
      totals.set(key, { material: before?.material ?? material, ml });
    }
  }
  return [...totals.values()].filter(({ ml }) => ml > 0);
}

/** Kinds of which each place is a vessel of its own. */
const ONE_A_UNIT: readonly ContainerKind[] = ['cups', 'pots', 'jars', 'bags'];

function vesselsOf(plan: Plan, units: readonly PlacedUnitPlan[]): Materials['vessels'] {
  const counts = new Map<ContainerKind, number>();
  plan.containers.forEach(({ kind }, index) => {
    const held = units.filter(({ unit }) => unit.container === index).length;
    if (held > 0) counts.set(kind, (counts.get(kind) ?? 0) + (ONE_A_UNIT.includes(kind) ? held : 1));
  });
  return [...counts].map(([kind, count]) => ({ kind, count }));
}

function liningsOf(units: readonly PlacedUnitPlan[]): Materials['linings'] {
  const counts = new Map<string, number>();
  for (const { filling, medium } of units) {
    if (filling === 'lining') counts.set(medium, (counts.get(medium) ?? 0) + 1);
  }
  return [...counts].map(([medium, count]) => ({ medium, count }));
}

function potOn(plan: Plan, units: readonly PlacedUnitPlan[]): Materials['potOn'] {
  const pots = sumOf(units.map(({ plants }) => plants));
  return { pots, mixMl: pots * potOnMl(plan) * SETTLING * (1 + SPARE) };
}

/** Volume of a pot to move plants on into, in mL: the plan's, else a usual one that is larger than where they stand. */
export function potOnMl({ calendar, containers, conditions }: Plan): number {
  const largest = conditions.hasSoil ? Math.max(...containers.map(({ cellMl }) => cellMl)) : 0;
  return calendar.potOnMl ?? Math.max(POT_ON_ML, TIMES_LARGER * largest);
}

function doseTotals(units: readonly PlacedUnitPlan[], waterings: number): DoseTotal[] {
  const totals = new Map<string, DoseTotal>();
  for (const { doses, treatment, waterMl, wettingMl } of units) {
    for (const { material, amount, unit } of doses) {
      const key = JSON.stringify([material, amount, unit]);
      const before = totals.get(key);
      const ml = waterMl > 0 ? waterMl * waterings : wettingMl;
      const once = isInWater({ unit }) ? (amount * ml) / ML_A_LITRE : amount;
      const codes = before?.treatments ?? [];
      totals.set(key, {
        ...{ material, amount, unit },
        treatments: codes.includes(treatment.code) ? codes : [...codes, treatment.code],
        units: (before?.units ?? 0) + 1,
        total: (before?.total ?? 0) + once * (1 + SPARE),
      });
    }
  }
  return [...totals.values()];
}
