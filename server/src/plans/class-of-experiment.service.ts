import { say } from '@bright-sprout/words/refusals';
import type { ClassOfExperimentRequest, ExperimentView } from '@bright-sprout/contract/plans';
import type { ClassView, MovedPlan } from '@bright-sprout/contract/classes';
import { isClassDay, movedDays, planCalendar, type PlanCalendar } from '@bright-sprout/core/calendar';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { isSamePart, type Plan } from '@bright-sprout/core/design';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, Not } from 'typeorm';
import { ClassesService } from '../classes/index.ts';
import { InventoryService } from '../inventory/index.ts';
import type { KnownTeacher } from '../accounts/index.ts';
import { ApiError, invalidField } from '../shared/index.ts';
import { Unit } from './design.entities.ts';
import { Drafts } from './drafts.service.ts';
import { Experiment } from './experiment.entity.ts';
import { ExperimentStore } from './experiment-store.ts';
import { planOf } from './plan-from-rows.ts';
import { PlansService } from './plans.service.ts';

/** Which class runs an experiment, and which team has which unit. */
@Injectable()
export class ClassOfExperiment implements OnModuleInit {
  constructor(
    private readonly store: ExperimentStore,
    private readonly classes: ClassesService,
    private readonly plans: PlansService,
    private readonly drafts: Drafts,
    private readonly inventory: InventoryService,
    @InjectDataSource() private readonly source: DataSource,
  ) {}

  onModuleInit(): void {
    this.classes.onSaved((schoolClass) => this.#follow(schoolClass));
  }

  /**
   * Gives an experiment to a class, or takes it back; its calendar takes the meeting days of a class that is new to it. A
   * co-teacher may change whose pots are whose, but not the class.
   * @throws ApiError `owner_only`
   */
  async give(experimentId: string, request: ClassOfExperimentRequest, teacher: KnownTeacher): Promise<void> {
    const { teacherId, classId: before } = (await this.store.load(experimentId)).experiment;
    if (teacherId !== teacher.id && request.classId !== before)
      throw new ApiError('owner_only', say('classIsOwners'));
    const schoolClass = await this.#own(request.classId, { id: teacherId });
    const teams = new Map((schoolClass?.teams ?? []).map((team) => [team.id, team.name]));
    await this.store.locked(experimentId, async (manager, experiment) => {
      const stored = await this.store.load(experimentId, manager);
      for (const { unitId, teamId } of request.units) {
        if (!stored.units.some((unit) => unit.id === unitId)) {
          throw invalidField('units', say('choosePotsOfThisExperiment'));
        }
        if (teamId !== null && !teams.has(teamId)) throw invalidField('units', say('chooseTeamsOfThisClass'));
      }
      const wanted = new Map(request.units.map(({ unitId, teamId }) => [unitId, teamId]));
      for (const unit of stored.units) {
        const teamId = wanted.get(unit.id) ?? null;
        const team = teamId === null ? '' : (teams.get(teamId) ?? '');
        const isSame = unit.teamId === teamId && (teamId === null || unit.team === team);
        if (!isSame) await manager.update(Unit, unit.id, { teamId, team });
      }
      const plan = planOf(stored);
      if (schoolClass && plan && experiment.classId !== schoolClass.id) {
        const calendar = { ...plan.calendar, ...daysOf(schoolClass) };
        await manager.save(Experiment, { id: experimentId, planDocument: { ...plan, calendar } });
      }
      const classId = schoolClass?.id ?? null;
      await manager.update(Experiment, experimentId, { classId, version: experiment.version + 1 });
    });
  }

  /**
   * Lets another class run the same plan: a copy from the class's next day on, bound to the first by a study.
   * Asking again under the same id gives the same copy.
   * @throws ApiError `id_in_use` for the id of an experiment that is no run of this plan
   */
  async run(fromId: string, id: string, classId: string, teacher: KnownTeacher): Promise<ExperimentView> {
    const schoolClass = await this.#own(classId, teacher);
    if (!schoolClass) throw invalidField('classId', say('chooseOneOfYourClasses'));
    const studyId = (await this.store.load(fromId)).experiment.studyId ?? fromId;
    const plan = await this.drafts.moved(fromId, teacher);
    const calendar = { ...plan.calendar, ...daysOf(schoolClass) };
    await this.drafts.insert(id, { ...plan, calendar }, teacher, { studyId, classId });
    await this.store.locked(fromId, (manager) => manager.update(Experiment, fromId, { studyId }).then(none));
    return this.plans.view(id, teacher);
  }

  /** The days of a class are kept with the class: plans that are not finished have the same. */
  async #follow(schoolClass: ClassView): Promise<MovedPlan[]> {
    const experiments = await this.source.getRepository(Experiment).find({
      where: { classId: schoolClass.id, status: Not('finished') },
      select: { id: true },
      order: { id: 'ASC' },
    });
    const days = daysOf(schoolClass);
    const changed: { readonly id: string; readonly before: Plan; readonly after: Plan }[] = [];
    for (const { id } of experiments) {
      await this.store.locked(id, async (manager, { planDocument: plan, classId, version }) => {
        if (!plan || classId !== schoolClass.id) return;
        const calendar = { ...plan.calendar, ...days };
        if (isSamePart(calendar, plan.calendar)) return;
        const after = { ...plan, calendar };
        await manager.save(Experiment, { id, planDocument: after, version: version + 1 });
        changed.push({ id, before: plan, after });
      });
    }
    // Asked once no plan is locked any more: a lock holds a connection, and this takes another.
    const movedPlans: MovedPlan[] = [];
    for (const { id, before, after } of changed)
      movedPlans.push({ experimentId: id, ...(await this.#moved(id, before, after)) });
    return movedPlans;
  }

  async #moved(id: string, before: Plan, after: Plan): Promise<Omit<MovedPlan, 'experimentId'>> {
    const { crops, seedLots: lots } = await this.inventory.ofExperiment(id);
    const [old, now] = [before, after].map((plan) => planCalendar(plan, { crops, lots })) as [
      PlanCalendar,
      PlanCalendar,
    ];
    const own = [
      { what: 'sowing', day: after.sowOn },
      { what: 'lesson', day: after.lessonOn },
    ] as const;
    return {
      question: after.question,
      moved: movedDays(old, now),
      offClassDay: own.flatMap(({ what, day }) => (isClassDay(day, after.calendar) ? [] : [what])),
    };
  }

  async #own(classId: string | null, teacher: Pick<KnownTeacher, 'id'>): Promise<ClassView | undefined> {
    if (classId === null) return undefined;
    const own = (await this.classes.all(teacher)).find((one) => one.id === classId && one.shared === null);
    if (!own) throw invalidField('classId', say('chooseOneOfYourClasses'));
    return own;
  }
}

function none(): void {
  return undefined;
}

function daysOf({ meetingDays, holidays }: ClassView): {
  meetingDays: number[];
  holidays: { name: string; from: CalendarDay; to: CalendarDay }[];
} {
  return { meetingDays, holidays };
}
