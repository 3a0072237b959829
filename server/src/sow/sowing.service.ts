import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { Experiment, ExperimentStore, Unit } from '../plan/index.ts';
import { Reading } from '../record/index.ts';
import { ApiError, invalidField } from '../shared/index.ts';

/** A lesson that a late sowing overtook moves this many days behind it. */
const DAYS_TO_LESSON = 25;

/** Sowing. */
@Injectable()
export class SowingService {
  constructor(private readonly store: ExperimentStore) {}

  /**
   * Marks every unit as sown on a day. The day may be put right later, as long as no reading comes before it.
   * @throws ApiError `readings_exist`, `experiment_finished`, `invalid_fields`
   */
  async sowAll(experimentId: string, sowedOn: string, today: string): Promise<void> {
    if (sowedOn > today)
      throw invalidField(
        'sowedOn',
        'This day has not come yet. Mark the pots as sown once the seeds are in.',
      );
    await this.store.locked(experimentId, async (manager, experiment) => {
      if (experiment.status === 'finished') {
        throw new ApiError(
          'experiment_finished',
          'This experiment is finished; its sowing day stays as it is.',
        );
      }
      const [first] = await manager.find(Reading, {
        where: { unit: { experimentId } },
        order: { observedOn: 'ASC' },
        take: 1,
      });
      if (first && first.observedOn < sowedOn) {
        throw new ApiError(
          'readings_exist',
          `There are readings from ${first.observedOn} on, so the sowing day cannot be later than that.`,
        );
      }
      await manager.update(Unit, { experimentId }, { sowedOn });
      await manager.update(Experiment, experimentId, {
        sowOn: sowedOn,
        version: experiment.version + 1,
        ...(experiment.status === 'draft' ? { status: 'planted' as const } : {}),
        ...(experiment.lessonOn <= sowedOn ? { lessonOn: laterLesson(sowedOn) } : {}),
      });
    });
  }
}

function laterLesson(sowedOn: string): string {
  return addDays(calendarDay(sowedOn), DAYS_TO_LESSON);
}
