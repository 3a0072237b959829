import type { ReadingRequest, ReadingView } from '@bright-sprout/contract/record';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type FindOptionsWhere, IsNull, type Repository } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { ClosedDay, Experiment } from '../plan/index.ts';
import { ApiError, Clock, isDuplicate, notFound } from '../shared/index.ts';
import { checkReading, type ReadingPlace } from './check-reading.ts';
import { Reading, SetAside } from './reading.entity.ts';

interface PlaceRow {
  status: ReadingPlace['status'];
  sowedOn: string | null;
  kind: string;
  correctedUnit: string | null;
  correctedVariable: string | null;
  correctedDay: string | null;
}

const INSERT = `
  INSERT INTO reading (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`,
                       observer, recorded_at, supersedes_id, student_id, is_reread)
  VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;

/** Who reads: a teacher, or a student by display name. */
export interface Observer {
  readonly displayName: string;
  /** Of the class or the teacher; decides which day it is. */
  readonly timeZone: string;
  readonly studentId?: string;
}

/** Readings: added, never changed. */
@Injectable()
export class ReadingsService {
  readonly #readings: Repository<Reading>;

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {
    this.#readings = source.getRepository(Reading);
  }

  /** Every reading of an experiment in the order they were made. */
  async all(experimentId: string): Promise<ReadingView[]> {
    const readings = await this.#readings.find({
      where: { unit: { experimentId } },
      order: { recordedAt: 'ASC', id: 'ASC' },
    });
    const superseded = new Set(readings.map((reading) => reading.supersedesId));
    const aside = await this.#asideOf({ reading: { unit: { experimentId } } });
    return readings.map((reading) => readingView(reading, superseded.has(reading.id), aside.get(reading.id)));
  }

  /**
   * Leaves a reading out of comparisons until it is put back.
   * @throws ApiError `not_found`
   */
  async setAside(experimentId: string, id: string, reason: string, byName: string): Promise<ReadingView> {
    await this.#one(experimentId, id);
    const rows = this.source.getRepository(SetAside);
    if (!(await rows.existsBy({ readingId: id, liftedAt: IsNull() }))) {
      await rows.insert({ id: uuid(), readingId: id, reason, byName, setAt: this.clock.now() });
    }
    return this.#view(experimentId, id);
  }

  /**
   * Lets a reading count again.
   * @throws ApiError `not_found`
   */
  async putBack(experimentId: string, id: string, byName: string): Promise<ReadingView> {
    await this.#one(experimentId, id);
    await this.source
      .getRepository(SetAside)
      .update({ readingId: id, liftedAt: IsNull() }, { liftedAt: this.clock.now(), liftedBy: byName });
    return this.#view(experimentId, id);
  }

  /** Closes a day to students, or opens it again. */
  async closeDay(experimentId: string, day: string, isClosed: boolean, byName: string): Promise<void> {
    const days = this.source.getRepository(ClosedDay);
    if (!isClosed) await days.delete({ experimentId, day });
    else
      await days.upsert({ experimentId, day, byName, closedAt: this.clock.now() }, ['experimentId', 'day']);
  }

  /** When a day was closed; undefined while it is open. */
  async closedAt(experimentId: string, day: string): Promise<Date | undefined> {
    const closed = await this.source.getRepository(ClosedDay).findOneBy({ experimentId, day });
    return closed?.closedAt;
  }

  async #one(experimentId: string, id: string): Promise<Reading> {
    const reading = await this.#readings.findOneBy({ id, unit: { experimentId } });
    if (!reading) throw notFound();
    return reading;
  }

  async #view(experimentId: string, id: string): Promise<ReadingView> {
    const reading = await this.#one(experimentId, id);
    const isSuperseded = await this.#readings.existsBy({ supersedesId: id });
    return readingView(reading, isSuperseded, (await this.#asideOf({ readingId: id })).get(id));
  }

  /** Reasons by reading, of those that are set aside now. */
  async #asideOf(where: FindOptionsWhere<SetAside>): Promise<Map<string, string>> {
    const rows = await this.source.getRepository(SetAside).findBy({ ...where, liftedAt: IsNull() });
    return new Map(rows.map(({ readingId, reason }) => [readingId, reason]));
  }

  /**
   * Keeps a reading. Sent twice under the same id it is stored once; another reading under that id is refused.
   * @throws ApiError `not_found`, `invalid_fields`, `not_planted`, `experiment_finished`, `id_in_use`
   */
  async keep(
    experimentId: string,
    id: string,
    request: ReadingRequest,
    observer: Observer,
  ): Promise<ReadingView> {
    const place = await this.#placeOf(experimentId, request);
    checkReading(request, place, this.clock.today(observer.timeZone));
    const reading = this.#readings.create({
      id,
      unitId: request.unitId,
      variableId: request.variableId,
      observedOn: request.observedOn,
      state: request.state,
      value: request.value ?? null,
      entered: request.entered,
      unitOfMeasure: request.unitOfMeasure,
      precision: request.precision,
      supersedesId: request.supersedesId ?? null,
      observer: observer.displayName,
      studentId: observer.studentId ?? null,
      recordedAt: this.clock.now(),
      isReread: request.isReread ?? false,
    });
    try {
      await this.source.query(INSERT, [
        id,
        reading.unitId,
        reading.variableId,
        reading.observedOn,
        reading.state,
        reading.value,
        reading.entered,
        reading.unitOfMeasure,
        reading.precision,
        reading.observer,
        reading.recordedAt,
        reading.supersedesId,
        reading.studentId,
        reading.isReread,
      ]);
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      return this.#keptBefore(reading);
    }
    if (place.status === 'planted' && request.state === 'up' && place.kind !== 'score') {
      await this.source
        .getRepository(Experiment)
        .update({ id: experimentId, status: 'planted' }, { status: 'growing' });
    }
    return readingView(reading, false, undefined);
  }

  async #keptBefore(sent: Reading): Promise<ReadingView> {
    const kept = await this.#readings.findOneBy({ id: sent.id });
    const same =
      kept !== null &&
      kept.unitId === sent.unitId &&
      kept.variableId === sent.variableId &&
      kept.observedOn === sent.observedOn &&
      kept.state === sent.state &&
      kept.value === sent.value &&
      kept.supersedesId === sent.supersedesId;
    if (!same)
      throw new ApiError(
        'id_in_use',
        'Another reading was kept under this id. Reload the page and enter it again.',
      );
    const isSuperseded = await this.#readings.existsBy({ supersedesId: kept.id });
    return readingView(kept, isSuperseded, (await this.#asideOf({ readingId: kept.id })).get(kept.id));
  }

  async #placeOf(experimentId: string, request: ReadingRequest): Promise<ReadingPlace> {
    const [row] = await this.source.query<PlaceRow[]>(
      `SELECT e.status, u.sowed_on AS sowedOn, v.kind,
              c.unit_id AS correctedUnit, c.variable_id AS correctedVariable, c.observed_on AS correctedDay
       FROM experiment e
       JOIN unit u ON u.experiment_id = e.id AND u.id = ?
       JOIN variable v ON v.experiment_id = e.id AND v.id = ?
       LEFT JOIN reading c ON c.id = ?
       WHERE e.id = ?`,
      [request.unitId, request.variableId, request.supersedesId ?? null, experimentId],
    );
    if (!row) throw notFound();
    const { correctedUnit, correctedVariable, correctedDay } = row;
    const corrected =
      correctedUnit === null
        ? null
        : { unitId: correctedUnit, variableId: correctedVariable ?? '', observedOn: correctedDay ?? '' };
    return { status: row.status, sowedOn: row.sowedOn, kind: row.kind, corrected };
  }
}

function readingView(reading: Reading, isSuperseded: boolean, aside: string | undefined): ReadingView {
  const { id, unitId, variableId, observedOn, state, value, entered } = reading;
  const { unitOfMeasure, precision, observer, supersedesId } = reading;
  return {
    id,
    unitId,
    variableId,
    observedOn,
    state,
    value,
    entered,
    unitOfMeasure,
    precision,
    observer,
    recordedAt: reading.recordedAt.toISOString(),
    supersedesId,
    isReread: reading.isReread,
    counts: !isSuperseded && aside === undefined,
    setAside: aside ?? null,
  };
}
