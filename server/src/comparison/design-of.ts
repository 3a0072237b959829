import {
  type AnalysedTreatment,
  type AnalysedUnit,
  blocksOf,
  type ComparedGroup,
  type ComparedUnit,
  type Design,
} from '@bright-sprout/core/comparison';
import { levelAmount, type Plan, treatmentsOf } from '@bright-sprout/core/design';

/** A unit with all that sorts it. */
export interface UnitRow extends ComparedUnit {
  readonly block: string;
  readonly team: string;
  readonly seedsSown: number | null;
  /** Which container it stands in, by position. */
  readonly container: number;
}

/** A level of a factor; all in the order of factors, then of levels. */
export interface LevelRow {
  readonly factorId: string;
  readonly factor: string;
  readonly id: string;
  readonly name: string;
}

/** A level that a treatment has. */
export interface TreatmentLevelRow {
  readonly treatmentId: string;
  readonly levelId: string;
}

/** Rows of a design as they are stored. */
export interface DesignRows {
  readonly plan: Plan | null;
  readonly cropName: string;
  readonly treatments: readonly ComparedGroup[];
  readonly units: readonly UnitRow[];
  readonly levels: readonly LevelRow[];
  readonly links: readonly TreatmentLevelRow[];
}

/** The design that comparisons sort and analyse by: from the plan, or from the columns of the file it came from. */
export function designOf(rows: DesignRows, cropNames: ReadonlyMap<string, string>): Design {
  const factors = [...new Set(rows.levels.map(({ factorId }) => factorId))].map((factorId) =>
    rows.levels.filter((level) => level.factorId === factorId),
  );
  const control = rows.treatments.find((treatment) => treatment.isControl)?.id;
  const has = (treatmentId: string | undefined, levelId: string): boolean =>
    rows.links.some((link) => link.treatmentId === treatmentId && link.levelId === levelId);
  const blocks = blocksOf(
    rows.units.map(({ groupId, block, container }) => ({ treatmentId: groupId, block, container })),
  );
  return {
    factors: factors.map((levels, at) => ({
      name: levels[0]?.factor ?? '',
      levels: levels.map((level, index) => ({
        name: level.name,
        isControl: has(control, level.id),
        amount: amountOf(rows.plan, at, index, level.name),
      })),
    })),
    treatments: treatmentsWith(rows, cropNames, (treatmentId) =>
      factors.map((levels) => levels.findIndex((level) => has(treatmentId, level.id))),
    ),
    units: rows.units.map((unit, index): AnalysedUnit => ({
      id: unit.id,
      number: unit.number,
      treatmentId: unit.groupId,
      sownOn: unit.sownOn,
      noShow: unit.noShow ?? null,
      block: blocks[index] ?? '',
      team: unit.team,
      seedsSown: unit.seedsSown,
    })),
  };
}

function treatmentsWith(
  { plan, treatments, cropName }: DesignRows,
  cropNames: ReadonlyMap<string, string>,
  levelsOf: (treatmentId: string) => number[],
): AnalysedTreatment[] {
  const planned = plan ? treatmentsOf(plan) : [];
  return treatments.map((treatment, at) => {
    const settings = planned.length === treatments.length ? planned[at]?.settings : undefined;
    return {
      ...treatment,
      levels: levelsOf(treatment.id),
      crop: cropNames.get(settings?.cropId ?? '') ?? cropName,
      plants: settings?.plants ?? 1,
    };
  });
}

/** From the plan; for a design from a file, a number that the name of the level begins with. */
function amountOf(plan: Plan | null, factor: number, level: number, name: string): number | null {
  const planned = plan?.factors[factor];
  const own = planned?.levels[level];
  if (planned && own) return levelAmount(planned.aspect, own);
  const [text] = /^\d+(\.\d+)?/.exec(name) ?? [];
  return text === undefined ? null : Number(text);
}
