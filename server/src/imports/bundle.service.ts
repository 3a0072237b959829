import { say } from '@bright-sprout/words/refusals';
import { ENTRY_KINDS, type EntryKind, isInstant } from '@bright-sprout/core/shared';
import type { OpenFileRequest } from '@bright-sprout/contract/imports';
import { DrawingPart } from '@bright-sprout/contract/journal';
import { PlanDocument } from '@bright-sprout/contract/plans';
import { check } from '@bright-sprout/contract/shared';
import type { Plan } from '@bright-sprout/core/design';
import { readTidy } from '@bright-sprout/core/imports';
import { EXPERIMENT_STATUSES } from '@bright-sprout/core/calendar';
import type { Readable } from 'node:stream';
import { unzipSync } from 'fflate';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CareEvent } from '../care/index.ts';
import { Conclusion, Prediction } from '../predictions/index.ts';
import { JournalEntry, mediaTypeOf } from '../journal/index.ts';
import type { KnownTeacher } from '../accounts/index.ts';
import { resolvePlan } from '../inventory/index.ts';
import { Container, Experiment, Unit } from '../plans/index.ts';
import { ApiError } from '../shared/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { Photo } from '../photos/index.ts';
import { type Bundle, type BundleRow, bundleTexts, noBundle, picturesOf, readBundle } from './bundle.ts';
import { careTables, insertBundledCare } from './bundle-care.ts';
import { BundledPictures, insertPhotos, photosForBundle } from './bundle-photos.ts';
import { rosterNames } from './observers.ts';
import { openZip } from './open-zip.ts';
import { zipStream } from './zip-stream.ts';
import { ImportsService } from './imports.service.ts';
import { unreadable } from './unreadable.ts';

/** Length of `.jpg` and `.png`. */
const PICTURE_ENDING = 4;

/** Whole experiments as bundles, out and in. */
@Injectable()
export class BundleService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly imports: ImportsService,
    private readonly uploads: UploadsService,
  ) {}

  /**
   * Everything of an experiment as a zip, made while it is sent.
   * @param texts the files of {@link texts}
   */
  stream(texts: Uint8Array): Readable {
    const files = unzipSync(texts);
    const pictures = picturesOf(files);
    return zipStream(new Map(Object.entries(files)), pictures, (name) =>
      this.#pictureOf(name.slice('photos/'.length, -PICTURE_ENDING)),
    );
  }

  /** A picture of the journal, or a photo. */
  async #pictureOf(id: string): Promise<Buffer> {
    const of = { where: { id }, select: { id: true, picture: true } } as const;
    const found =
      (await this.source.getRepository(Photo).findOne(of)) ??
      (await this.source.getRepository(JournalEntry).findOne(of));
    if (!found?.picture) throw new Error(`the picture ${id} was deleted meanwhile`);
    return found.picture;
  }

  /**
   * The tables, the plan and the description of an experiment, as a zip that is not packed, so that it is quick to take
   * apart. Names of students stay behind: an observer is a team or “a student”.
   */
  async texts(experimentId: string): Promise<Uint8Array> {
    const of = { where: { experimentId } };
    const [experiment, readings, units, containers, care, entries, predictions, conclusions] =
      await Promise.all([
        this.source.getRepository(Experiment).findOneByOrFail({ id: experimentId }),
        this.imports.tidyRows(experimentId),
        this.source.getRepository(Unit).findBy({ experimentId }),
        this.source.getRepository(Container).find({ ...of, order: { position: 'ASC' } }),
        this.source
          .getRepository(CareEvent)
          .find({ ...of, relations: { units: true, moves: true }, order: { recordedAt: 'ASC', id: 'ASC' } }),
        this.source
          .getRepository(JournalEntry)
          .createQueryBuilder('entry')
          .addSelect('entry.drawing')
          .addSelect('LEFT(entry.picture, 8)', 'begin')
          .where({ experimentId })
          .orderBy('entry.recorded_at')
          .getRawAndEntities<{ begin: Buffer | null }>(),
        this.source.getRepository(Prediction).find({ ...of, order: { recordedAt: 'ASC' } }),
        this.source.getRepository(Conclusion).find({ ...of, order: { recordedAt: 'ASC' } }),
      ]);
    const nameOf = withoutNames(await rosterNames(this.source, experiment));
    const numbers = new Map(units.map((unit) => [unit.id, unit.number]));
    const places = new Map(containers.map(({ id }, index) => [id, index + 1]));
    const photographed = await photosForBundle(this.source, experimentId, numbers);
    const pictured = entries.entities.map(({ id }, index) => {
      const begin = entries.raw[index]?.begin;
      return begin ? `photos/${id}.${mediaTypeOf(begin) === 'image/png' ? 'png' : 'jpg'}` : '';
    });
    return bundleTexts({
      title: experiment.question,
      status: experiment.status,
      hypothesis: experiment.hypothesis,
      readings,
      plan: experiment.planDocument ? JSON.stringify(experiment.planDocument, null, 2) : '',
      tables: {
        ...careTables(care, nameOf, numbers, places),
        journal: entries.entities.map((entry, index) => ({
          entry: entry.id,
          happened_on: entry.happenedOn,
          kind: kindInFile(entry.kind),
          unit: entry.unitId === null ? '' : String(numbers.get(entry.unitId) ?? ''),
          words: entry.note,
          observer: nameOf(entry),
          picture: pictured[index] ?? '',
          drawing: entry.drawing ? JSON.stringify(entry.drawing) : '',
        })),
        photos: photographed.photos,
        measures: photographed.measures,
        predictions: predictions.map(({ id, choice, recordedAt }) => ({
          prediction: id,
          choice,
          made_at: recordedAt.toISOString(),
        })),
        conclusions: conclusions.map((row) => ({
          conclusion: row.id,
          claim: row.claim,
          evidence: row.evidence,
          reasoning: row.reasoning,
          observer: nameOf(row),
          written_at: row.recordedAt.toISOString(),
        })),
      },
      pictures: [...pictured.filter((name) => name !== ''), ...photographed.pictures],
    });
  }

  /**
   * Opens a bundle as a new experiment, whole or not at all.
   * @throws ApiError `unreadable_file`, `id_in_use`
   */
  async open(id: string, request: OpenFileRequest, teacher: KnownTeacher): Promise<void> {
    if (await this.imports.isOpen(id, teacher)) return;
    const zip = await openZip(await this.uploads.arrived(teacher.id, request));
    if (!zip) throw noBundle();
    const bundle = await readBundle(zip);
    const result = readTidy(bundle.readings, bundle.title);
    if (!result.ok) throw unreadable(result.problems);
    const plan = await this.#planOf(bundle, teacher.id);
    const status = EXPERIMENT_STATUSES.find((one) => one === bundle.status);
    const pictures = new BundledPictures(zip, bundle);
    const hypothesis = bundle.hypothesis.slice(0, 1000);
    await this.imports.insertOnce(
      { id, teacherId: teacher.id, hypothesis, ...(status ? { status } : {}), ...(plan ? { plan } : {}) },
      result.experiment,
      teacher,
      async (manager, unitIds) => {
        await insertTables(manager, id, bundle, unitIds, pictures);
        await insertPhotos(manager, id, bundle, unitIds, pictures);
      },
    );
  }

  /** The plan of a bundle, when it is whole and its crops are known here; else the design is that of the table. */
  async #planOf(bundle: Bundle, teacherId: string): Promise<Plan | undefined> {
    if (bundle.plan === '') return undefined;
    let json: unknown;
    try {
      json = JSON.parse(bundle.plan);
    } catch {
      return undefined;
    }
    const checked = check(PlanDocument, json);
    if (!checked.ok) return undefined;
    const plan = checked.value as unknown as Plan;
    return resolvePlan(this.source, plan, teacherId).catch((thrown: unknown) => {
      if (thrown instanceof ApiError) return undefined;
      throw thrown;
    });
  }
}

/** Calls teams and teachers as they are, and no child by name. */
function withoutNames(
  names: ReadonlySet<string>,
): (made: { observer: string; studentId: string | null }) => string {
  return ({ observer, studentId }) =>
    studentId !== null || names.has(observer) ? say('aStudent') : observer;
}

async function insertTables(
  manager: EntityManager,
  experimentId: string,
  { tables }: Bundle,
  unitIds: ReadonlyMap<number, string>,
  pictures: BundledPictures,
): Promise<void> {
  const text = (row: BundleRow, column: string, most: number): string => (row[column] ?? '').slice(0, most);
  await insertBundledCare(manager, experimentId, tables, unitIds);
  for (const row of tables.journal) {
    const kind = ENTRY_KINDS.find((one) => kindInFile(one) === row.kind);
    const picture = await pictures.read(row.picture);
    if (!kind || (kind !== 'note' && picture === null)) continue;
    await manager.insert(JournalEntry, {
      id: uuid(),
      experimentId,
      unitId: row.unit === '' ? null : (unitIds.get(Number(row.unit)) ?? null),
      happenedOn: row.happened_on ?? '',
      kind,
      note: text(row, 'words', 1000),
      observer: text(row, 'observer', 60),
      picture,
      drawing: kind === 'drawing' ? drawingIn(row.drawing) : null,
    });
  }
  const guesses = tables.predictions.flatMap((row) => {
    const recordedAt = instantOf(row.made_at);
    return row.choice && recordedAt
      ? [{ id: uuid(), experimentId, choice: text(row, 'choice', 80), observer: '', recordedAt }]
      : [];
  });
  if (guesses.length > 0) await manager.insert(Prediction, guesses);
  const conclusions = tables.conclusions.flatMap((row) => {
    const recordedAt = instantOf(row.written_at);
    if (!row.claim || !recordedAt) return [];
    return [
      {
        id: uuid(),
        experimentId,
        claim: text(row, 'claim', 600),
        evidence: text(row, 'evidence', 4000),
        reasoning: text(row, 'reasoning', 600),
        observer: text(row, 'observer', 60),
        recordedAt,
      },
    ];
  });
  if (conclusions.length > 0) await manager.insert(Conclusion, conclusions);
}

function drawingIn(text: string | undefined): DrawingPart | null {
  if (!text) return null;
  try {
    const checked = check(DrawingPart, JSON.parse(text) as object);
    return checked.ok ? checked.value : null;
  } catch {
    return null;
  }
}

function instantOf(text: string | undefined): Date | undefined {
  return isInstant(text) ? new Date(text) : undefined;
}

/** A kind of entry as bundles have called it from the first on. */
function kindInFile(kind: EntryKind): string {
  return kind === 'note' ? 'words' : kind;
}
