import { say } from '@bright-sprout/words/refusals';
import type { Plan } from '@bright-sprout/core/design';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { Experiment, ExperimentStore, Unit } from '../plans/index.ts';
import { Reading } from '../readings/index.ts';
import { ApiError, invalidField } from '../shared/index.ts';

/** A lesson that a late sowing overtook moves this many days behind it. */
const DAYS_TO_LESSON = 25;

/** A sowing day before this is a slip of the year; older experiments come in from a file. */
const OLDEST_SOWING_DAYS = 366;

/** Sowing. */
@Injectable()
export class SowingService {
  constructor(private readonly store: ExperimentStore) {}

  /**
   * Marks units as sown on a day. The day may be put right later, as long as no reading comes before it.
   * @param unitIds all units when left out
   * @throws ApiError `readings_exist`, `experiment_finished`, `invalid_fields`
   */
  async sow(
    experimentId: string,
    sownOn: string,
    unitIds: readonly string[] | undefined,
    today: string,
  ): Promise<void> {
    if (sownOn > today) throw invalidField('sownOn', say('thisDayHasNotComeYetMark'));
    if (sownOn < addDays(calendarDay(today), -OLDEST_SOWING_DAYS)) {
      throw invalidField('sownOn', say('thatIsMoreThanAYearAgo'));
    }
    await this.store.locked(experimentId, async (manager, experiment) => {
      refuseFinished(experiment);
      const which = { experimentId, ...(unitIds ? { id: In(unitIds) } : {}) };
      const [first] = await manager.find(Reading, {
        where: { unit: which },
        order: { observedOn: 'ASC' },
        take: 1,
      });
      if (first && first.observedOn < sownOn) {
        throw new ApiError(
          'readings_exist',
          say('thereAreReadingsFromOnSoThe', { observedOn: first.observedOn }),
        );
      }
      await manager.update(Unit, which, { sownOn });
      const sownDays = (await manager.findBy(Unit, { experimentId })).flatMap((unit) => unit.sownOn ?? []);
      const sowOn = sownDays.sort()[0] ?? sownOn;
      const lessonOn = experiment.lessonOn <= sownOn ? laterLesson(sownOn) : experiment.lessonOn;
      const plan = experiment.planDocument;
      if (plan)
        await manager.save(Experiment, {
          id: experimentId,
          planDocument: { ...plan, ...planDates(sowOn, lessonOn) },
        });
      await manager.update(Experiment, experimentId, {
        sowOn,
        lessonOn,
        version: experiment.version + 1,
        ...(experiment.status === 'draft' ? { status: 'planted' as const } : {}),
      });
    });
  }

  /**
   * Takes a sowing back that was marked by mistake. Without any unit sown the plan is a draft again.
   * @param unitIds all units when left out
   * @throws ApiError `readings_exist` once something was read of one of them, `experiment_finished`
   */
  async takeBack(experimentId: string, unitIds: readonly string[] | undefined): Promise<void> {
    await this.store.locked(experimentId, async (manager, experiment) => {
      refuseFinished(experiment);
      const which = { experimentId, ...(unitIds ? { id: In(unitIds) } : {}) };
      const [first] = await manager.find(Reading, {
        where: { unit: which },
        relations: { unit: true },
        order: { observedOn: 'ASC' },
        take: 1,
      });
      if (first)
        throw new ApiError(
          'readings_exist',
          say('potWasReadSoItsSowingStays', { number: first.unit.number }),
        );
      await manager.update(Unit, which, { sownOn: null });
      const sownDays = (await manager.findBy(Unit, { experimentId })).flatMap((unit) => unit.sownOn ?? []);
      const sowOn = sownDays.sort()[0];
      const plan = experiment.planDocument;
      if (plan && sowOn)
        await manager.save(Experiment, {
          id: experimentId,
          planDocument: { ...plan, ...planDates(sowOn, experiment.lessonOn) },
        });
      await manager.update(Experiment, experimentId, {
        ...(sowOn ? { sowOn } : { status: 'draft' as const }),
        version: experiment.version + 1,
      });
    });
  }
}

function refuseFinished({ status }: Experiment): void {
  if (status === 'finished')
    throw new ApiError('experiment_finished', say('thisExperimentIsFinishedItsSowingDay'));
}

/** The dates as a plan keeps them. */
function planDates(sowOn: string, lessonOn: string): Pick<Plan, 'sowOn' | 'lessonOn'> {
  return { sowOn: calendarDay(sowOn), lessonOn: calendarDay(lessonOn) };
}

function laterLesson(sownOn: string): string {
  return addDays(calendarDay(sownOn), DAYS_TO_LESSON);
}
