import { say } from '@bright-sprout/words/refusals';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { AuditService, type KnownTeacher } from '../accounts/index.ts';
import { SchoolClass } from '../classes/index.ts';
import { adoptInventory } from '../inventory/index.ts';
import { Experiment } from '../plans/index.ts';
import { ApiError, Clock, inTransaction, invalidField } from '../shared/index.ts';
import { Share, type Subject } from '../sharing/index.ts';

/** Hands classes and experiments over to a co-teacher, at the year's end or when a teacher leaves. */
@Injectable()
export class HandOverService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clock: Clock,
    private readonly audit: AuditService,
  ) {}

  /**
   * Hands a class over with all its experiments, those put away too. The new owner gets copies of the crops and packets
   * that the plans name; the old one may still see the class, until one of them ends that.
   * @throws ApiError `invalid_fields` when the share is not a co-teacher's of this class
   */
  async ofClass(classId: string, shareId: string, teacher: KnownTeacher): Promise<void> {
    await inTransaction(this.source, async (manager) => {
      const schoolClass = await manager.findOneOrFail(SchoolClass, {
        where: { id: classId },
        lock: { mode: 'pessimistic_write' },
      });
      if (schoolClass.teacherId !== teacher.id) return;
      const heir = await this.#heirOf({ classId }, shareId, manager);
      const experiments = await lockedExperiments(manager, { classId, teacherId: teacher.id });
      await this.#give(manager, experiments, heir);
      await manager.update(SchoolClass, classId, { teacherId: heir });
      await this.#keepInSight(manager, { classId }, teacher.id);
    });
    await this.audit.note('handed_over', teacher.id, classId);
  }

  /**
   * Hands an experiment over that no class runs, as {@link ofClass} does.
   * @throws ApiError `goes_with_class` for one of a class, `invalid_fields` when the share is not a co-teacher's
   */
  async ofExperiment(experimentId: string, shareId: string, teacher: KnownTeacher): Promise<void> {
    await inTransaction(this.source, async (manager) => {
      const [experiment] = await lockedExperiments(manager, { id: experimentId, teacherId: teacher.id });
      if (!experiment) return;
      if (experiment.classId !== null) throw new ApiError('goes_with_class', say('handOverItsClass'));
      const heir = await this.#heirOf({ experimentId }, shareId, manager);
      await this.#give(manager, [experiment], heir);
      await this.#keepInSight(manager, { experimentId }, teacher.id);
    });
    await this.audit.note('handed_over', teacher.id, experimentId);
  }

  async #heirOf(subject: Subject, shareId: string, manager: EntityManager): Promise<string> {
    const share = await manager.findOneBy(Share, { id: shareId, ...subject });
    if (!share?.teacherId) throw invalidField('shareId', say('notACoTeacher'));
    return share.teacherId;
  }

  async #give(manager: EntityManager, experiments: readonly Experiment[], heir: string): Promise<void> {
    for (const { id, planDocument, cropId, version } of experiments) {
      const plan = planDocument && (await adoptInventory(manager, planDocument, heir));
      const crop = plan && cropId !== null ? { cropId: plan.cropId } : {};
      await manager.update(Experiment, id, { teacherId: heir, version: version + 1, ...crop });
      if (plan) await manager.save(Experiment, { id, planDocument: plan });
      await manager.delete(Share, { experimentId: id, teacherId: heir });
    }
  }

  /** The old owner keeps a share to see; the new owner needs none any more. */
  async #keepInSight(manager: EntityManager, subject: Subject, before: string): Promise<void> {
    const [id, column] =
      'classId' in subject ? [subject.classId, 'class'] : [subject.experimentId, 'experiment'];
    const table = column === 'class' ? 'school_class' : 'experiment';
    await manager.query(
      `DELETE s FROM share s JOIN ${table} o ON o.id = s.${column}_id AND o.teacher_id = s.teacher_id WHERE o.id = ?`,
      [id],
    );
    const expiresAt = this.clock.now();
    await manager.insert(Share, {
      id: uuid(),
      ...subject,
      may: 'see',
      code: null,
      expiresAt,
      teacherId: before,
    });
  }
}

function lockedExperiments(
  manager: EntityManager,
  where: { classId: string; teacherId: string } | { id: string; teacherId: string },
): Promise<Experiment[]> {
  return manager.find(Experiment, { where, lock: { mode: 'pessimistic_write' } });
}
