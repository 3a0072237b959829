import type { ComparedGroup, ComparedUnit } from '@bright-sprout/core/comparison';
import type { ReadingFact } from '@bright-sprout/core/growth';
import { type CalendarDay, calendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';

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
  readonly treatments: readonly ComparedGroup[];
  readonly units: readonly ComparedUnit[];
  /** Readings that no correction supersedes, in the order they were made. */
  readonly readings: readonly ReadingFact[];
  /** The same of every variable; empty unless it was asked for. */
  readonly all: readonly AnyReading[];
}

/** A reading of any variable, with who made it. */
export interface AnyReading extends ReadingFact {
  /** Name of what was read, and its id. */
  readonly variable: string;
  readonly variableId: string;
  readonly observer: string;
}

const VARIABLE = `
  SELECT v.id, v.name, v.kind, v.unit, v.step, e.sow_on AS sowOn
  FROM experiment e JOIN variable v ON v.experiment_id = e.id
  WHERE e.id = ? AND (v.id = ? OR (? IS NULL AND v.position = 0))`;

const TREATMENTS = `
  SELECT id, name, is_control AS isControl FROM treatment WHERE experiment_id = ? ORDER BY position`;

const UNITS = `
  SELECT id, number, treatment_id AS groupId, sown_on AS sownOn FROM unit WHERE experiment_id = ? ORDER BY number`;

const COUNTS = 'AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)';
const NOT_SET_ASIDE =
  'AND NOT EXISTS (SELECT 1 FROM set_aside s WHERE s.reading_id = r.id AND s.lifted_at IS NULL)';

// The index is named, as the database misjudges a class that has just grown: it then read all for each pot.
const readingsSql = (setAside: SetAsideRule): string => `
  SELECT r.unit_id AS unitId, r.observed_on AS day, r.state, r.value
  FROM unit u
  JOIN variable v ON v.experiment_id = u.experiment_id AND (v.id = ? OR (? IS NULL AND v.position = 0))
  JOIN reading r FORCE INDEX (ix_reading_unit) ON r.unit_id = u.id AND r.variable_id = v.id
  WHERE u.experiment_id = ? ${COUNTS} ${setAside === 'included' ? '' : NOT_SET_ASIDE}
  ORDER BY r.recorded_at, r.id`;

const allReadingsSql = (setAside: SetAsideRule): string => `
  SELECT r.unit_id AS unitId, r.variable_id AS variableId, v.name AS variable, r.observed_on AS day, r.state, r.value, r.observer
  FROM unit u JOIN reading r FORCE INDEX (ix_reading_unit) ON r.unit_id = u.id JOIN variable v ON v.id = r.variable_id
  WHERE u.experiment_id = ? ${COUNTS} ${setAside === 'included' ? '' : NOT_SET_ASIDE}
  ORDER BY r.recorded_at, r.id`;

const SET_ASIDE = `
  SELECT COUNT(*) AS count
  FROM set_aside s STRAIGHT_JOIN reading r ON r.id = s.reading_id STRAIGHT_JOIN unit u ON u.id = r.unit_id
  WHERE u.experiment_id = ? AND r.variable_id = ? AND r.observed_on <= ? AND s.lifted_at IS NULL ${COUNTS}`;

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
    const [variables, treatments, units, found] = await Promise.all([
      this.source.query<(ComparedVariable & { sowOn: string })[]>(VARIABLE, [experimentId, wanted, wanted]),
      this.source.query<{ id: string; name: string; isControl: number }[]>(TREATMENTS, [experimentId]),
      this.source.query<ComparedUnit[]>(UNITS, [experimentId]),
      withAll
        ? this.source.query<AnyReading[]>(allReadingsSql(setAside), [experimentId])
        : this.source.query<ReadingFact[]>(readingsSql(setAside), [wanted, wanted, experimentId]),
    ]);
    const [variable] = variables;
    const all = withAll ? (found as AnyReading[]) : [];
    return {
      variable,
      sowOn: calendarDay(variable?.sowOn ?? '2000-01-01'),
      treatments: treatments.map((treatment) => ({ ...treatment, isControl: treatment.isControl === 1 })),
      units,
      readings: withAll ? all.filter((reading) => reading.variableId === variable?.id) : found,
      all,
    };
  }

  /** Readings of a variable that are set aside, up to a day. */
  async countSetAside(experimentId: string, variableId: string, day: string): Promise<number> {
    const [row] = await this.source.query<{ count: string }[]>(SET_ASIDE, [experimentId, variableId, day]);
    return Number(row?.count ?? 0);
  }
}
