import type { ComparisonQuery, ComparisonView } from '@bright-sprout/contract/compare';
import { compareTreatments } from '@bright-sprout/core/comparison';
import type { ReadingFact } from '@bright-sprout/core/growth';
import { type CalendarDay, calendarDay, type ReadingState } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Experiment, Treatment, Unit, Variable } from '../plan/index.ts';
import { notFound } from '../shared/index.ts';

interface FactRow {
  unitId: string;
  day: string;
  state: ReadingState;
  value: number | null;
}

/** Comparisons of treatments, computed by the core from the readings that still count. */
@Injectable()
export class ComparisonService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Compares treatments on the day asked for, else on the last day read. */
  async compare(experimentId: string, query: ComparisonQuery): Promise<ComparisonView> {
    const { manager } = this.source;
    const [experiment, treatments, units, variables] = await Promise.all([
      manager.findOneByOrFail(Experiment, { id: experimentId }),
      manager.find(Treatment, { where: { experimentId }, order: { position: 'ASC' } }),
      manager.find(Unit, { where: { experimentId }, order: { number: 'ASC' } }),
      manager.find(Variable, { where: { experimentId }, order: { position: 'ASC' } }),
    ]);
    const variable = query.variableId ? variables.find(({ id }) => id === query.variableId) : variables[0];
    if (!variable) throw notFound();
    const readings = await this.readingsThatCount(experimentId, variable.id);
    const readDays = [...new Set(readings.map((reading) => reading.day))].sort();
    const day = query.day ?? readDays.at(-1) ?? experiment.sowOn;
    const comparison = compareTreatments({
      treatments,
      units: units.map(({ id, number, treatmentId, sowedOn }) => ({
        id,
        number,
        treatmentId,
        sowedOn: sowedOn as CalendarDay | null,
      })),
      readings,
      day: calendarDay(day),
      rule: query.rule ?? 'only-up',
    });
    return { ...comparison, variableId: variable.id, readDays };
  }

  /** Readings of a variable that no correction supersedes, in the order they were made. */
  async readingsThatCount(experimentId: string, variableId: string): Promise<ReadingFact[]> {
    const rows = await this.source.query<FactRow[]>(
      `SELECT r.unit_id AS unitId, r.observed_on AS day, r.state, r.value
       FROM unit u
       JOIN reading r ON r.unit_id = u.id AND r.variable_id = ?
       WHERE u.experiment_id = ?
         AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)
       ORDER BY r.recorded_at, r.id`,
      [variableId, experimentId],
    );
    return rows.map((row) => ({ ...row, day: calendarDay(row.day) }));
  }
}
