import type { ComparisonQuery, ComparisonView } from '@bright-sprout/contract/compare';
import { compareTreatments } from '@bright-sprout/core/comparison';
import { calendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { notFound } from '../shared/index.ts';
import { ComparisonFactsService } from './comparison-facts.ts';

/** Comparisons of treatments, computed by the core from the readings that still count. */
@Injectable()
export class ComparisonService {
  constructor(private readonly facts: ComparisonFactsService) {}

  /** Compares treatments on the day asked for, else on the last day read. */
  async compare(experimentId: string, query: ComparisonQuery): Promise<ComparisonView> {
    const { variableId, sowOn, ...facts } = await this.facts.of(experimentId, query.variableId);
    if (variableId === undefined) throw notFound();
    const readDays = [...new Set(facts.readings.map((reading) => reading.day))].sort();
    const day = calendarDay(query.day ?? readDays.at(-1) ?? sowOn);
    const comparison = compareTreatments({ ...facts, day, rule: query.rule ?? 'only-up' });
    return { ...comparison, variableId, readDays };
  }
}
