import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';

/** Why a unit cannot be read on a day, in words; undefined when it can. */
export function whyNot(experiment: ExperimentView, unit: UnitView, day: string): string | undefined {
  if (experiment.status === 'finished') {
    return 'This experiment is finished. Open it again in Plan to add readings.';
  }
  if (unit.sownOn === null) return 'This pot is not sown yet. Mark it in Sow once its seeds are in.';
  if (day > experiment.today) {
    return 'This day has not come yet. Choose today or an earlier day on the ribbon.';
  }
  return day < unit.sownOn ? 'This day is before the sowing.' : undefined;
}
