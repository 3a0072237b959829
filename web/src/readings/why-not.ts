import { say } from '@bright-sprout/words/readings';
import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';

/** Why a unit cannot be read on a day, in words; undefined when it can. */
export function whyNot(experiment: ExperimentView, unit: UnitView, day: string): string | undefined {
  if (experiment.shared?.may === 'see') return say('youMayOnlySee');
  if (experiment.status === 'finished') {
    return say('thisExperimentIsFinishedOpenItAgain');
  }
  if (unit.sownOn === null) return say('thisPotIsNotSownYetMark');
  if (day > experiment.today) {
    return say('thisDayHasNotComeYetChoose');
  }
  return day < unit.sownOn ? say('thisDayIsBeforeTheSowing') : undefined;
}
