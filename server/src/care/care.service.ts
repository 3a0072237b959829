import { type CareKind, type CareRequest, type CareView, SOIL_STATES } from '@bright-sprout/contract/care';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In } from 'typeorm';
import { Experiment, Unit } from '../plans/index.ts';
import { ApiError, Clock, invalidField, isDuplicate, notFound } from '../shared/index.ts';
import type { Observer } from '../readings/index.ts';
import { CareEvent } from './care.entities.ts';

/** The largest amount that a kind of care can have; kinds that are not listed have none. */
const MOST: Partial<Record<CareKind, number>> = {
  watered: 10_000,
  treated: 10_000,
  ph: 14,
  soil: SOIL_STATES.length - 1,
};
const NEEDS_AMOUNT: readonly CareKind[] = ['ph', 'soil'];
const NEEDS_WORDS: readonly CareKind[] = ['note', 'potted_on', 'treated'];

/** Care of plants: added, and taken back by a mark. */
@Injectable()
export class CareService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Everything done in an experiment in the order it was noted. */
  async all(experimentId: string): Promise<CareView[]> {
    const events = await this.source
      .getRepository(CareEvent)
      .find({ where: { experimentId }, order: { recordedAt: 'ASC', id: 'ASC' } });
    return events.map(careView);
  }

  /**
   * Keeps a care event. Sent twice under the same id it is stored once.
   * @throws ApiError `invalid_fields`, `id_in_use`
   */
  async keep(experimentId: string, id: string, request: CareRequest, observer: Observer): Promise<CareView> {
    const { kind, happenedOn, note } = request;
    const amount = request.amount ?? null;
    checkAmount(kind, amount, note);
    if (happenedOn > this.clock.today(observer.timeZone)) {
      throw invalidField('happenedOn', 'This day has not come yet.');
    }
    const { sowOn } = await this.source.getRepository(Experiment).findOneByOrFail({ id: experimentId });
    if (happenedOn < sowOn)
      throw invalidField('happenedOn', `Sown on ${sowOn}; choose that day or a later one.`);
    const unitIds = request.unitIds ? [...new Set(request.unitIds)] : null;
    await this.#refuseForeign(experimentId, unitIds);
    const events = this.source.getRepository(CareEvent);
    const event = {
      id,
      experimentId,
      unitIds,
      happenedOn,
      kind,
      amount,
      note,
      observer: observer.displayName,
      studentId: observer.studentId ?? null,
      recordedAt: this.clock.now(),
      undoneAt: null,
    };
    try {
      await events.insert(event);
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      const kept = await events.findOneBy({ id });
      if (kept?.experimentId !== experimentId || kept.kind !== kind) throw idInUse();
      return careView(kept);
    }
    return careView(event);
  }

  /**
   * Takes an event back, or puts it there again.
   * @throws ApiError `not_found`
   */
  async undo(experimentId: string, id: string, isUndone: boolean): Promise<CareView> {
    const events = this.source.getRepository(CareEvent);
    await events.update({ id, experimentId }, { undoneAt: isUndone ? this.clock.now() : null });
    const event = await events.findOneBy({ id, experimentId });
    if (!event) throw notFound();
    return careView(event);
  }

  async #refuseForeign(experimentId: string, unitIds: readonly string[] | null): Promise<void> {
    if (unitIds === null) return;
    const found = await this.source.getRepository(Unit).countBy({ id: In([...unitIds]), experimentId });
    if (found !== unitIds.length) throw invalidField('unitIds', 'Choose pots of this experiment.');
  }
}

function checkAmount(kind: CareKind, amount: number | null, note: string): void {
  const most = MOST[kind];
  if (amount === null && NEEDS_AMOUNT.includes(kind)) throw invalidField('amount', 'Give what was found.');
  if (amount !== null && (most === undefined || amount > most)) {
    throw invalidField('amount', most === undefined ? 'This takes no amount.' : `Give at most ${most}.`);
  }
  if (note === '' && NEEDS_WORDS.includes(kind)) throw invalidField('note', 'Say what was done.');
}

function idInUse(): ApiError {
  return new ApiError(
    'id_in_use',
    'Something else was kept under this id. Reload the page and note it again.',
  );
}

function careView(event: Omit<CareEvent, 'experiment' | 'student'>): CareView {
  const { id, kind, happenedOn, unitIds, amount, note, observer } = event;
  return {
    id,
    kind,
    happenedOn,
    unitIds,
    amount,
    note,
    observer,
    recordedAt: event.recordedAt.toISOString(),
    isUndone: event.undoneAt !== null,
  };
}
