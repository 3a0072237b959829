import type { OpenFileRequest, OpenTableRequest, SheetView } from '@bright-sprout/contract/imports';
import type { UploadPart } from '@bright-sprout/contract/uploads';
import type { Plan } from '@bright-sprout/core/design';
import type { ExperimentStatus } from '@bright-sprout/core/calendar';
import {
  type ExchangedExperiment,
  readMapped,
  readTidy,
  tidyParts,
  type TidyResult,
  writeTidy,
} from '@bright-sprout/core/imports';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager, IsNull } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';
import { Crop } from '../inventory/index.ts';
import { Experiment, ExperimentStore, PlansService, type StoredPlan, Variable } from '../plans/index.ts';
import { Reading, ReadingsService, SetAside } from '../readings/index.ts';
import { Clock, inTransaction, isDuplicate } from '../shared/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { exchangedRows } from './exchanged-rows.ts';
import { readCsv } from './read-csv.ts';
import { numberedObservers } from './observers.ts';
import { readSheets } from './read-sheets.ts';
import { unreadable } from './unreadable.ts';
import { writeCsv } from './write-csv.ts';
import { writeSheet } from './write-sheet.ts';

const INSERT_CHUNK = 1000;

const INSERT_READINGS = `
  INSERT INTO reading (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`,
                       observer, recorded_at, supersedes_id)
  VALUES ?`;

/** What a new experiment from outside is given beside its data. */
export interface NewExperiment {
  readonly id: string;
  readonly teacherId: string;
  readonly hypothesis?: string;
  readonly status?: ExperimentStatus;
  readonly createdAt?: Date;
  /** The whole plan, where there is one. */
  readonly plan?: Plan;
}

/** Files in and out. */
@Injectable()
export class ImportsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly plans: PlansService,
    private readonly readings: ReadingsService,
    private readonly uploads: UploadsService,
    private readonly clock: Clock,
  ) {}

  /** The experiment as tidy CSV with its header, UTF-8, lines ended by CR LF (RFC 4180). */
  async tidyCsv(experimentId: string, hasNames: boolean): Promise<Uint8Array> {
    return writeCsv(tidyParts(await this.#exchanged(experimentId, hasNames)));
  }

  /** The experiment as a spreadsheet. */
  async tidySheet(experimentId: string, hasNames: boolean): Promise<Uint8Array> {
    return writeSheet(tidyParts(await this.#exchanged(experimentId, hasNames)));
  }

  /** The experiment as rows of a tidy table, the header first, without names of children. */
  async tidyRows(experimentId: string): Promise<string[][]> {
    return writeTidy(await this.#exchanged(experimentId, false));
  }

  /** The sheets of a spreadsheet; nothing is stored. */
  async readSheets(file: UploadPart, teacher: KnownTeacher): Promise<SheetView[]> {
    return readSheets(await this.uploads.whole(teacher.id, file));
  }

  /**
   * Opens a tidy CSV as a new experiment, whole or not at all. Opening it again under the same id changes nothing.
   * @throws ApiError `unreadable_file` with the rows that are wrong, `upload_incomplete`, `id_in_use`
   */
  openTidy(id: string, request: OpenFileRequest, teacher: KnownTeacher): Promise<void> {
    return this.#openRows(id, request, teacher, readTidy);
  }

  /**
   * Opens a foreign table by a mapping of its columns, whole or not at all.
   * @throws ApiError `unreadable_file` with the cells that are wrong, `upload_incomplete`, `id_in_use`
   */
  openTable(id: string, request: OpenTableRequest, teacher: KnownTeacher): Promise<void> {
    return this.#openRows(id, request, teacher, (rows, name) => readMapped(rows, request.mapping, name));
  }

  async #openRows(
    id: string,
    request: OpenFileRequest,
    teacher: KnownTeacher,
    read: (rows: readonly (readonly string[])[], name: string) => TidyResult,
  ): Promise<void> {
    if (await this.isOpen(id, teacher)) return;
    const result = read(readCsv(await this.uploads.whole(teacher.id, request)), nameOf(request.fileName));
    if (!result.ok) throw unreadable(result.problems);
    await this.insertOnce({ id, teacherId: teacher.id }, result.experiment, teacher);
  }

  /**
   * True when a file was opened under this id before, so that its parts are no longer needed.
   * @throws ApiError `id_in_use`
   */
  async isOpen(id: string, teacher: KnownTeacher): Promise<boolean> {
    const isThere = await this.source.getRepository(Experiment).existsBy({ id });
    if (isThere) await this.plans.claim(id, teacher);
    return isThere;
  }

  /**
   * Stores an experiment from outside, once: doing it again under the same id changes nothing.
   * @throws ApiError `id_in_use`
   */
  async insertOnce(
    to: NewExperiment,
    from: ExchangedExperiment,
    teacher: KnownTeacher,
    also?: (manager: EntityManager, unitIds: ReadonlyMap<number, string>) => Promise<void>,
  ): Promise<void> {
    await this.store.refuseTooMany(to.teacherId);
    try {
      await this.insert(to, from, also);
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      await this.plans.claim(to.id, teacher);
    }
  }

  /**
   * Stores an experiment from outside in one transaction.
   * @param also what else belongs to it, given the ids of its units by number
   */
  async insert(
    to: NewExperiment,
    from: ExchangedExperiment,
    also?: (manager: EntityManager, unitIds: ReadonlyMap<number, string>) => Promise<void>,
  ): Promise<void> {
    const rows = exchangedRows(to.id, from);
    const crop = await this.source.getRepository(Crop).findOneBy([
      { commonName: from.crop, teacherId: IsNull() },
      { commonName: from.crop, teacherId: to.teacherId },
    ]);
    const replicates = Math.max(1, ...from.units.map((unit) => unit.replicate));
    await inTransaction(this.source, async (manager) => {
      await manager.insert(Experiment, {
        id: to.id,
        teacherId: to.teacherId,
        status: to.status ?? statusOf(from),
        question: from.question.slice(0, 300),
        hypothesis: to.hypothesis ?? '',
        cropId: crop?.id ?? null,
        cropName: from.crop,
        sowOn: from.sowOn,
        lessonOn: from.lessonOn,
        replicates,
        seedsPerUnit: Math.max(1, from.units[0]?.seedsSown ?? 1),
        layoutSeed: 0,
        createdAt: to.createdAt ?? this.clock.now(),
      });
      if (to.plan) await manager.save(Experiment, { id: to.id, planDocument: to.plan });
      await this.store.insertRows(manager, rows.plan);
      await manager.insert(Variable, [...rows.variables]);
      const readings = correctedFirst(rows.readings);
      for (let start = 0; start < readings.length; start += INSERT_CHUNK) {
        const rows = readings.slice(start, start + INSERT_CHUNK).map(readingValues);
        await manager.query(INSERT_READINGS, [rows]);
      }
      if (rows.setAside.length > 0) await manager.insert(SetAside, [...rows.setAside]);
      if (also) await also(manager, new Map(rows.plan.units.map((unit) => [unit.number, unit.id])));
    });
  }

  /** @param hasNames whether students are called by name, or by a number that is the same all through the file */
  async #exchanged(experimentId: string, hasNames: boolean): Promise<ExchangedExperiment> {
    const plan = await this.store.load(experimentId);
    const { experiment } = plan;
    const unitIndex = new Map(plan.units.map((unit, index) => [unit.id, index]));
    const variableIndex = new Map(plan.variables.map((variable, index) => [variable.id, index]));
    const readings = await this.readings.all(experiment.id);
    const observerOf = hasNames
      ? ({ observer }: { observer: string }) => observer
      : await numberedObservers(this.source, experiment);
    return {
      question: experiment.question,
      crop: experiment.cropName,
      sowOn: experiment.sowOn as CalendarDay,
      lessonOn: experiment.lessonOn as CalendarDay,
      factors: plan.factors.map((factor) => factor.name),
      containers: plan.containers.map(({ kind, gridRows, gridColumns }) => ({
        kind,
        rows: gridRows,
        columns: gridColumns,
      })),
      treatments: plan.treatments.map((treatment) => ({
        name: treatment.name,
        isControl: treatment.isControl,
        levels: levelNames(plan, treatment.id),
      })),
      units: plan.units.map((unit) => ({
        number: unit.number,
        container: plan.containers.findIndex((container) => container.id === unit.containerId),
        row: unit.placeRow,
        column: unit.placeColumn,
        treatment: plan.treatments.findIndex((treatment) => treatment.id === unit.treatmentId),
        replicate: unit.replicate,
        block: unit.block,
        team: unit.team,
        sownOn: unit.sownOn as CalendarDay | null,
        seedsSown: unit.seedsSown,
      })),
      variables: plan.variables.map(({ name, kind, unit, step }) => ({ name, kind, unit, step })),
      readings: readings.map((reading) => ({
        id: reading.id,
        state: reading.state,
        value: reading.value,
        unitOfMeasure: reading.unitOfMeasure,
        precision: reading.precision,
        entered: reading.entered,
        observer: observerOf(reading),
        recordedAt: reading.recordedAt,
        unit: unitIndex.get(reading.unitId) ?? 0,
        variable: variableIndex.get(reading.variableId) ?? 0,
        observedOn: reading.observedOn as CalendarDay,
        supersedes: reading.supersedesId ?? '',
        setAside: reading.setAside ?? '',
      })),
    };
  }
}

/** The name of a file without its ending. */
function nameOf(fileName: string): string {
  return fileName.replace(/\.[a-z]{1,5}$/i, '');
}

function statusOf(from: ExchangedExperiment): ExperimentStatus {
  if (from.readings.some((reading) => reading.state === 'emerged')) return 'growing';
  const isStarted = from.readings.length > 0 || from.units.some((unit) => unit.sownOn !== null);
  return isStarted ? 'planted' : 'draft';
}

function levelNames(plan: StoredPlan, treatmentId: string): string[] {
  const ids = plan.treatmentLevels
    .filter((link) => link.treatmentId === treatmentId)
    .map((link) => link.levelId);
  return plan.factors.map(
    (factor) =>
      plan.levels.find((level) => level.factorId === factor.id && ids.includes(level.id))?.name ?? '',
  );
}

/** Readings in an order in which each correction comes after what it corrects, as the foreign key asks. */
function correctedFirst(readings: readonly Reading[]): Reading[] {
  const byId = new Map(readings.map((reading) => [reading.id, reading]));
  const placed = new Set<Reading>();
  for (const reading of readings) {
    const chain: Reading[] = [];
    let next: Reading | undefined = reading;
    while (next && !placed.has(next)) {
      chain.push(next);
      if (chain.length > readings.length) throw new Error('corrections form a circle');
      next = next.supersedesId === null ? undefined : byId.get(next.supersedesId);
    }
    for (const earlier of chain.reverse()) placed.add(earlier);
  }
  return [...placed];
}

/** A reading as a row of {@link INSERT_READINGS}. */
function readingValues(reading: Reading): unknown[] {
  return [
    reading.id,
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
  ];
}
