import { say } from '@bright-sprout/words/refusals';
import type { SowingNoteRequest, TickRequest, TickView } from '@bright-sprout/contract/sowing';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In } from 'typeorm';
import { Unit } from '../plans/index.ts';
import { Clock, invalidField } from '../shared/index.ts';
import { SowingTick } from './sowing-tick.entity.ts';

/** Ticks and notes of sowing day. */
@Injectable()
export class TicksService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Every tick of an experiment. */
  async all(experimentId: string): Promise<TickView[]> {
    const ticks = await this.source.getRepository(SowingTick).find({
      where: { unit: { experimentId } },
      order: { recordedAt: 'ASC', unitId: 'ASC', item: 'ASC' },
    });
    return ticks.map(({ unitId, item, observer }) => ({ unitId, item, by: observer }));
  }

  /**
   * Ticks an item for some units, or takes the tick away; doing it twice changes nothing.
   * @throws ApiError `invalid_fields` for units of another experiment
   */
  async tick(
    experimentId: string,
    { unitIds, item, isDone }: TickRequest,
    observer: string,
    studentId: string | null,
  ): Promise<TickView[]> {
    await this.#refuseForeign(experimentId, unitIds);
    const ticks = this.source.getRepository(SowingTick);
    if (!isDone) await ticks.delete({ unitId: In(unitIds), item });
    else {
      const recordedAt = this.clock.now();
      await ticks
        .createQueryBuilder()
        .insert()
        .values(unitIds.map((unitId) => ({ unitId, item, observer, studentId, recordedAt })))
        .orIgnore()
        .execute();
    }
    return this.all(experimentId);
  }

  /** Notes how many seeds really went into a unit, and what else was different. */
  async note(experimentId: string, { unitId, seedsSown, note }: SowingNoteRequest): Promise<void> {
    await this.#refuseForeign(experimentId, [unitId]);
    await this.source.getRepository(Unit).update(unitId, { seedsSown, sowingNote: note });
  }

  async #refuseForeign(experimentId: string, unitIds: readonly string[]): Promise<void> {
    const wanted = [...new Set(unitIds)];
    const found = await this.source.getRepository(Unit).countBy({ id: In(wanted), experimentId });
    if (found !== wanted.length) throw invalidField('unitIds', say('choosePotsOfThisExperiment'));
  }
}
