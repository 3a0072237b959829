import { say } from '@bright-sprout/words/refusals';
import type { TemplateRequest, TemplateView } from '@bright-sprout/contract/plans';
import { daysBetween, type CalendarDay } from '@bright-sprout/core/shared';
import { STARTING_TEMPLATES } from '@bright-sprout/core/templates';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';
import { ApiError } from '../shared/index.ts';
import { firstSowing } from './check-plan.ts';
import { PlanTemplate } from './plan-extras.entities.ts';
import { InventoryService } from '../inventory/index.ts';
import { ExperimentStore } from './experiment-store.ts';
import { planOf } from './plan-from-rows.ts';

/** Plans to start from. */
@Injectable()
export class TemplatesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly inventory: InventoryService,
  ) {}

  /** The teacher's own, newest first, then those that ship. */
  async all(teacher: KnownTeacher): Promise<TemplateView[]> {
    const own = await this.source
      .getRepository(PlanTemplate)
      .find({ where: { teacherId: teacher.id }, order: { createdAt: 'DESC' } });
    const names = new Map((await this.inventory.crops(teacher)).map((crop) => [crop.id, crop.commonName]));
    const shipped = STARTING_TEMPLATES.map(({ id, kind, question, about, cropId, days }) => ({
      id,
      kind,
      question,
      about,
      cropId,
      cropName: names.get(cropId) ?? '',
      days,
      isOwn: false,
    }));
    return [...own.map((template) => ownView(template, names)), ...shipped];
  }

  /** Keeps the plan of an experiment. Keeping it again under the same id replaces it. */
  async save(
    experimentId: string,
    id: string,
    request: TemplateRequest,
    teacher: KnownTeacher,
  ): Promise<TemplateView> {
    const plan = planOf(await this.store.load(experimentId));
    if (!plan) {
      throw new ApiError('bad_request', say('thisDesignCameFromAFileAnd2'));
    }
    const templates = this.source.getRepository(PlanTemplate);
    const before = await templates.findOneBy({ id });
    if (before && before.teacherId !== teacher.id) {
      throw new ApiError('id_in_use', say('thisCouldNotBeKeptUnderIts'));
    }
    const template = { id, teacherId: teacher.id, about: request.about, planDocument: plan };
    await templates.save(template);
    const crops = await this.inventory.crops(teacher);
    return ownView(template, new Map(crops.map((crop) => [crop.id, crop.commonName])));
  }

  /** Takes a template away; experiments started from it stay. */
  async remove(id: string): Promise<void> {
    await this.source.getRepository(PlanTemplate).delete(id);
  }
}

function ownView(
  template: Pick<PlanTemplate, 'id' | 'about' | 'planDocument'>,
  names: ReadonlyMap<string, string>,
): TemplateView {
  const { kind, question, cropId, lessonOn } = template.planDocument;
  return {
    id: template.id,
    kind,
    question,
    about: template.about,
    cropId,
    cropName: names.get(cropId) ?? '',
    days: daysBetween(firstSowing(template.planDocument) as CalendarDay, lessonOn),
    isOwn: true,
  };
}
