import { say } from '@bright-sprout/words/refusals';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ApiError, inTransaction, notFound } from '../shared/index.ts';
import { Container, Factor, Level, Treatment, TreatmentLevel, Unit, Variable } from './design.entities.ts';
import { Task } from './plan-extras.entities.ts';
import { ClosedDay, Experiment } from './experiment.entity.ts';

/** An experiment with all rows of its plan, each list in plan order. */
export interface StoredPlan {
  readonly experiment: Experiment;
  readonly factors: readonly Factor[];
  readonly levels: readonly Level[];
  readonly treatments: readonly Treatment[];
  readonly treatmentLevels: readonly TreatmentLevel[];
  readonly containers: readonly Container[];
  readonly units: readonly Unit[];
  readonly variables: readonly Variable[];
  readonly tasks: readonly Task[];
  readonly closedDays: readonly ClosedDay[];
}

/** The rows of a plan below its experiment. */
export type PlanRows = Omit<StoredPlan, 'experiment' | 'variables' | 'tasks' | 'closedDays'>;

const MOST_EXPERIMENTS = 2000;

/** Reads and writes the rows of a plan. */
@Injectable()
export class ExperimentStore {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** The owner of an experiment; undefined when there is none. */
  async ownerOf(experimentId: string): Promise<string | undefined> {
    const row = await this.source
      .getRepository(Experiment)
      .findOne({ where: { id: experimentId }, select: { teacherId: true } });
    return row?.teacherId;
  }

  /** @throws ApiError `not_found` */
  async load(experimentId: string, manager: EntityManager = this.source.manager): Promise<StoredPlan> {
    const ofExperiment = { experimentId };
    const inOrder = { position: 'ASC' } as const;
    const [
      experiment,
      factors,
      levels,
      treatments,
      treatmentLevels,
      containers,
      units,
      variables,
      tasks,
      closedDays,
    ] = await Promise.all([
      manager.findOne(Experiment, { where: { id: experimentId }, relations: { crop: true } }),
      manager.find(Factor, { where: ofExperiment, order: inOrder }),
      manager.find(Level, { where: { factor: ofExperiment }, order: inOrder }),
      manager.find(Treatment, { where: ofExperiment, order: inOrder }),
      manager.find(TreatmentLevel, { where: { treatment: ofExperiment } }),
      manager.find(Container, { where: ofExperiment, order: inOrder }),
      manager.find(Unit, { where: ofExperiment, order: { number: 'ASC' } }),
      manager.find(Variable, { where: ofExperiment, order: inOrder }),
      manager.find(Task, { where: ofExperiment }),
      manager.find(ClosedDay, { where: ofExperiment, order: { day: 'ASC' } }),
    ]);
    if (!experiment) throw notFound();
    return {
      experiment,
      factors,
      levels,
      treatments,
      treatmentLevels,
      containers,
      units,
      variables,
      tasks,
      closedDays,
    };
  }

  /**
   * Changes an experiment under a lock, when it still has the version that the change was made on.
   * @throws ApiError `changed_elsewhere`, `not_found`
   */
  change(
    experimentId: string,
    version: number,
    work: (manager: EntityManager, experiment: Experiment) => Promise<void>,
  ): Promise<void> {
    return this.locked(experimentId, async (manager, experiment) => {
      if (experiment.version !== version) {
        throw new ApiError('changed_elsewhere', say('thisPlanWasChangedInAnotherWindow'));
      }
      await work(manager, experiment);
      await manager.update(Experiment, experimentId, { version: version + 1 });
    });
  }

  /** Runs `work` while no other server changes the experiment. */
  locked(
    experimentId: string,
    work: (manager: EntityManager, experiment: Experiment) => Promise<void>,
  ): Promise<void> {
    return inTransaction(this.source, async (manager) => {
      const experiment = await manager.findOne(Experiment, {
        where: { id: experimentId },
        lock: { mode: 'pessimistic_write' },
      });
      if (!experiment) throw notFound();
      await work(manager, experiment);
    });
  }

  /**
   * Refuses another experiment to a teacher who has as many as a school could start in many years.
   * @throws ApiError `too_large`
   */
  async refuseTooMany(teacherId: string): Promise<void> {
    const count = await this.source.getRepository(Experiment).countBy({ teacherId });
    if (count < MOST_EXPERIMENTS) return;
    throw new ApiError(
      'too_large',
      say('thereAreExperimentsAlreadyOpen', { mostExperiments: MOST_EXPERIMENTS }),
    );
  }

  /** Writes the rows of a new plan. */
  async insertRows(manager: EntityManager, rows: PlanRows): Promise<void> {
    await manager.insert(Factor, [...rows.factors]);
    await manager.insert(Level, [...rows.levels]);
    await manager.insert(Treatment, [...rows.treatments]);
    await manager.insert(TreatmentLevel, [...rows.treatmentLevels]);
    await manager.insert(Container, [...rows.containers]);
    await manager.insert(Unit, [...rows.units]);
  }

  /** Removes the rows of a draft's plan, so that new ones can take their place. */
  async deleteRows(manager: EntityManager, experimentId: string): Promise<void> {
    await manager.delete(Unit, { experimentId });
    await manager.delete(Container, { experimentId });
    await manager.delete(Treatment, { experimentId });
    await manager.delete(Factor, { experimentId });
  }
}
