import type {
  CropView,
  DescriptionRequest,
  ExperimentView,
  LayoutRequest,
  PlanRequest,
  StartRequest,
} from '@bright-sprout/contract/plan';
import { numberReplicates, randomLayout } from '@bright-sprout/core/design';
import { nextClassDay } from '@bright-sprout/core/schedule';
import { addDays } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import type { KnownTeacher } from '../people/index.ts';
import { ApiError, Clock, invalidField, invalidFields, inTransaction, isDuplicate } from '../shared/index.ts';
import { lessonProblem, planProblems } from './check-plan.ts';
import { Crop } from './crop.entity.ts';
import { Container, Factor, Level, Treatment, Unit, Variable } from './design.entities.ts';
import { Experiment } from './experiment.entity.ts';
import { ExperimentStore } from './experiment-store.ts';
import { planRows, type PlannedDesign } from './plan-rows.ts';
import { cropView, experimentView } from './views.ts';

const DAYS_TO_LESSON = 25;

const FIRST_DESIGN: PlannedDesign = {
  factorName: 'What we change',
  levels: [
    { name: 'As usual', isControl: true },
    { name: 'Changed', isControl: false },
  ],
  replicates: 5,
  containerKind: 'flat',
  seedsPerUnit: 1,
  layoutSeed: 1,
};

/** Plans: from a question to units laid out on the sill. */
@Injectable()
export class PlanService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly clock: Clock,
  ) {}

  /** The crops of the drawer by name. */
  async crops(): Promise<CropView[]> {
    const crops = await this.source.getRepository(Crop).find({ order: { commonName: 'ASC' } });
    return crops.map((crop) => cropView(crop.figures));
  }

  /** One experiment with its plan. */
  async view(experimentId: string, teacher: KnownTeacher): Promise<ExperimentView> {
    return experimentView(await this.store.load(experimentId), this.clock.today(teacher.timeZone));
  }

  /** Starts a draft with defaults that make a valid plan. Starting it again gives the same draft. */
  async start(id: string, request: StartRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    const crop = await this.#crop(request.cropId);
    const sowOn = nextClassDay(addDays(this.clock.today(teacher.timeZone), 1));
    try {
      await inTransaction(this.source, async (manager) => {
        await manager.insert(Experiment, {
          id,
          teacherId: teacher.id,
          question: request.question,
          cropId: crop.id,
          cropName: crop.commonName,
          sowOn,
          lessonOn: nextClassDay(addDays(sowOn, DAYS_TO_LESSON)),
          replicates: FIRST_DESIGN.replicates,
          seedsPerUnit: FIRST_DESIGN.seedsPerUnit,
          layoutSeed: FIRST_DESIGN.layoutSeed,
          createdAt: this.clock.now(),
        });
        await this.store.insertRows(manager, planRows(id, FIRST_DESIGN));
        await manager.insert(Variable, {
          id: uuid(),
          experimentId: id,
          position: 0,
          name: 'height',
          kind: 'length',
          unit: 'cm',
          step: 0.5,
        });
      });
    } catch (thrown) {
      if (!isDuplicate(thrown)) throw thrown;
      await this.claim(id, teacher);
    }
    return this.view(id, teacher);
  }

  /** @throws ApiError `id_in_use` when the id is another teacher's */
  async claim(id: string, teacher: KnownTeacher): Promise<void> {
    if ((await this.store.ownerOf(id)) === teacher.id) return;
    throw new ApiError('id_in_use', 'This could not be started under its id. Reload the page and try again.');
  }

  /** Changes the plan of a draft. Units are laid out anew only when the design itself changed. */
  async savePlan(id: string, plan: PlanRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    const problems = planProblems(plan);
    if (problems.length > 0) throw invalidFields(problems);
    const crop = await this.#crop(plan.cropId);
    await this.store.change(id, plan.version, async (manager, experiment) => {
      if (experiment.status !== 'draft') throw alreadyPlanted();
      await this.#saveDesign(manager, experiment, plan);
      await manager.update(Experiment, id, {
        question: plan.question,
        hypothesis: plan.hypothesis,
        cropId: crop.id,
        cropName: crop.commonName,
        sowOn: plan.sowOn,
        lessonOn: plan.lessonOn,
        replicates: plan.replicates,
        seedsPerUnit: plan.seedsPerUnit,
        layoutSeed: plan.layoutSeed,
      });
      await manager.update(Variable, { experimentId: id, position: 0 }, plan.measure);
    });
    return this.view(id, teacher);
  }

  /** Changes the words and the lesson date at any time. */
  async describe(id: string, request: DescriptionRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    const { version, question, hypothesis, lessonOn } = request;
    await this.store.change(id, version, async (manager, experiment) => {
      const problem = lessonProblem(experiment.sowOn, lessonOn);
      if (problem !== undefined) throw invalidField('lessonOn', problem);
      await manager.update(Experiment, id, { question, hypothesis, lessonOn });
    });
    return this.view(id, teacher);
  }

  /** Arranges the treatments of a draft by hand. */
  async arrange(id: string, request: LayoutRequest, teacher: KnownTeacher): Promise<ExperimentView> {
    await this.store.change(id, request.version, async (manager, experiment) => {
      if (experiment.status !== 'draft') throw alreadyPlanted();
      const units = await manager.find(Unit, { where: { experimentId: id }, order: { number: 'ASC' } });
      const wanted = new Map(request.assignments.map(({ unitId, treatmentId }) => [unitId, treatmentId]));
      const before = units.map((unit) => unit.treatmentId);
      const after = units.map((unit) => wanted.get(unit.id) ?? '');
      const isSameMix = [...before].sort().join() === [...after].sort().join();
      if (wanted.size !== units.length || !isSameMix) {
        throw invalidField(
          'assignments',
          'Name every pot once, and give each treatment as many pots as before.',
        );
      }
      const kinds = [...new Set(after)];
      const numbered = numberReplicates(after.map((treatmentId) => kinds.indexOf(treatmentId)));
      for (const [index, unit] of units.entries()) {
        const replicate = numbered[index]?.replicate ?? 1;
        const treatmentId = after[index] as string;
        if (unit.treatmentId === treatmentId && unit.replicate === replicate) continue;
        await manager.update(Unit, unit.id, { treatmentId, replicate });
      }
    });
    return this.view(id, teacher);
  }

  /** Closes an experiment, or opens it again. */
  async finish(id: string, finished: boolean, teacher: KnownTeacher): Promise<ExperimentView> {
    await this.store.locked(id, async (manager, experiment) => {
      if (experiment.status === 'draft') {
        throw new ApiError('not_planted', 'Nothing is sown yet, so there is nothing to finish.');
      }
      if (finished !== (experiment.status === 'finished')) {
        await manager.update(Experiment, id, { status: finished ? 'finished' : 'growing' });
      }
    });
    return this.view(id, teacher);
  }

  /** Takes an experiment off the shelf, or puts it back. Its rows stay. */
  async setDiscarded(id: string, discarded: boolean): Promise<void> {
    await this.source
      .getRepository(Experiment)
      .update(id, { discardedAt: discarded ? this.clock.now() : null });
  }

  async #crop(id: string): Promise<Crop> {
    const crop = await this.source.getRepository(Crop).findOneBy({ id });
    if (!crop) throw invalidField('cropId', 'Choose a crop from the drawer.');
    return crop;
  }

  async #saveDesign(manager: EntityManager, experiment: Experiment, plan: PlanRequest): Promise<void> {
    const { id } = experiment;
    const treatments = await manager.find(Treatment, {
      where: { experimentId: id },
      order: { position: 'ASC' },
    });
    const [container] = await manager.findBy(Container, { experimentId: id });
    const isSameDesign =
      treatments.length === plan.levels.length &&
      experiment.replicates === plan.replicates &&
      container?.kind === plan.containerKind;
    if (!isSameDesign) {
      await this.store.deleteRows(manager, id);
      await this.store.insertRows(manager, planRows(id, plan));
      return;
    }
    if (experiment.layoutSeed !== plan.layoutSeed) await this.#shuffle(manager, treatments, plan);
    const [factor] = await manager.findBy(Factor, { experimentId: id });
    await manager.update(Factor, { experimentId: id }, { name: plan.factorName });
    await manager.update(Unit, { experimentId: id }, { seedsSown: plan.seedsPerUnit });
    for (const [position, { name, isControl }] of plan.levels.entries()) {
      await manager.update(Treatment, { experimentId: id, position }, { name, isControl });
      if (factor) await manager.update(Level, { factorId: factor.id, position }, { name });
    }
  }

  /** Lays the same units out by another seed; units and treatments keep their ids. */
  async #shuffle(manager: EntityManager, treatments: readonly Treatment[], plan: PlanRequest): Promise<void> {
    const [first] = treatments;
    if (!first) return;
    for (const place of randomLayout(treatments.length, plan.replicates, plan.layoutSeed)) {
      await manager.update(
        Unit,
        { experimentId: first.experimentId, number: place.number },
        { treatmentId: treatments[place.treatment]?.id ?? first.id, replicate: place.replicate },
      );
    }
  }
}

function alreadyPlanted(): ApiError {
  return new ApiError(
    'already_planted',
    'The seeds are in the soil, so pots and treatments can no longer change. The question and the lesson date still can.',
  );
}
