import type { CalendarDay } from '../shared/index.ts';
import type { ComparedGroup, ComparedUnit, NoShow } from './types.ts';

/** A factor of the design. */
export interface AnalysedFactor {
  readonly name: string;
  readonly levels: readonly {
    readonly name: string;
    readonly isControl: boolean;
    /** How much of it, where the level is an amount. */
    readonly amount: number | null;
  }[];
}

/** A treatment with what it is made of. */
export interface AnalysedTreatment {
  readonly id: string;
  readonly name: string;
  readonly isControl: boolean;
  /** Index of its level of each factor. */
  readonly levels: readonly number[];
  readonly crop: string;
  /** Plants kept in each unit. */
  readonly plants: number;
}

/** A unit with what it can be sorted by. */
export interface AnalysedUnit {
  readonly id: string;
  readonly number: number;
  readonly treatmentId: string;
  readonly sownOn: CalendarDay | null;
  readonly noShow?: NoShow | null;
  readonly block: string;
  readonly team: string;
  readonly seedsSown: number | null;
}

/** The design of an experiment as an analysis needs it. */
export interface Design {
  readonly factors: readonly AnalysedFactor[];
  readonly treatments: readonly AnalysedTreatment[];
  readonly units: readonly AnalysedUnit[];
}

/** Ways of sorting units: by treatment, team, block, crop, or the levels of one factor, as `factor-0`. */
export type GroupBy = 'treatment' | 'team' | 'block' | 'crop' | `factor-${number}`;

/** True for a way of sorting. */
export function isGroupBy(text: string): text is GroupBy {
  return /^(treatment|team|block|crop|factor-\d)$/.test(text);
}

/** Groups with the units in them; units that belong to none are left out. */
export interface Grouped {
  readonly groups: readonly ComparedGroup[];
  readonly units: readonly ComparedUnit[];
}

/** Sorts units into groups. Group ids are those of the treatments, or the names sorted by. */
export function grouped(design: Design, by: GroupBy): Grouped {
  const treatmentOf = new Map(design.treatments.map((treatment) => [treatment.id, treatment]));
  const sorted = (
    groups: readonly ComparedGroup[],
    idOf: (unit: AnalysedUnit) => string | undefined,
  ): Grouped => {
    const known = new Set(groups.map((group) => group.id));
    return {
      groups,
      units: design.units.flatMap((unit) => {
        const groupId = idOf(unit);
        if (groupId === undefined || !known.has(groupId)) return [];
        const { id, number, sownOn, noShow = null } = unit;
        return [{ id, number, groupId, sownOn, noShow }];
      }),
    };
  };
  const named = (idOf: (unit: AnalysedUnit) => string | undefined): Grouped => {
    const names = [...new Set(design.units.flatMap((unit) => idOf(unit) ?? []))]
      .filter((name) => name !== '')
      .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
    return sorted(
      names.map((name) => ({ id: name, name, isControl: false })),
      idOf,
    );
  };
  switch (by) {
    case 'treatment':
      return sorted(
        design.treatments.map(({ id, name, isControl }) => ({ id, name, isControl })),
        (unit) => unit.treatmentId,
      );
    case 'team':
      return named((unit) => unit.team);
    case 'block':
      return named((unit) => unit.block);
    case 'crop':
      return named((unit) => treatmentOf.get(unit.treatmentId)?.crop);
    default: {
      const at = Number(by.slice('factor-'.length));
      const levels = design.factors[at]?.levels ?? [];
      return sorted(
        levels.map(({ name, isControl }) => ({ id: name, name, isControl })),
        (unit) => levels[treatmentOf.get(unit.treatmentId)?.levels[at] ?? -1]?.name,
      );
    }
  }
}
