import { say } from '@bright-sprout/words/refusals';
import { CARE_KINDS, ENTRY_KINDS, type EntryKind } from '@bright-sprout/core/shared';
import type { OpenFileRequest } from '@bright-sprout/contract/imports';
import { PlanDocument } from '@bright-sprout/contract/plans';
import { check } from '@bright-sprout/contract/shared';
import type { Plan } from '@bright-sprout/core/design';
import { readTidy } from '@bright-sprout/core/imports';
import { EXPERIMENT_STATUSES } from '@bright-sprout/core/calendar';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { CareEvent, insertCare } from '../care/index.ts';
import { Conclusion, Prediction } from '../predictions/index.ts';
import { cleanPicture, JournalEntry } from '../journal/index.ts';
import type { KnownTeacher } from '../accounts/index.ts';
import { Crop } from '../inventory/index.ts';
import { Experiment, Unit } from '../plans/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { PHOTO_LIMITS } from '../photos/index.ts';
import { insertPhotos, photosForBundle } from './bundle-photos.ts';
import { type Bundle, type BundleRow, readBundle, writeBundle } from './bundle.ts';
import { ImportsService } from './imports.service.ts';
import { unreadable } from './unreadable.ts';

const MOST_WORDS = 500;

/** Whole experiments as bundles, out and in. */
@Injectable()
export class BundleService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly imports: ImportsService,
    private readonly uploads: UploadsService,
  ) {}

  /** Everything of an experiment as a zip. Names of students stay behind: an observer is a team or “a student”. */
  async export(experimentId: string): Promise<Uint8Array> {
    const of = { where: { experimentId } };
    const [experiment, readings, units, care, entries, predictions, conclusions] = await Promise.all([
      this.source.getRepository(Experiment).findOneByOrFail({ id: experimentId }),
      this.imports.tidyRows(experimentId),
      this.source.getRepository(Unit).findBy({ experimentId }),
      this.source
        .getRepository(CareEvent)
        .find({ ...of, relations: { units: true }, order: { recordedAt: 'ASC' } }),
      this.source
        .getRepository(JournalEntry)
        .createQueryBuilder('entry')
        .addSelect('entry.picture')
        .where({ experimentId })
        .orderBy('entry.recorded_at')
        .getMany(),
      this.source.getRepository(Prediction).find({ ...of, order: { recordedAt: 'ASC' } }),
      this.source.getRepository(Conclusion).find({ ...of, order: { recordedAt: 'ASC' } }),
    ]);
    const numbers = new Map(units.map((unit) => [unit.id, unit.number]));
    const photographed = await photosForBundle(this.source, experimentId, numbers);
    const pictures = new Map<string, Uint8Array>(photographed.pictures);
    const pictureOf = ({ id, picture }: JournalEntry): string => {
      if (!picture) return '';
      pictures.set(`photos/${id}.jpg`, picture);
      return `photos/${id}.jpg`;
    };
    return writeBundle({
      title: experiment.question,
      status: experiment.status,
      hypothesis: experiment.hypothesis,
      readings,
      plan: experiment.planDocument ? JSON.stringify(experiment.planDocument, null, 2) : '',
      tables: {
        care: care.map((event) => ({
          happened_on: event.happenedOn,
          kind: event.kind,
          amount: event.amount === null ? '' : String(event.amount),
          units: event.units
            .flatMap(({ unitId }) => numbers.get(unitId) ?? [])
            .sort((a, b) => a - b)
            .join(' '),
          words: event.note,
          observer: nameOf(event),
          is_undone: String(event.undoneAt !== null),
        })),
        journal: entries.map((entry) => ({
          happened_on: entry.happenedOn,
          kind: kindInFile(entry.kind),
          unit: entry.unitId === null ? '' : String(numbers.get(entry.unitId) ?? ''),
          words: entry.note,
          observer: nameOf(entry),
          picture: pictureOf(entry),
        })),
        photos: photographed.photos,
        measures: photographed.measures,
        predictions: predictions.map(({ choice, recordedAt }) => ({
          choice,
          made_at: recordedAt.toISOString(),
        })),
        conclusions: conclusions.map((row) => ({
          claim: row.claim,
          evidence: row.evidence,
          reasoning: row.reasoning,
          observer: nameOf(row),
          written_at: row.recordedAt.toISOString(),
        })),
      },
      pictures,
    });
  }

  /**
   * Opens a bundle as a new experiment, whole or not at all.
   * @throws ApiError `unreadable_file`, `id_in_use`
   */
  async open(id: string, request: OpenFileRequest, teacher: KnownTeacher): Promise<void> {
    if (await this.imports.isOpen(id, teacher)) return;
    const bundle = readBundle(await this.uploads.whole(teacher.id, request));
    const result = readTidy(bundle.readings, bundle.title);
    if (!result.ok) throw unreadable(result.problems);
    const plan = await this.#planOf(bundle);
    const status = EXPERIMENT_STATUSES.find((one) => one === bundle.status);
    const pictures = new Map<string, Buffer>();
    const ofPhotos = new Set(bundle.tables.photos.map((row) => row.picture ?? ''));
    for (const [name, picture] of bundle.pictures) {
      const limits = ofPhotos.has(name) ? PHOTO_LIMITS : undefined;
      pictures.set(name, await cleanPicture(Buffer.from(picture), limits));
    }
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
  async #planOf(bundle: Bundle): Promise<Plan | undefined> {
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
    const isKnown = await this.source.getRepository(Crop).existsBy({ id: plan.cropId });
    return isKnown ? { ...plan, lotId: null } : undefined;
  }
}

function nameOf({ observer, studentId }: { observer: string; studentId: string | null }): string {
  return studentId === null ? observer : say('aStudent');
}

async function insertTables(
  manager: EntityManager,
  experimentId: string,
  { tables }: Bundle,
  unitIds: ReadonlyMap<number, string>,
  pictures: ReadonlyMap<string, Buffer>,
): Promise<void> {
  const text = (row: BundleRow, column: string, most: number): string => (row[column] ?? '').slice(0, most);
  const care = tables.care.flatMap((row) => {
    const kind = CARE_KINDS.find((one) => one === row.kind);
    const units = text(row, 'units', 4000)
      .split(' ')
      .filter((number) => number !== '');
    const ids = units.flatMap((number) => unitIds.get(Number(number)) ?? []);
    const amount = row.amount === '' || row.amount === undefined ? null : Number(row.amount);
    if (!kind || (units.length > 0 && ids.length === 0)) return [];
    return [
      {
        id: uuid(),
        experimentId,
        unitIds: units.length === 0 ? null : ids,
        happenedOn: row.happened_on ?? '',
        kind,
        amount: amount !== null && Number.isFinite(amount) ? amount : null,
        note: text(row, 'words', MOST_WORDS),
        observer: text(row, 'observer', 60),
        undoneAt: row.is_undone === 'true' ? new Date() : null,
      },
    ];
  });
  const journal = tables.journal.flatMap((row) => {
    const kind = ENTRY_KINDS.find((one) => kindInFile(one) === row.kind);
    const picture = pictures.get(row.picture ?? '') ?? null;
    if (!kind || (kind !== 'note' && picture === null)) return [];
    return [
      {
        id: uuid(),
        experimentId,
        unitId: row.unit === '' ? null : (unitIds.get(Number(row.unit)) ?? null),
        happenedOn: row.happened_on ?? '',
        kind,
        note: text(row, 'words', 1000),
        observer: text(row, 'observer', 60),
        picture,
      },
    ];
  });
  await insertCare(manager, care);
  for (const entry of journal) await manager.insert(JournalEntry, entry);
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

function instantOf(text: string | undefined): Date | undefined {
  const time = Date.parse(text ?? '');
  return Number.isNaN(time) ? undefined : new Date(time);
}

/** A kind of entry as bundles have called it from the first on. */
function kindInFile(kind: EntryKind): string {
  return kind === 'note' ? 'words' : kind;
}
