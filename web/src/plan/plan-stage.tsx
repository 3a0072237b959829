import { useExperiment } from '../shared/experiment/index.ts';
import { DescriptionForm } from './description-form.tsx';
import { LayoutSill } from './layout-sill.tsx';
import { PlanForm } from './plan-form.tsx';
import { fitsForm } from './plan-values.ts';

/** Plan: the question and the design beside the sill that it makes. */
export default function PlanStage() {
  const { experiment } = useExperiment();
  const isDraft = experiment.status === 'draft';
  return (
    <div className="stage">
      <LayoutSill canArrange={isDraft} />
      <section className="panel" aria-label="Plan">
        {isDraft && fitsForm(experiment) ? (
          <PlanForm key={experiment.id} />
        ) : (
          <DescriptionForm key={experiment.id} />
        )}
      </section>
    </div>
  );
}
