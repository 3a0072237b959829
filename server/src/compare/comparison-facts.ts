import type { ComparedTreatment, ComparedUnit } from '@bright-sprout/core/comparison';
import type { ReadingFact } from '@bright-sprout/core/growth';
import { type CalendarDay, calendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';

/** Everything that a comparison of one variable needs from the database. */
export interface ComparisonFacts {
  /** Undefined when the experiment has no such variable. */
  readonly variableId: string | undefined;
  readonly sowOn: CalendarDay;
  readonly treatments: readonly ComparedTreatment[];
  readonly units: readonly ComparedUnit[];
  /** Readings that no correction supersedes, in the order they were made. */
  readonly readings: readonly ReadingFact[];
}

const VARIABLE = `
  SELECT v.id, e.sow_on AS sowOn FROM experiment e JOIN variable v ON v.experiment_id = e.id
  WHERE e.id = ? AND (v.id = ? OR (? IS NULL AND v.position = 0))`;

const TREATMENTS = `
  SELECT id, name, is_control AS isControl FROM treatment WHERE experiment_id = ? ORDER BY position`;

const UNITS = `
  SELECT id, number, treatment_id AS treatmentId, sowed_on AS sowedOn FROM unit WHERE experiment_id = ? ORDER BY number`;

const READINGS = `
  SELECT r.unit_id AS unitId, r.observed_on AS day, r.state, r.value
  FROM unit u
  JOIN variable v ON v.experiment_id = u.experiment_id AND (v.id = ? OR (? IS NULL AND v.position = 0))
  JOIN reading r ON r.unit_id = u.id AND r.variable_id = v.id
  WHERE u.experiment_id = ?
    AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)
  ORDER BY r.recorded_at, r.id`;

/** Fetches the facts of a comparison in one go. */
@Injectable()
export class ComparisonFactsService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Facts of a variable; of the plan's first when none is named. */
  async of(experimentId: string, variableId: string | undefined): Promise<ComparisonFacts> {
    const wanted = variableId ?? null;
    const [variables, treatments, units, readings] = await Promise.all([
      this.source.query<{ id: string; sowOn: string }[]>(VARIABLE, [experimentId, wanted, wanted]),
      this.source.query<{ id: string; name: string; isControl: number }[]>(TREATMENTS, [experimentId]),
      this.source.query<ComparedUnit[]>(UNITS, [experimentId]),
      this.source.query<ReadingFact[]>(READINGS, [wanted, wanted, experimentId]),
    ]);
    const [variable] = variables;
    return {
      variableId: variable?.id,
      sowOn: calendarDay(variable?.sowOn ?? '2000-01-01'),
      treatments: treatments.map((treatment) => ({ ...treatment, isControl: treatment.isControl === 1 })),
      units,
      readings,
    };
  }
}
