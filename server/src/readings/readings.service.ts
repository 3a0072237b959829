import { say } from '@bright-sprout/words/refusals';
import type { ReadingRequest, ReadingView } from '@bright-sprout/contract/readings';
import { isOfSoil } from '@bright-sprout/core/design';
import type { GrowthFacts } from '@bright-sprout/core/growth';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, IsNull } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { ClosedDay, Experiment, growthFactsOf, Unit } from '../plans/index.ts';
import { ApiError, Clock, isDuplicate, notFound, prepared, retried } from '../shared/index.ts';
import { checkPossible, checkReading, isVeryTall, type ReadingPlace } from './check-reading.ts';
import { SetAside } from './reading.entity.ts';
import {
  READING_BY_ID,
  READING_OF_EXPERIMENT,
  READINGS_BY_ID,
  READINGS_OF_EXPERIMENT,
  type ReadingRow,
  readingView,
  RECENT_READINGS,
  SET_ASIDE_OF_EXPERIMENT,
  wholeReadingView,
} from './reading-rows.ts';

interface PlaceRow {
  readonly name: string;
  status: ReadingPlace['status'];
  sownOn: string | null;
  kind: string;
  unit: string;
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
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Every reading of an experiment in the order they were made: for a class of a year a hundred thousand of them. */
  async all(experimentId: string): Promise<ReadingView[]> {
    const [rows, aside] = await Promise.all([
      this.source.query<Omit<ReadingRow, 'isSuperseded' | 'setAside'>[]>(READINGS_OF_EXPERIMENT, [
        experimentId,
      ]),
      this.source.query<{ readingId: string; reason: string }[]>(SET_ASIDE_OF_EXPERIMENT, [experimentId]),
    ]);
    const superseded = new Set(rows.map((row) => row.supersedesId));
    const reasons = new Map(aside.map(({ readingId, reason }) => [readingId, reason]));
    return rows.map((row) => readingView(row, superseded.has(row.id), reasons.get(row.id) ?? null));
  }

  /** Readings with some ids, in the order they were made; those that are not there are left out. */
  async byIds(ids: readonly string[]): Promise<ReadingView[]> {
    if (ids.length === 0) return [];
    return (await this.source.query<ReadingRow[]>(READINGS_BY_ID, [ids])).map(wholeReadingView);
  }

  /** Readings of some units on a day, and of the last day before it that each was read. */
  async recent(unitIds: readonly string[], day: string): Promise<ReadingView[]> {
    if (unitIds.length === 0) return [];
    const rows = await this.source.query<ReadingRow[]>(RECENT_READINGS, [day, unitIds, day, unitIds]);
    return rows.map(wholeReadingView);
  }

  /**
   * Leaves a reading out of comparisons until it is put back.
   * @throws ApiError `not_found`
   */
  async setAside(experimentId: string, id: string, reason: string, observer: string): Promise<ReadingView> {
    await this.#view(experimentId, id);
    const row = { id: uuid(), readingId: id, reason, observer, recordedAt: this.clock.now(), isActive: 1 };
    try {
      await retried(() => this.source.getRepository(SetAside).insert(row));
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
    return this.#view(experimentId, id);
  }

  /**
   * The same for one that nobody has set aside or put back yet: what a person decided stays.
   * @throws ApiError `not_found`
   */
  async setAsideAtFirst(
    experimentId: string,
    id: string,
    reason: string,
    observer: string,
  ): Promise<ReadingView> {
    const isDecided = await this.source.getRepository(SetAside).existsBy({ readingId: id });
    return isDecided ? this.#view(experimentId, id) : this.setAside(experimentId, id, reason, observer);
  }

  /**
   * Lets a reading count again.
   * @throws ApiError `not_found`
   */
  async putBack(experimentId: string, id: string, observer: string): Promise<ReadingView> {
    await this.#view(experimentId, id);
    await this.source
      .getRepository(SetAside)
      .update(
        { readingId: id, liftedAt: IsNull() },
        { liftedAt: this.clock.now(), liftedBy: observer, isActive: null },
      );
    return this.#view(experimentId, id);
  }

  /** Closes a day to students, or opens it again. */
  async closeDay(experimentId: string, day: string, isClosed: boolean, observer: string): Promise<void> {
    const days = this.source.getRepository(ClosedDay);
    if (!isClosed) await days.delete({ experimentId, day });
    else
      await days.upsert({ experimentId, day, observer, recordedAt: this.clock.now() }, [
        'experimentId',
        'day',
      ]);
  }

  /** When a day was closed; undefined while it is open. */
  async closedAt(experimentId: string, day: string): Promise<Date | undefined> {
    const closed = await this.source.getRepository(ClosedDay).findOneBy({ experimentId, day });
    return closed?.recordedAt;
  }

  /** @throws ApiError `not_found` */
  async #view(experimentId: string, id: string): Promise<ReadingView> {
    const [row] = await this.source.query<ReadingRow[]>(READING_OF_EXPERIMENT, [id, experimentId]);
    if (!row) throw notFound();
    return wholeReadingView(row);
  }

  /**
   * Keeps a reading. Sent twice under the same id it is stored once; another reading under that id is refused.
   * @throws ApiError `not_found`, `invalid_fields`, `not_planted`, `experiment_finished`, `id_in_use`,
   * `already_corrected`
   */
  async keep(
    experimentId: string,
    id: string,
    request: ReadingRequest,
    observer: Observer,
  ): Promise<ReadingView> {
    const place = await this.#placeOf(experimentId, request);
    checkReading(request, place, this.clock.today(observer.timeZone));
    if (isVeryTall(request, place)) checkPossible(request, await this.#factsOf(experimentId, request.unitId));
    const recordedAt = this.clock.now();
    const { unitId, variableId, observedOn, state, entered, unitOfMeasure, precision } = request;
    const reading: ReadingView = {
      id,
      unitId,
      variableId,
      observedOn,
      state,
      value: request.value ?? null,
      entered,
      unitOfMeasure,
      precision,
      observer: observer.displayName,
      recordedAt: recordedAt.toISOString(),
      supersedesId: request.supersedesId ?? null,
      isReread: request.isReread ?? false,
      counts: true,
      setAside: null,
    };
    try {
      await retried(() => prepared(this.source, INSERT, valuesOf(reading, recordedAt, observer)));
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      return this.#keptBefore(id, request);
    }
    if (
      place.status === 'planted' &&
      state === 'emerged' &&
      place.kind !== 'score' &&
      !isOfSoil(place.name)
    ) {
      const planted = { id: experimentId, status: 'planted' as const };
      await retried(() => this.source.getRepository(Experiment).update(planted, { status: 'growing' }));
    }
    return reading;
  }

  async #keptBefore(id: string, sent: ReadingRequest): Promise<ReadingView> {
    const [kept] = await this.source.query<ReadingRow[]>(READING_BY_ID, [id]);
    if (!kept) {
      throw new ApiError('already_corrected', say('somebodyElsePutThisReadingRight'));
    }
    const same =
      kept.unitId === sent.unitId &&
      kept.variableId === sent.variableId &&
      kept.observedOn === sent.observedOn &&
      kept.state === sent.state &&
      kept.value === (sent.value ?? null) &&
      kept.supersedesId === (sent.supersedesId ?? null);
    if (!same) throw new ApiError('id_in_use', say('anotherReadingWasKeptUnderThisId'));
    return wholeReadingView(kept);
  }

  /** What is known of the crop of a unit; asked only where a height may be impossible. */
  async #factsOf(experimentId: string, unitId: string): Promise<GrowthFacts | null> {
    const [experiment, unit] = await Promise.all([
      this.source
        .getRepository(Experiment)
        .findOne({ where: { id: experimentId }, relations: { crop: true } }),
      this.source
        .getRepository(Unit)
        .findOne({ where: { id: unitId, experimentId }, relations: { treatment: true } }),
    ]);
    if (!experiment || !unit) return null;
    return (await growthFactsOf(this.source, experiment))(unit.treatment.position);
  }

  async #placeOf(experimentId: string, request: ReadingRequest): Promise<ReadingPlace> {
    const [row] = await prepared<PlaceRow[]>(
      this.source,
      `SELECT e.status, u.sown_on AS sownOn, v.name, v.kind, v.unit,
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
    const { status, sownOn, name, kind, unit } = row;
    return { status, sownOn, name, kind, unit, corrected };
  }
}

/** A new reading as a row of {@link INSERT}. */
function valuesOf(reading: ReadingView, recordedAt: Date, { studentId }: Observer): unknown[] {
  const { id, unitId, variableId, observedOn, state, value } = reading;
  const place = [id, unitId, variableId, observedOn, state, value];
  const how = [reading.entered, reading.unitOfMeasure, reading.precision, reading.observer];
  return [...place, ...how, recordedAt, reading.supersedesId, studentId ?? null, reading.isReread];
}
