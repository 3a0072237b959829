import type { ComparedUnit, Design } from '@bright-sprout/core/comparison';
import { type Plan, treatmentsOf } from '@bright-sprout/core/design';
import type { ReadingFact } from '@bright-sprout/core/growth';
import { type CalendarDay, calendarDay, type NoShowReason } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { prepared } from '../shared/index.ts';
import { designOf, type DesignRows, type LevelRow, type UnitRow } from './design-of.ts';

/** A variable as a comparison needs it. */
export interface ComparedVariable {
  readonly id: string;
  readonly name: string;
  readonly kind: 'length' | 'count' | 'number' | 'score';
  readonly unit: string;
  readonly step: number;
}

/** Everything that a comparison of one variable needs from the database. */
export interface ComparisonFacts {
  /** Undefined when the experiment has no such variable. */
  readonly variable: ComparedVariable | undefined;
  readonly sowOn: CalendarDay;
  readonly units: readonly ComparedUnit[];
  readonly design: Design;
  readonly plantRule: Plan['plantRule'] | null;
  /** What the packet states, 0–1; `null` when there is no packet. */
  readonly packetRate: number | null;
  /** Readings that no correction supersedes, in the order they were made. */
  readonly readings: readonly ReadingFact[];
  /** The same of every variable; empty unless it was asked for. */
  readonly all: readonly AnyReading[];
  /** Days of the readings of the variable that are set aside. */
  readonly setAsideDays: readonly string[];
}

interface VariableRow extends ComparedVariable {
  readonly sowOn: string;
  readonly cropName: string;
  /** JSON. */
  readonly plan: string | null;
  /** JSON. */
  readonly lot: string | null;
}

/** Why a unit did not come up, as it was noted on a day. */
interface CauseRow {
  readonly unitId: string;
  readonly reason: NoShowReason;
  readonly day: CalendarDay;
}

/** A reading of any variable, with who made it. */
export interface AnyReading extends ReadingFact {
  /** Name of what was read, and its id. */
  readonly variable: string;
  readonly variableId: string;
  readonly observer: string;
}

/** What was made of a reading since. */
interface Since {
  readonly id: string;
  readonly supersedesId: string | null;
  readonly isSetAside: number;
}

interface TreatmentRow {
  readonly id: string;
  readonly name: string;
  readonly isControl: number;
  readonly levelId: string | null;
}

const VARIABLE = `
  SELECT v.id, v.name, v.kind, v.unit, v.step, e.sow_on AS sowOn, e.crop_name AS cropName, e.plan_document AS plan,
         l.figures AS lot
  FROM experiment e JOIN variable v ON v.experiment_id = e.id
  LEFT JOIN seed_lot l ON l.id = JSON_VALUE(e.plan_document, '$.lotId') AND l.teacher_id = e.teacher_id
  WHERE e.id = ? AND (v.id = ? OR (? IS NULL AND v.position = 0))`;

/** A row for each level that a treatment has; one for a treatment without any. */
const TREATMENTS = `
  SELECT t.id, t.name, t.is_control AS isControl, k.level_id AS levelId
  FROM treatment t LEFT JOIN treatment_level k ON k.treatment_id = t.id WHERE t.experiment_id = ? ORDER BY t.position`;

const UNITS = `
  SELECT u.id, u.number, u.treatment_id AS groupId, u.sown_on AS sownOn, u.block, u.team, u.seeds_sown AS seedsSown,
         c.position AS container
  FROM unit u JOIN container c ON c.id = u.container_id WHERE u.experiment_id = ? ORDER BY u.number`;

const CAUSES = `
  SELECT u.unit_id AS unitId, e.reason, e.happened_on AS day
  FROM care_event e JOIN care_unit u ON u.care_event_id = e.id
  WHERE e.experiment_id = ? AND e.kind = 'cause' AND e.reason IS NOT NULL AND e.undone_at IS NULL
  ORDER BY e.recorded_at, e.id`;

const LEVELS = `
  SELECT f.id AS factorId, f.name AS factor, l.id, l.name
  FROM factor f JOIN level l ON l.factor_id = f.id WHERE f.experiment_id = ? ORDER BY f.position, l.position`;

const CROPS = 'SELECT id, common_name AS name FROM crop WHERE id IN (?)';

// The index is named, as the database misjudges a class that has just grown: it then read all for each pot.
const readingsSql = (moreColumns: string, ofVariable: string): string => `
  SELECT r.id, r.unit_id AS unitId, r.observed_on AS day, r.state, r.value, r.supersedes_id AS supersedesId,
         s.id IS NOT NULL AS isSetAside ${moreColumns}
  FROM unit u
  JOIN variable v ON v.experiment_id = u.experiment_id ${ofVariable}
  JOIN reading r FORCE INDEX (ix_reading_unit) ON r.unit_id = u.id AND r.variable_id = v.id
  LEFT JOIN set_aside s ON s.reading_id = r.id AND s.lifted_at IS NULL
  WHERE u.experiment_id = ?
  ORDER BY r.recorded_at, r.id`;

const READINGS = readingsSql('', 'AND (v.id = ? OR (? IS NULL AND v.position = 0))');
const ALL_READINGS = readingsSql(', r.variable_id AS variableId, v.name AS variable, r.observer', '');

/** Whether readings that were set aside count. */
export type SetAsideRule = 'left_out' | 'included';

/** Fetches the facts of a comparison in one go. */
@Injectable()
export class ComparisonFactsService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /**
   * Facts of a variable; of the plan's first when none is named.
   * @param withAll fetches the readings of every variable in the same go
   */
  async of(
    experimentId: string,
    variableId: string | undefined,
    setAside: SetAsideRule,
    withAll: boolean,
  ): Promise<ComparisonFacts> {
    const wanted = variableId ?? null;
    const [found, rawUnits, treatments, variables, levels, causes] = await Promise.all([
      withAll
        ? prepared<(AnyReading & Since)[]>(this.source, ALL_READINGS, [experimentId])
        : prepared<(ReadingFact & Since)[]>(this.source, READINGS, [wanted, wanted, experimentId]),
      prepared<UnitRow[]>(this.source, UNITS, [experimentId]),
      prepared<TreatmentRow[]>(this.source, TREATMENTS, [experimentId]),
      prepared<VariableRow[]>(this.source, VARIABLE, [experimentId, wanted, wanted]),
      prepared<LevelRow[]>(this.source, LEVELS, [experimentId]),
      prepared<CauseRow[]>(this.source, CAUSES, [experimentId]),
    ]);
    const [variable] = variables;
    const units = withCauses(rawUnits, causes);
    const standing = standingOf(found);
    const counted = setAside === 'included' ? standing : standing.filter((row) => row.isSetAside === 0);
    const isCompared = (row: ReadingFact): boolean => !isOfAny(row) || row.variableId === variable?.id;
    const plan = variable?.plan ? (JSON.parse(variable.plan) as Plan) : null;
    const rows = {
      plan,
      cropName: variable?.cropName ?? '',
      ...treatmentsAndLinks(treatments),
      units,
      levels,
    };
    const cropNames = await this.#cropNames(plan);
    return {
      variable,
      sowOn: calendarDay(variable?.sowOn ?? '2000-01-01'),
      units,
      design: designOf(rows, cropNames),
      plantRule: plan?.plantRule ?? null,
      // One packet tells nothing of the other crops' seed.
      packetRate: cropNames.size > 0 ? null : packetRate(variable?.lot),
      readings: counted.filter(isCompared),
      all: counted.flatMap((row) => (isOfAny(row) ? [row] : [])),
      setAsideDays: standing.filter((row) => row.isSetAside === 1 && isCompared(row)).map(({ day }) => day),
    };
  }

  /** Names of the crops of a plan by id, where it has more than one. */
  async #cropNames(plan: Plan | null): Promise<ReadonlyMap<string, string>> {
    const ids = [...new Set(plan ? treatmentsOf(plan).map(({ settings }) => settings.cropId) : [])];
    if (ids.length === 0 || (ids.length === 1 && ids[0] === plan?.cropId)) return new Map();
    const crops = await this.source.query<{ id: string; name: string }[]>(CROPS, [ids]);
    return new Map(crops.map(({ id, name }) => [id, name]));
  }
}

/** True of a reading that was fetched with those of every variable. */
function isOfAny(row: ReadingFact): row is AnyReading {
  return 'variableId' in row;
}

/** Those of some readings that no other corrects. */
function standingOf<Row extends Since>(rows: readonly Row[]): Row[] {
  const superseded = new Set(rows.map((row) => row.supersedesId));
  return rows.filter((row) => !superseded.has(row.id));
}

/** Treatments in their order, and the levels that each has. */
function treatmentsAndLinks(rows: readonly TreatmentRow[]): Pick<DesignRows, 'treatments' | 'links'> {
  const treatments = new Map(
    rows.map(({ id, name, isControl }) => [id, { id, name, isControl: isControl === 1 }]),
  );
  const links = rows.flatMap(({ id: treatmentId, levelId }) =>
    levelId === null ? [] : [{ treatmentId, levelId }],
  );
  return { treatments: [...treatments.values()], links };
}

/** Units with the reason that was noted last for each. */
function withCauses(units: readonly UnitRow[], causes: readonly CauseRow[]): readonly UnitRow[] {
  if (causes.length === 0) return units;
  const last = new Map(causes.map(({ unitId, ...noShow }) => [unitId, noShow]));
  return units.map((unit) => ({ ...unit, noShow: last.get(unit.id) ?? null }));
}

/** What a packet states of its rate, 0–1; `null` when there is no packet. */
function packetRate(lot: string | null | undefined): number | null {
  const percent = lot ? (JSON.parse(lot) as { germinationPercent: number | null }).germinationPercent : null;
  return percent === null ? null : percent / 100;
}
