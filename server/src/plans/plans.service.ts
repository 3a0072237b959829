import { say } from '@bright-sprout/words/refusals';
import type {
  DescriptionRequest,
  ExperimentView,
  LayoutRequest,
  PlanRequest,
  StartRequest,
  UnitRequest,
} from '@bright-sprout/contract/plans';
import { numberReplicates, type Plan } from '@bright-sprout/core/design';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';
import { RightsService } from '../sharing/index.ts';
import { ApiError, Clock, invalidField, invalidFields } from '../shared/index.ts';
import { firstSowing, fixedDifferences, lessonProblem, planProblems } from './check-plan.ts';
import { Container, Treatment, Unit } from './design.entities.ts';
import { Drafts } from './drafts.service.ts';
import { InventoryService, resolvePlan } from '../inventory/index.ts';
import { Experiment } from './experiment.entity.ts';
import { ExperimentStore } from './experiment-store.ts';
import { cropFields } from './grown-crops.ts';
import { planOf } from './plan-from-rows.ts';
import { saveDesign, saveNames } from './save-design.ts';
import { saveVariables } from './save-variables.ts';
import { experimentView } from './views.ts';

/** Plans: from a question to units laid out on the layout. */
@Injectable()
export class PlansService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly drafts: Drafts,
    private readonly inventory: InventoryService,
    private readonly rights: RightsService,
    private readonly clock: Clock,
  ) {}

  /** One experiment with its plan. */
  async view(experimentId: string, teacher: KnownTeacher): Promise<ExperimentView> {
    const stored = await this.store.load(experimentId);
    const isOwn = stored.experiment.teacherId === teacher.id;
    const shared = isOwn ? undefined : (await this.rights.experiments(teacher)).get(experimentId);
    return experimentView(stored, this.clock.today(teacher.timeZone), shared);
  }

  /** Starts a draft with defaults that make a valid plan. Starting it again gives the same draft. */
  async start(id: string, request: StartRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    await this.drafts.start(id, request, teacher);
    return this.view(id, teacher);
  }

  /** Starts a draft with the plan of another experiment, without its data. */
  async copy(fromId: string, id: string, teacher: KnownTeacher): Promise<ExperimentView> {
    await this.drafts.copy(fromId, id, teacher);
    return this.view(id, teacher);
  }

  /** @throws ApiError `id_in_use` when the id is another teacher's */
  claim(id: string, teacher: KnownTeacher): Promise<void> {
    return this.drafts.claim(id, teacher);
  }

  /**
   * Changes the plan. Units of a draft are laid out anew only when the design itself changed; once seeds are in
   * the soil, what the readings depend on stays.
   */
  async savePlan(id: string, request: PlanRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    const { version, ...asked } = request;
    const problems = planProblems(request);
    if (problems.length > 0) throw invalidFields(problems);
    const owner = (await this.store.ownerOf(id)) ?? teacher.id;
    const plan = await resolvePlan(this.source, asked, owner);
    const crop = await cropFields(this.inventory, plan, { id: owner });
    await this.store.change(id, version, async (manager, experiment) => {
      const stored = await this.store.load(id, manager);
      const isDraft = experiment.status === 'draft';
      if (isDraft) await saveDesign(this.store, manager, stored, plan);
      else {
        const before = planOf(stored);
        const fixed = before ? fixedDifferences(before, plan) : [say('thisDesignWhichCameFromAFile')];
        if (fixed.length > 0) throw alreadyPlanted(fixed);
        await saveNames(manager, stored, plan);
      }
      await manager.update(Experiment, id, {
        question: plan.question,
        hypothesis: plan.hypothesis,
        lessonOn: plan.lessonOn,
        ...(isDraft ? { ...crop, ...draftFields(plan) } : {}),
      });
      await manager.save(Experiment, { id, planDocument: plan });
      await saveVariables(manager, stored, plan);
    });
    return this.view(id, teacher);
  }

  /** Changes the words and the lesson date of an experiment whose design came from a file. */
  async describe(id: string, request: DescriptionRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    const { version, question, hypothesis, lessonOn } = request;
    await this.store.change(id, version, async (manager, experiment) => {
      const problem = lessonProblem(experiment.sowOn, lessonOn);
      if (problem !== undefined) throw invalidField('lessonOn', problem);
      await manager.update(Experiment, id, { question, hypothesis, lessonOn });
      if (experiment.planDocument) {
        const words = { question, hypothesis, lessonOn: lessonOn as Plan['lessonOn'] };
        await manager.save(Experiment, { id, planDocument: { ...experiment.planDocument, ...words } });
      }
    });
    return this.view(id, teacher);
  }

  /** Arranges the treatments of a draft by hand. */
  async arrange(id: string, request: LayoutRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    await this.store.change(id, request.version, async (manager, experiment) => {
      if (experiment.status !== 'draft') throw alreadyPlanted([say('theLayout')]);
      const stored = await this.store.load(id, manager);
      const { units } = stored;
      const wanted = new Map(request.assignments.map(({ unitId, treatmentId }) => [unitId, treatmentId]));
      const before = units.map((unit) => unit.treatmentId);
      const after = units.map((unit) => wanted.get(unit.id) ?? '');
      const isSameMix = [...before].sort().join() === [...after].sort().join();
      if (wanted.size !== units.length || !isSameMix) {
        throw invalidField('assignments', say('nameEveryPotOnceAndGiveEach'));
      }
      await this.#assign(manager, units, after);
      const plan = planOf(stored);
      if (plan) await manager.save(Experiment, { id, planDocument: { ...plan, layoutMethod: 'by_hand' } });
    });
    return this.view(id, teacher);
  }

  /** Adds a unit in a free place once the others are sown. Adding it again changes nothing. */
  async addUnit(
    id: string,
    unitId: string,
    request: UnitRequest,
    teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    const today = this.clock.today(teacher.timeZone);
    await this.store.locked(id, async (manager, experiment) => {
      if (await manager.existsBy(Unit, { id: unitId, experimentId: id })) return;
      if (experiment.status === 'draft') {
        throw new ApiError('not_planted', say('nothingIsSownYetChangeTheNumber'));
      }
      if (request.sownOn > today) throw invalidField('sownOn', say('thisDayHasNotComeYet'));
      const { treatmentId, containerId, row, column } = request;
      const container = await manager.findOneBy(Container, { id: containerId, experimentId: id });
      const treatment = await manager.findOneBy(Treatment, { id: treatmentId, experimentId: id });
      if (!treatment) throw invalidField('treatmentId', say('chooseATreatmentOfThisExperiment'));
      const isInside = container && row <= container.gridRows && column <= container.gridColumns;
      const place = { containerId, placeRow: row, placeColumn: column };
      if (!isInside || (await manager.existsBy(Unit, place))) {
        throw invalidField('row', say('chooseAFreePlaceInOneOf'));
      }
      const units = await manager.findBy(Unit, { experimentId: id });
      const replicates = units
        .filter((unit) => unit.treatmentId === treatmentId)
        .map((unit) => unit.replicate);
      await manager.insert(Unit, {
        id: unitId,
        experimentId: id,
        ...place,
        treatmentId,
        number: Math.max(...units.map((unit) => unit.number)) + 1,
        replicate: Math.max(0, ...replicates) + 1,
        sowOn: request.sownOn,
        sownOn: request.sownOn,
        seedsSown: experiment.seedsPerUnit,
      });
      await manager.update(Experiment, id, { version: experiment.version + 1 });
    });
    return this.view(id, teacher);
  }

  /** Closes an experiment, or opens it again. */
  async finish(id: string, finished: boolean, teacher: KnownTeacher): Promise<ExperimentView> {
    await this.store.locked(id, async (manager, experiment) => {
      if (experiment.status === 'draft') {
        throw new ApiError('not_planted', say('nothingIsSownYetSoThereIs'));
      }
      if (finished !== (experiment.status === 'finished')) {
        await manager.update(Experiment, id, { status: finished ? 'finished' : 'growing' });
      }
    });
    return this.view(id, teacher);
  }

  /** Takes an experiment away, or puts it back. Its rows stay. */
  async setDiscarded(id: string, discarded: boolean): Promise<void> {
    await this.source
      .getRepository(Experiment)
      .update(id, { discardedAt: discarded ? this.clock.now() : null });
  }

  async #assign(manager: EntityManager, units: readonly Unit[], after: readonly string[]): Promise<void> {
    const kinds = [...new Set(after)];
    const numbered = numberReplicates(after.map((treatmentId) => kinds.indexOf(treatmentId)));
    for (const [index, unit] of units.entries()) {
      const replicate = numbered[index]?.replicate ?? 1;
      const treatmentId = after[index] as string;
      if (unit.treatmentId === treatmentId && unit.replicate === replicate) continue;
      await manager.update(Unit, unit.id, { treatmentId, replicate, block: '' });
    }
  }
}

function draftFields(plan: Plan): Partial<Experiment> {
  return {
    sowOn: firstSowing(plan),
    replicates: plan.replicates,
    seedsPerUnit: plan.seedsPerUnit,
    layoutSeed: plan.layoutSeed,
  };
}

function alreadyPlanted(what: readonly string[]): ApiError {
  return new ApiError('already_planted', say('theSeedsAreInTheSoilAnd', { what: what.join(', ') }));
}
