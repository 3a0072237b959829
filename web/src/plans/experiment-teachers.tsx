import { say } from '@bright-sprout/words/plans';
import { useExperiment } from '../shared/experiment/index.ts';
import { CoTeachers } from '../sharing/index.ts';

/** Co-teachers of the open experiment; folded, as most experiments are shared with their class. */
export function ExperimentTeachers() {
  const { experiment } = useExperiment();
  return (
    <details className="experiment-teachers">
      <summary>{say('coTeachersOfThis')}</summary>
      <CoTeachers subject={{ kind: 'experiment', id: experiment.id, name: experiment.question }} />
    </details>
  );
}
