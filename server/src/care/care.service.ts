import { say } from '@bright-sprout/words/refusals';
import { type CareKind, SOIL_STATES } from '@bright-sprout/core/shared';
import type { CareRequest, CareView } from '@bright-sprout/contract/care';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager, In } from 'typeorm';
import { Experiment, Unit } from '../plans/index.ts';
import { ApiError, Clock, inTransaction, invalidField, isDuplicate, notFound } from '../shared/index.ts';
import type { Observer } from '../readings/index.ts';
import { CareEvent, CareUnit } from './care.entities.ts';

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
    const events = await this.source.getRepository(CareEvent).find({
      where: { experimentId },
      relations: { units: { unit: true } },
      order: { recordedAt: 'ASC', id: 'ASC', units: { unit: { number: 'ASC' } } },
    });
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
      throw invalidField('happenedOn', say('thisDayHasNotComeYet'));
    }
    const { sowOn } = await this.source.getRepository(Experiment).findOneByOrFail({ id: experimentId });
    if (happenedOn < sowOn) throw invalidField('happenedOn', say('sownOnChooseThatDayOrA', { sowOn }));
    const unitIds = request.unitIds ? [...new Set(request.unitIds)] : null;
    await this.#refuseForeign(experimentId, unitIds);
    const event = {
      id,
      experimentId,
      isForAll: unitIds === null,
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
      await inTransaction(this.source, (manager) => insertCare(manager, [{ ...event, unitIds }]));
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      const kept = await this.#kept(id);
      if (kept?.experimentId !== experimentId || kept.kind !== kind) throw idInUse();
      return careView(kept);
    }
    return careView({ ...event, units: (unitIds ?? []).map((unitId) => ({ unitId })) });
  }

  /**
   * Takes an event back, or puts it there again.
   * @throws ApiError `not_found`
   */
  async undo(experimentId: string, id: string, isUndone: boolean): Promise<CareView> {
    const undoneAt = isUndone ? this.clock.now() : null;
    await this.source.getRepository(CareEvent).update({ id, experimentId }, { undoneAt });
    const event = await this.#kept(id);
    if (event?.experimentId !== experimentId) throw notFound();
    return careView(event);
  }

  #kept(id: string): Promise<CareEvent | null> {
    return this.source.getRepository(CareEvent).findOne({ where: { id }, relations: { units: true } });
  }

  async #refuseForeign(experimentId: string, unitIds: readonly string[] | null): Promise<void> {
    if (unitIds === null) return;
    const found = await this.source.getRepository(Unit).countBy({ id: In([...unitIds]), experimentId });
    if (found !== unitIds.length) throw invalidField('unitIds', say('choosePotsOfThisExperiment'));
  }
}

function checkAmount(kind: CareKind, amount: number | null, note: string): void {
  const most = MOST[kind];
  if (amount === null && NEEDS_AMOUNT.includes(kind)) throw invalidField('amount', say('giveWhatWasFound'));
  if (amount !== null && (most === undefined || amount > most)) {
    throw invalidField('amount', most === undefined ? say('thisTakesNoAmount') : say('giveAtMost', { most }));
  }
  if (note === '' && NEEDS_WORDS.includes(kind)) throw invalidField('note', say('sayWhatWasDone'));
}

function idInUse(): ApiError {
  return new ApiError('id_in_use', say('somethingElseWasKeptUnderThisId'));
}

/** An event to store, with the units that it was done to; `null` for all. */
export type NewCare = Omit<
  CareEvent,
  'experiment' | 'student' | 'units' | 'isForAll' | 'studentId' | 'recordedAt'
> &
  Partial<Pick<CareEvent, 'studentId' | 'recordedAt'>> & { readonly unitIds: readonly string[] | null };

/** Stores events with their units; within a transaction, as an event without its units would be another one. */
export async function insertCare(manager: EntityManager, events: readonly NewCare[]): Promise<void> {
  if (events.length === 0) return;
  await manager.insert(
    CareEvent,
    events.map(({ unitIds, ...event }) => ({ ...event, isForAll: unitIds === null })),
  );
  const units = events.flatMap(({ id, unitIds }) =>
    (unitIds ?? []).map((unitId) => ({ careEventId: id, unitId })),
  );
  if (units.length > 0) await manager.insert(CareUnit, units);
}

function careView(
  event: Omit<CareEvent, 'experiment' | 'student' | 'units'> & {
    readonly units: readonly { readonly unitId: string }[];
  },
): CareView {
  const { id, kind, happenedOn, amount, note, observer } = event;
  const unitIds = event.isForAll ? null : event.units.map(({ unitId }) => unitId);
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
