import type { SowingItem } from '@bright-sprout/core/shared';
import type { TickView } from '@bright-sprout/contract/sowing';
import type { StudentSowingView, StudentTickRequest } from '@bright-sprout/contract/student';
import { treatmentsOf } from '@bright-sprout/core/design';
import { potSowing, type PotSowing, sowingWithoutPlan } from '@bright-sprout/core/words';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In, IsNull } from 'typeorm';
import { Crop, SeedLot } from '../inventory/index.ts';
import { Experiment, ExperimentStore, type StoredPlan, type Unit } from '../plans/index.ts';
import { Clock } from '../shared/index.ts';
import { TicksService } from '../sowing/index.ts';
import type { JoinedDevice } from './devices.service.ts';
import { type KnownStudent, OwnWorkService, ownUnits } from './own-work.service.ts';
import { treatmentOf } from './pots.service.ts';

/** Sowing day as the tablets see it. */
@Injectable()
export class StudentSowingService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
    private readonly ticks: TicksService,
    private readonly work: OwnWorkService,
    private readonly clock: Clock,
  ) {}

  /**
   * Experiments of the class with pots of the student's team that are to be sown by now: from the planned day on,
   * or once the first pot is ticked, when sowing begins earlier.
   */
  async sowing(device: JoinedDevice): Promise<StudentSowingView[]> {
    const student = await this.work.student(device, undefined);
    const today = this.clock.today(device.timeZone);
    const experiments = await this.source.getRepository(Experiment).find({
      where: {
        classId: device.classId,
        status: In(['draft', 'planted', 'growing']),
        discardedAt: IsNull(),
      },
      order: { sowOn: 'ASC' },
    });
    const views = await Promise.all(experiments.map(({ id }) => this.#viewOf(id, student, today)));
    return views.filter((view) => view.pots.length > 0);
  }

  /**
   * Ticks an item of the team's own pots.
   * @throws ApiError `not_found`
   */
  async tick(device: JoinedDevice, { made, ...request }: StudentTickRequest): Promise<TickView[]> {
    const { student, observer } = await this.work.of(device, made);
    const [first] = await this.work.units(device, student, request.unitIds);
    return this.ticks.tick(first?.experimentId ?? '', request, observer.displayName, student.id);
  }

  async #viewOf(experimentId: string, student: KnownStudent, today: string): Promise<StudentSowingView> {
    const [stored, ticks] = await Promise.all([this.store.load(experimentId), this.ticks.all(experimentId)]);
    const plan = stored.experiment.planDocument;
    const sowingOf = await this.#sowingsOf(stored);
    const { sowOn } = stored.experiment;
    const hasBegun = sowOn <= today || ticks.length > 0;
    const isDue = (day: string): boolean => (day === sowOn ? hasBegun : day <= today);
    const unsown = ownUnits(stored.units, student).filter(
      (unit) => unit.sownOn === null && isDue(unit.sowOn ?? sowOn),
    );
    const ticked = (unitId: string): SowingItem[] =>
      ticks.filter((tick) => tick.unitId === unitId).map((tick) => tick.item);
    return {
      experimentId,
      question: stored.experiment.question,
      steps: (plan?.steps ?? [])
        .filter((step) => step.when === 'sowing')
        .map(({ text, minutes }) => ({ text, minutes })),
      pots: unsown.map((unit) => ({
        unitId: unit.id,
        number: unit.number,
        ...treatmentOf(stored, unit),
        ...sowingOf(unit),
        ...(unit.seedsSown === null ? {} : { seeds: unit.seedsSown }),
        ticked: ticked(unit.id),
        note: unit.sowingNote,
      })),
    };
  }

  /** Tells what goes into each pot. */
  async #sowingsOf({ experiment, treatments, containers }: StoredPlan): Promise<(unit: Unit) => PotSowing> {
    const plan = experiment.planDocument;
    const alike = withoutPlan(experiment);
    if (!plan) return () => alike;
    const planned = treatmentsOf(plan);
    const [crops, lots] = await Promise.all([
      this.source.getRepository(Crop).findBy({ id: In(planned.map(({ settings }) => settings.cropId)) }),
      this.source.getRepository(SeedLot).findBy({
        id: In(planned.flatMap(({ settings }) => settings.lotId ?? [])),
        teacherId: experiment.teacherId,
      }),
    ]);
    const known = {
      crops: crops.map(({ id, figures }) => ({ ...figures, id })),
      lots: lots.map(({ id, cropId, name, figures }) => ({ ...figures, id, cropId, name })),
    };
    return ({ treatmentId, containerId }) => {
      const treatment = planned[treatments.find(({ id }) => id === treatmentId)?.position ?? -1];
      const container = plan.containers[containers.findIndex(({ id }) => id === containerId)];
      return treatment ? potSowing(plan, treatment, container, known) : alike;
    };
  }
}

function withoutPlan({ crop, cropName, seedsPerUnit }: Experiment): PotSowing {
  return sowingWithoutPlan(crop?.figures ?? null, cropName, seedsPerUnit);
}
