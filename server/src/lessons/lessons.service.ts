import { say } from '@bright-sprout/words/refusals';
import type { LessonRequest, LessonView, ShowingRequest, ShowingView } from '@bright-sprout/contract/lessons';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ApiError, Clock, inTransaction, invalidField, retried } from '../shared/index.ts';
import { LessonRow } from './lesson.entities.ts';

const NEW_ROW = 'INSERT IGNORE INTO lesson (experiment_id, version) VALUES (?, 0)';

/** The lesson of an experiment: one document with a version, and what is shown of it now. */
@Injectable()
export class LessonsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
  ) {}

  /** The lesson as it is kept; version 0 before anybody changed the draft. */
  async lesson(experimentId: string): Promise<LessonView> {
    const row = await this.source.getRepository(LessonRow).findOneBy({ experimentId });
    return row ? lessonView(row) : { version: 0, document: null, begunAt: null, showing: null };
  }

  /**
   * Keeps the boards, when they still have the version that the change was made on.
   * @throws ApiError `changed_elsewhere`, `invalid_fields`
   */
  async save(experimentId: string, { version, ...document }: LessonRequest): Promise<LessonView> {
    const ids = document.boards.map(({ id }) => id);
    if (new Set(ids).size < ids.length) throw invalidField('boards', say('twoBoardsHaveOneId'));
    await this.source.query(NEW_ROW, [experimentId]);
    await inTransaction(this.source, async (manager) => {
      const row = await manager.findOneOrFail(LessonRow, {
        where: { experimentId },
        lock: { mode: 'pessimistic_write' },
      });
      if (row.version !== version) {
        throw new ApiError('changed_elsewhere', say('thisLessonWasChangedInAnotherWindow'));
      }
      await manager.update(LessonRow, experimentId, { document, version: version + 1 });
    });
    return this.lesson(experimentId);
  }

  /** Shows a board; the first one begins the lesson. The device that changed it last decides. */
  async show(experimentId: string, showing: ShowingRequest): Promise<ShowingView> {
    const now = this.clock.now();
    await this.source.query(NEW_ROW, [experimentId]);
    const rows = this.source.getRepository(LessonRow);
    const before = await rows.findOneByOrFail({ experimentId });
    const begunAt = before.showing === null ? now : (before.begunAt ?? now);
    await retried(() => rows.update({ experimentId }, { showing, begunAt, shownAt: now }));
    return { ...showing, begunAt: begunAt.toISOString(), shownAt: now.toISOString() };
  }

  /** Ends the lesson; its boards stay, and so does what was voted. */
  async end(experimentId: string): Promise<void> {
    const ended = { showing: null, shownAt: this.clock.now() };
    await retried(() => this.source.getRepository(LessonRow).update({ experimentId }, ended));
  }
}

function lessonView({ version, document, showing, begunAt, shownAt }: LessonRow): LessonView {
  const isShown = showing !== null && begunAt !== null && shownAt !== null;
  return {
    version,
    document,
    begunAt: begunAt?.toISOString() ?? null,
    showing: isShown ? { ...showing, begunAt: begunAt.toISOString(), shownAt: shownAt.toISOString() } : null,
  };
}
