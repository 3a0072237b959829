import { say } from '@bright-sprout/words/refusals';
import type { StartRequest } from '@bright-sprout/contract/plans';
import { type Plan, startPlan } from '@bright-sprout/core/design';
import { classDayFrom, SCHOOL_DAYS } from '@bright-sprout/core/calendar';
import { addDays, type CalendarDay, daysBetween } from '@bright-sprout/core/shared';
import { planFromTemplate, STARTING_TEMPLATES } from '@bright-sprout/core/templates';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import type { KnownTeacher } from '../accounts/index.ts';
import { ApiError, Clock, inTransaction, invalidField, isDuplicate } from '../shared/index.ts';
import { firstSowing, lessonProblem } from './check-plan.ts';
import { PlanTemplate } from './plan-extras.entities.ts';
import { Variable } from './design.entities.ts';
import { adoptInventory, InventoryService, resolvePlan } from '../inventory/index.ts';
import { Experiment } from './experiment.entity.ts';
import { ExperimentStore } from './experiment-store.ts';
import { planOf, wholePlan } from './plan-from-rows.ts';
import { planRows, variablesOf } from './plan-rows.ts';
import { cropFields } from './grown-crops.ts';

const DAYS_TO_LESSON = 25;

/** Where a draft stands that is one of several classes' runs of a plan. */
export interface StudyPlace {
  readonly studyId: string;
  readonly classId: string;
}

/** Starts drafts: from a kind, a template or another plan. */
@Injectable()
export class Drafts {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly inventory: InventoryService,
    private readonly clock: Clock,
  ) {}

  /** Starts a draft of a kind, or from a template. Starting it again changes nothing. */
  async start(id: string, request: StartRequest, teacher: KnownTeacher): Promise<void> {
    const plan = request.templateId
      ? await this.#fromTemplate(request.templateId, request, teacher)
      : await this.#ofKind(request, teacher);
    const problem = lessonProblem(plan.sowOn, plan.lessonOn);
    if (problem !== undefined) throw invalidField('lessonOn', problem);
    await this.insert(id, plan, teacher);
  }

  /** Starts a draft with the plan of another experiment, its dates moved to come; also of one that is shared. */
  async copy(fromId: string, id: string, teacher: KnownTeacher): Promise<void> {
    const moved = await this.moved(fromId, teacher);
    await this.insert(id, await adoptInventory(this.source.manager, moved, teacher.id), teacher);
  }

  /** The plan of another experiment from the next class day on. */
  async moved(fromId: string, teacher: KnownTeacher): Promise<Plan> {
    const plan = planOf(await this.store.load(fromId));
    if (!plan) {
      throw new ApiError('bad_request', say('thisDesignCameFromAFileAnd'));
    }
    return this.#moved(plan, teacher);
  }

  /** @throws ApiError `id_in_use` when the id is another teacher's */
  async claim(id: string, teacher: KnownTeacher): Promise<void> {
    if ((await this.store.ownerOf(id)) === teacher.id) return;
    throw inUse();
  }

  /**
   * Stores a draft with the rows of its plan, once.
   * @param study the class that runs it and the study that it is part of
   * @throws ApiError `id_in_use` when the id is another teacher's, or another run's
   */
  async insert(id: string, asked: Plan, teacher: KnownTeacher, study?: StudyPlace): Promise<void> {
    await this.store.refuseTooMany(teacher.id);
    const plan = await resolvePlan(this.source, asked, teacher.id);
    const crop = await cropFields(this.inventory, plan, teacher);
    try {
      await inTransaction(this.source, async (manager) => {
        await manager.insert(Experiment, {
          id,
          teacherId: teacher.id,
          question: plan.question,
          hypothesis: plan.hypothesis,
          ...crop,
          sowOn: firstSowing(plan),
          lessonOn: plan.lessonOn,
          replicates: plan.replicates,
          seedsPerUnit: plan.seedsPerUnit,
          layoutSeed: plan.layoutSeed,
          createdAt: this.clock.now(),
          ...study,
        });
        await manager.save(Experiment, { id, planDocument: plan });
        await this.store.insertRows(manager, planRows(id, plan));
        await manager.insert(
          Variable,
          variablesOf(plan).map((variable, position) => ({
            id: uuid(),
            experimentId: id,
            position,
            ...variable,
          })),
        );
      });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      await this.claim(id, teacher);
      if (study) await this.#refuseOtherRun(id, study);
    }
  }

  /** The id of an experiment that is no run of this study must not take it over. */
  async #refuseOtherRun(id: string, { studyId }: StudyPlace): Promise<void> {
    const isSame = await this.source.getRepository(Experiment).existsBy({ id, studyId });
    if (!isSame) throw inUse();
  }

  async #ofKind(request: StartRequest, teacher: KnownTeacher): Promise<Plan> {
    const kind = request.kind ?? 'one_factor';
    const crop = await this.inventory.crop(request.cropId, teacher);
    const crops = await this.inventory.crops(teacher);
    const sowOn = this.#nextClassDay(teacher);
    const lessonOn = request.lessonOn ?? classDayFrom(addDays(sowOn, DAYS_TO_LESSON), SCHOOL_DAYS);
    const { question } = request;
    return startPlan({ kind, question, crop, otherCrops: neighbours(crop.id, crops), sowOn, lessonOn });
  }

  async #fromTemplate(templateId: string, request: StartRequest, teacher: KnownTeacher): Promise<Plan> {
    const { question, cropId } = request;
    const shipped = STARTING_TEMPLATES.find((template) => template.id === templateId);
    const sowOn = this.#nextClassDay(teacher);
    if (shipped) {
      const crop = await this.inventory.crop(cropId, teacher);
      const lessonOn = request.lessonOn ?? classDayFrom(addDays(sowOn, shipped.days), SCHOOL_DAYS);
      const crops = await this.inventory.crops(teacher);
      const wish = { question, crop, otherCrops: neighbours(crop.id, crops), sowOn, lessonOn };
      return planFromTemplate(shipped, wish);
    }
    const own = await this.source
      .getRepository(PlanTemplate)
      .findOneBy({ id: templateId, teacherId: teacher.id })
      .catch(() => null);
    if (!own) throw invalidField('templateId', say('thisTemplateIsNoLongerThereChoose'));
    const moved = this.#moved(wholePlan(own.planDocument), teacher);
    return { ...moved, question, cropId, ...(request.lessonOn ? { lessonOn: request.lessonOn } : {}) };
  }

  /** The same plan from the next class day on, with as many days to the lesson. */
  #moved(plan: Plan, teacher: KnownTeacher): Plan {
    const days = Math.max(1, daysBetween(firstSowing(plan) as CalendarDay, plan.lessonOn));
    const sowOn = classDayFrom(addDays(this.clock.today(teacher.timeZone), 1), plan.calendar);
    const lessonOn = classDayFrom(addDays(sowOn, days), plan.calendar);
    return { ...plan, sowOn, lessonOn, calendar: { ...plan.calendar, lastFrostOn: null } };
  }

  #nextClassDay(teacher: KnownTeacher): CalendarDay {
    return classDayFrom(addDays(this.clock.today(teacher.timeZone), 1), SCHOOL_DAYS);
  }
}

function inUse(): ApiError {
  return new ApiError('id_in_use', say('thisCouldNotBeStartedUnderIts'));
}

/** Other crops, those that come up about as fast first. */
function neighbours<T extends { id: string; daysToEmergence: { max: number } | null }>(
  cropId: string,
  crops: readonly T[],
): T[] {
  const days = (crop: T | undefined): number => crop?.daysToEmergence?.max ?? 99;
  const own = days(crops.find((crop) => crop.id === cropId));
  return [...crops].sort((a, b) => Math.abs(days(a) - own) - Math.abs(days(b) - own));
}
