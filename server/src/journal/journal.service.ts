import { say } from '@bright-sprout/words/refusals';
import type { DrawingPart, EntryRequest, EntryView } from '@bright-sprout/contract/journal';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type FindOptionsWhere, In, IsNull, Not } from 'typeorm';
import { Unit } from '../plans/index.ts';
import type { Observer } from '../readings/index.ts';
import { ApiError, Clock, invalidField, isDuplicate, notFound } from '../shared/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { cleanDrawing, cleanPicture } from './clean-picture.ts';
import { JournalEntry } from './journal-entry.entity.ts';

/** Twenty pictures a day for a year. */
const MOST_PICTURES = 8000;

/** Photos, drawings and sentences. */
@Injectable()
export class JournalService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly uploads: UploadsService,
  ) {}

  /** The entries of one unit as a student sees them: the own, and those of others that were chosen for the lesson. */
  async ofUnit(unitId: string, studentId: string | null): Promise<EntryView[]> {
    const chosen = await this.#chosen(
      'JOIN unit u ON u.experiment_id = l.experiment_id WHERE u.id = ?',
      unitId,
    );
    const seen: FindOptionsWhere<JournalEntry>[] = [{ unitId, id: In(chosen), hiddenAt: IsNull() }];
    if (studentId !== null) seen.push({ unitId, studentId });
    const entries = await this.#found(seen);
    if (studentId === null) return entries;
    const drawn = await this.source
      .getRepository(JournalEntry)
      .find({ where: { unitId, studentId, drawing: Not(IsNull()) }, select: { id: true } });
    const own = new Set(drawn.map(({ id }) => id));
    return entries.map((entry) => ({ ...entry, canGoOn: own.has(entry.id) }));
  }

  /**
   * The lines of a drawing.
   * @throws ApiError `not_found`
   */
  async drawing(where: FindOptionsWhere<JournalEntry>): Promise<DrawingPart> {
    const entry = await this.source
      .getRepository(JournalEntry)
      .findOne({ where, select: { id: true, drawing: true } });
    if (!entry?.drawing) throw notFound();
    return entry.drawing;
  }

  /** True of an entry that the teacher chose for a board of the lesson, and that everybody may see. */
  async isChosen(id: string): Promise<boolean> {
    const of =
      'JOIN journal_entry e ON e.experiment_id = l.experiment_id WHERE e.hidden_at IS NULL AND e.id = ?';
    return (await this.#chosen(of, id)).includes(id);
  }

  /** Ids of the entries on the boards of a lesson. */
  async #chosen(where: string, id: string): Promise<string[]> {
    const rows = await this.source.query<{ ids: string | null }[]>(
      `SELECT CAST(JSON_EXTRACT(l.document, '$.boards[*].entryIds') AS CHAR) AS ids FROM lesson l ${where}`,
      [id],
    );
    return rows.flatMap(({ ids }) => (ids === null ? [] : (JSON.parse(ids) as string[][]).flat()));
  }

  /** The entries of an experiment, the newest last. */
  all(experimentId: string): Promise<EntryView[]> {
    return this.#found({ experimentId });
  }

  /**
   * Hides an entry from everybody but who made it, or shows it again.
   * @throws ApiError `not_found`
   */
  async hide(experimentId: string, id: string, isHidden: boolean): Promise<EntryView> {
    const entries = this.source.getRepository(JournalEntry);
    await entries.update({ id, experimentId }, { hiddenAt: isHidden ? this.clock.now() : null });
    const entry = await entries.findOneBy({ id, experimentId });
    if (!entry) throw notFound();
    return entryView(entry);
  }

  async #found(
    where: FindOptionsWhere<JournalEntry> | FindOptionsWhere<JournalEntry>[],
  ): Promise<EntryView[]> {
    const entries = await this.source
      .getRepository(JournalEntry)
      .find({ where, order: { happenedOn: 'ASC', recordedAt: 'ASC' } });
    return entries.map(entryView);
  }

  /**
   * Keeps an entry. Sent twice under the same id it is stored once.
   * @param ownerId the teacher, or the class of the device, that sent the picture
   * @throws ApiError `invalid_fields`, `not_a_picture`, `too_large`, `upload_incomplete`, `id_in_use`
   */
  async keep(
    experimentId: string,
    id: string,
    request: EntryRequest,
    observer: Observer,
    ownerId: string,
  ): Promise<EntryView> {
    const { kind, happenedOn, note } = request;
    const unitId = request.unitId ?? null;
    if (happenedOn > this.clock.today(observer.timeZone)) {
      throw invalidField('happenedOn', say('thisDayHasNotComeYet'));
    }
    if (kind === 'note' && note === '') throw invalidField('note', say('writeASentenceFirst'));
    if (kind !== 'note' && !request.picture) throw invalidField('picture', say('thereIsNoPictureYet'));
    const entries = this.source.getRepository(JournalEntry);
    const kept = await entries.findOneBy({ id });
    if (kept) return sameEntry(kept, experimentId, unitId);
    if (unitId !== null && !(await this.source.getRepository(Unit).existsBy({ id: unitId, experimentId }))) {
      throw invalidField('unitId', say('chooseAPotOfThisExperiment'));
    }
    const entry = {
      id,
      experimentId,
      unitId,
      happenedOn,
      kind,
      note,
      observer: observer.displayName,
      studentId: observer.studentId ?? null,
      hiddenAt: null,
      recordedAt: this.clock.now(),
    };
    if (kind !== 'note') await this.#refuseTooMany(experimentId);
    const sent = kind === 'note' ? null : request.picture;
    const clean = kind === 'drawing' ? cleanDrawing : cleanPicture;
    const picture = sent ? await clean(await this.uploads.whole(ownerId, sent)) : null;
    try {
      await entries.insert({ ...entry, picture, drawing: kind === 'drawing' ? linesOf(request) : null });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
    }
    if (sent) await this.uploads.forget(ownerId, sent);
    return entryView(entry);
  }

  async #refuseTooMany(experimentId: string): Promise<void> {
    const count = await this.source.getRepository(JournalEntry).countBy({ experimentId, kind: Not('note') });
    if (count < MOST_PICTURES) return;
    throw new ApiError(
      'too_large',
      say('thisExperimentHoldsPicturesWhichIsAs', { mostPictures: MOST_PICTURES }),
    );
  }

  /**
   * The picture of an entry: of a photo a JPEG, of a drawing a PNG.
   * @throws ApiError `not_found`
   */
  async picture(where: FindOptionsWhere<JournalEntry> | FindOptionsWhere<JournalEntry>[]): Promise<Buffer> {
    if (Array.isArray(where) && where.length === 0) throw notFound();
    const entry = await this.source
      .getRepository(JournalEntry)
      .findOne({ where, select: { id: true, picture: true } });
    if (!entry?.picture) throw notFound();
    return entry.picture;
  }

  /** Removes an entry with its picture for good. */
  async remove(experimentId: string, id: string): Promise<void> {
    await this.source.getRepository(JournalEntry).delete({ id, experimentId });
  }
}

/** Plain data, as it is stored. */
function linesOf({ drawing }: EntryRequest): DrawingPart | null {
  return drawing ? (JSON.parse(JSON.stringify(drawing)) as DrawingPart) : null;
}

function sameEntry(kept: JournalEntry, experimentId: string, unitId: string | null): EntryView {
  if (kept.experimentId === experimentId && kept.unitId === unitId) return entryView(kept);
  throw new ApiError('id_in_use', say('anotherEntryWasKeptUnderThisId'));
}

function entryView(
  entry: Omit<JournalEntry, 'experiment' | 'unit' | 'student' | 'picture' | 'drawing'>,
): EntryView {
  const { id, unitId, happenedOn, kind, note, observer } = entry;
  return {
    id,
    unitId,
    happenedOn,
    kind,
    note,
    hasPicture: kind !== 'note',
    isHidden: entry.hiddenAt !== null,
    canGoOn: false,
    observer,
    recordedAt: entry.recordedAt.toISOString(),
  };
}
