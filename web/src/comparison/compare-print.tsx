import { Printer } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { useExperiment } from '../shared/experiment/index.ts';
import { longDay } from '../shared/ui/index.ts';
import { AnswerTab } from './answer-tab.tsx';
import { CompareProvider } from './compare-context.tsx';
import { EmergenceTab } from './emergence-tab.tsx';
import { GrowthTab } from './growth-tab.tsx';
import { TeamsTab } from './teams-tab.tsx';
import { TreatmentsTab } from './treatments-tab.tsx';
import { useCompareChoices } from './use-compare-choices.ts';

/** The whole comparison on one page to print, or to keep as PDF. */
export default function ComparePrint() {
  const { experiment, day } = useExperiment();
  const { choices, search } = useCompareChoices();
  return (
    <CompareProvider value={choices}>
      <div className="compare-print">
        <div className="print-tools">
          <Button size="sm" onClick={() => window.print()}>
            <Printer size={16} aria-hidden="true" /> Print
          </Button>
          <Link
            className="btn btn-light btn-sm"
            to={{ pathname: `/experiments/${experiment.id}/compare`, search: search.toString() }}
          >
            Back to Compare
          </Link>
        </div>
        <header className="print-head">
          <h1>{experiment.question}</h1>
          <p>
            {experiment.cropName}, {experiment.units.length} pots, {choices.variable.name} on {longDay(day)}
          </p>
          {experiment.hypothesis && <p>Expected: {experiment.hypothesis}</p>}
        </header>
        <Part name="Answer">
          <AnswerTab />
        </Part>
        <Part name="Growth">
          <GrowthTab />
        </Part>
        <Part name="Coming up">
          <EmergenceTab />
        </Part>
        <Part name="Treatments">
          <TreatmentsTab />
        </Part>
        <Part name="Teams and classes">
          <TeamsTab />
        </Part>
      </div>
    </CompareProvider>
  );
}

function Part({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <section className="print-part" aria-label={name}>
      <h2 className="print-part-name">{name}</h2>
      {children}
    </section>
  );
}
