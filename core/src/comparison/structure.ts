import type { Design, GroupBy } from './grouping.ts';
import type { ComparedGroup, ComparedUnit } from './types.ts';

/** What stands behind the groups of a comparison: which treatment and block each unit had. */
export interface Structure {
  /** Number of treatments. */
  readonly cells: number;
  /** Number of factors that are crossed, 1 where none are. */
  readonly factors: number;
  /** The treatment of each unit, by index; units without one take no part. */
  readonly cellOf: ReadonlyMap<string, number>;
  /** The block of each unit, by index; all 0 without blocks. */
  readonly blockOf: ReadonlyMap<string, number>;
  /** The treatments of each group, by what else they had: groups are compared where the rest is alike. */
  readonly cellsOf: ReadonlyMap<string, ReadonlyMap<string, number>>;
}

/** Groups that nothing stands behind: each is a treatment of its own, without blocks. */
export function plainStructure(groups: readonly ComparedGroup[], units: readonly ComparedUnit[]): Structure {
  const place = new Map(groups.map((group, index) => [group.id, index]));
  return {
    cells: groups.length,
    factors: 1,
    cellOf: new Map(units.flatMap((unit) => pairOf(unit.id, place.get(unit.groupId)))),
    blockOf: new Map(),
    cellsOf: new Map(groups.map((group, index) => [group.id, new Map([['', index]])])),
  };
}

/**
 * The structure of groups sorted by treatment or by the levels of a factor. Other ways of sorting cut across the
 * design and have none of their own.
 */
export function structureOf(
  design: Design,
  by: GroupBy,
  groups: readonly ComparedGroup[],
  units: readonly ComparedUnit[],
): Structure {
  if (by !== 'treatment' && !by.startsWith('factor-')) return plainStructure(groups, units);
  const factor = by === 'treatment' ? null : Number(by.slice('factor-'.length));
  const place = new Map(design.treatments.map((treatment, index) => [treatment.id, index]));
  const blocks = [...new Set(design.units.map((unit) => unit.block))];
  const cellsOf = new Map<string, Map<string, number>>();
  design.treatments.forEach((treatment, index) => {
    const level = factor === null ? undefined : treatment.levels[factor];
    const groupId = factor === null ? treatment.id : design.factors[factor]?.levels[level ?? -1]?.name;
    if (groupId === undefined) return;
    const rest = factor === null ? '' : treatment.levels.filter((_, at) => at !== factor).join(' ');
    const known = cellsOf.get(groupId) ?? new Map<string, number>();
    cellsOf.set(groupId, known.set(rest, index));
  });
  return {
    cells: design.treatments.length,
    factors: Math.max(1, design.factors.length),
    cellOf: new Map(design.units.flatMap((unit) => pairOf(unit.id, place.get(unit.treatmentId)))),
    blockOf: new Map(design.units.map((unit) => [unit.id, blocks.indexOf(unit.block)])),
    cellsOf,
  };
}

function pairOf(id: string, cell: number | undefined): [string, number][] {
  return cell === undefined ? [] : [[id, cell]];
}
