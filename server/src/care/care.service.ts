import { say } from '@bright-sprout/words/refusals';
import { doublyTaken, placedOn, type UnitMove } from '@bright-sprout/core/design';
import { type CareKind, SOIL_STATES } from '@bright-sprout/core/shared';
import type { CareRequest, CareView } from '@bright-sprout/contract/care';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager, In } from 'typeorm';
import { Container, Experiment, Unit } from '../plans/index.ts';
import { ApiError, Clock, inTransaction, invalidField, isDuplicate, notFound } from '../shared/index.ts';
import type { Observer } from '../readings/index.ts';
import { CareEvent, CareMove, CareUnit } from './care.entities.ts';

/** The largest amount that a kind of care can have; kinds that are not listed have none. */
const MOST: Partial<Record<CareKind, number>> = {
  watered: 10_000,
  treated: 10_000,
  ph: 14,
  soil: SOIL_STATES.length - 1,
  thinned: 1000,
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
      relations: { units: { unit: true }, moves: true },
      order: { recordedAt: 'ASC', id: 'ASC', units: { unit: { number: 'ASC' } } },
    });
    return events.map(careView);
  }

  /**
   * Keeps a care event. Sent twice under the same id it is stored once.
   * @throws ApiError `invalid_fields`, `id_in_use`, `place_taken`
   */
  async keep(experimentId: string, id: string, request: CareRequest, observer: Observer): Promise<CareView> {
    const { kind, happenedOn, note } = request;
    const amount = request.amount ?? null;
    checkAmount(kind, amount, note);
    checkParts(request, observer);
    if (happenedOn > this.clock.today(observer.timeZone)) {
      throw invalidField('happenedOn', say('thisDayHasNotComeYet'));
    }
    const { sowOn } = await this.source.getRepository(Experiment).findOneByOrFail({ id: experimentId });
    if (happenedOn < sowOn) throw invalidField('happenedOn', say('sownOnChooseThatDayOrA', { sowOn }));
    const unitIds = request.unitIds ? [...new Set(request.unitIds)] : null;
    const moves = request.moves ?? [];
    await this.#refuseForeign(experimentId, unitIds, moves);
    const event = {
      id,
      experimentId,
      isForAll: unitIds === null,
      happenedOn,
      kind,
      amount,
      note,
      reason: request.reason ?? null,
      observer: observer.displayName,
      studentId: observer.studentId ?? null,
      recordedAt: this.clock.now(),
      undoneAt: null,
    };
    try {
      await inTransaction(this.source, async (manager) => {
        await insertCare(manager, [{ ...event, unitIds, moves }]);
        if (moves.length > 0) await refuseTaken(manager, experimentId, happenedOn);
      });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      const kept = await this.#kept(id);
      if (kept?.experimentId !== experimentId || kept.kind !== kind) throw idInUse();
      return careView(kept);
    }
    return careView({
      ...event,
      units: (unitIds ?? []).map((unitId) => ({ unitId })),
      moves: moves.map(moveRow),
    });
  }

  /**
   * Takes an event back, or puts it there again.
   * @throws ApiError `not_found`, `place_taken` where another pot stands there by now
   */
  async undo(experimentId: string, id: string, isUndone: boolean): Promise<CareView> {
    const undoneAt = isUndone ? this.clock.now() : null;
    const event = await this.#kept(id);
    if (event?.experimentId !== experimentId) throw notFound();
    await inTransaction(this.source, async (manager) => {
      await manager.update(CareEvent, { id, experimentId }, { undoneAt });
      if (event.moves.length > 0) await refuseTaken(manager, experimentId, event.happenedOn);
    });
    return careView({ ...event, undoneAt });
  }

  #kept(id: string): Promise<CareEvent | null> {
    return this.source
      .getRepository(CareEvent)
      .findOne({ where: { id }, relations: { units: true, moves: true } });
  }

  async #refuseForeign(
    experimentId: string,
    unitIds: readonly string[] | null,
    moves: readonly UnitMove[],
  ): Promise<void> {
    if (moves.length > 0) {
      const ids = [...new Set(moves.map(({ containerId }) => containerId))];
      const own = await this.source.getRepository(Container).countBy({ id: In(ids), experimentId });
      if (own !== ids.length) throw invalidField('moves', say('noSuchPlace'));
    }
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

/** A reason goes with its kind and with pots; places go with a move, for each of its pots once, by a teacher. */
function checkParts({ kind, reason, moves = [], unitIds }: CareRequest, observer: Observer): void {
  const isCause = kind === 'cause';
  if (isCause && (reason == null || unitIds === null))
    throw invalidField('reason', say('sayWhyNothingCameUp'));
  if (!isCause && reason != null) throw invalidField('reason', say('thisTakesNoReason'));
  if (moves.length === 0) return;
  if (observer.studentId != null) throw invalidField('moves', say('aMoveIsTheTeachers'));
  const moved = new Set(moves.map(({ unitId }) => unitId));
  const isOfItsPots =
    kind === 'moved' &&
    moved.size === moves.length &&
    unitIds?.length === moves.length &&
    unitIds.every((id) => moved.has(id));
  if (!isOfItsPots) throw invalidField('moves', say('aMoveIsOfItsPots'));
}

/**
 * Refuses moves after which two pots would share a place, on their day or at any day on which something was moved since.
 * The experiment's row is locked meanwhile, so that two moves at once are judged one after the other.
 * @throws ApiError `place_taken`, `invalid_fields`
 */
async function refuseTaken(manager: EntityManager, experimentId: string, from: string): Promise<void> {
  await manager.findOne(Experiment, {
    where: { id: experimentId },
    select: { id: true },
    lock: { mode: 'pessimistic_write' },
  });
  const [units, containers, rows] = await Promise.all([
    manager.findBy(Unit, { experimentId }),
    manager.findBy(Container, { experimentId }),
    manager.find(CareEvent, {
      where: { experimentId, kind: 'moved' },
      relations: { moves: true },
      order: { recordedAt: 'ASC', id: 'ASC' },
    }),
  ]);
  const events = rows.map((row) => ({
    happenedOn: row.happenedOn,
    isUndone: row.undoneAt !== null,
    moves: row.moves.map(moveOf),
  }));
  const stood = units.map(({ id, containerId, placeRow, placeColumn }) => ({
    ...{ id, containerId },
    ...{ row: placeRow, column: placeColumn },
  }));
  const isPlace = ({ containerId, row, column }: UnitMove): boolean =>
    containers.some(
      ({ id, gridRows, gridColumns }) => id === containerId && row <= gridRows && column <= gridColumns,
    );
  if (!events.flatMap(({ moves }) => moves).every(isPlace)) throw invalidField('moves', say('noSuchPlace'));
  for (const day of new Set(events.map(({ happenedOn }) => happenedOn).filter((day) => day >= from))) {
    const taken = doublyTaken(placedOn(stood, events, day));
    if (taken) throw new ApiError('place_taken', say('placeTaken', { row: taken.row, column: taken.column }));
  }
}

function moveOf({
  unitId,
  containerId,
  placeRow,
  placeColumn,
}: Pick<CareMove, keyof ReturnType<typeof moveRow>>): UnitMove {
  return { unitId, containerId, row: placeRow, column: placeColumn };
}

function moveRow({ unitId, containerId, row, column }: UnitMove) {
  return { unitId, containerId, placeRow: row, placeColumn: column };
}

function idInUse(): ApiError {
  return new ApiError('id_in_use', say('somethingElseWasKeptUnderThisId'));
}

/** An event to store, with the units that it was done to; `null` for all. */
export type NewCare = Omit<
  CareEvent,
  'experiment' | 'student' | 'units' | 'moves' | 'isForAll' | 'studentId' | 'recordedAt'
> &
  Partial<Pick<CareEvent, 'studentId' | 'recordedAt'>> & {
    readonly unitIds: readonly string[] | null;
    readonly moves: readonly UnitMove[];
  };

/** Stores events with their units; within a transaction, as an event without its units would be another one. */
export async function insertCare(manager: EntityManager, events: readonly NewCare[]): Promise<void> {
  if (events.length === 0) return;
  await manager.insert(
    CareEvent,
    events.map(({ unitIds, moves, ...event }) => ({
      ...event,
      isForAll: unitIds === null && moves.length === 0,
    })),
  );
  const units = events.flatMap(({ id, unitIds }) =>
    (unitIds ?? []).map((unitId) => ({ careEventId: id, unitId })),
  );
  if (units.length > 0) await manager.insert(CareUnit, units);
  const moves = events.flatMap(({ id, moves: to }) =>
    to.map((move) => ({ careEventId: id, ...moveRow(move) })),
  );
  if (moves.length > 0) await manager.insert(CareMove, moves);
}

function careView(
  event: Omit<CareEvent, 'experiment' | 'student' | 'units' | 'moves'> & {
    readonly units: readonly { readonly unitId: string }[];
    readonly moves: readonly Pick<CareMove, keyof ReturnType<typeof moveRow>>[];
  },
): CareView {
  const { id, kind, happenedOn, amount, note, reason, observer } = event;
  const unitIds = event.isForAll ? null : event.units.map(({ unitId }) => unitId);
  return {
    id,
    kind,
    happenedOn,
    unitIds,
    amount,
    note,
    reason,
    moves: event.moves.map(moveOf).sort((a, b) => (a.unitId < b.unitId ? -1 : 1)),
    observer,
    recordedAt: event.recordedAt.toISOString(),
    isUndone: event.undoneAt !== null,
  };
}
