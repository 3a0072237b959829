import { say } from '@bright-sprout/words/comparison';
import { Printer } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { useExperiment } from '../shared/experiment/index.ts';
import { longDay } from '../shared/ui/index.ts';
import { AnswerTab } from './answer-tab.tsx';
import { CompareProvider, OnPaper } from './compare-context.tsx';
import { EmergenceTab } from './emergence-tab.tsx';
import { GrowthTab } from './growth-tab.tsx';
import { TeamsTab } from './teams-tab.tsx';
import { TreatmentsTab } from './treatments-tab.tsx';
import { useCompareChoices } from './use-compare-choices.ts';
import './comparison.scss';

/** The whole comparison on one page to print, or to keep as PDF. */
export default function ComparePrint() {
  const { experiment, day } = useExperiment();
  const { choices, search } = useCompareChoices();
  return (
    <CompareProvider value={choices}>
      <OnPaper value={true}>
        <div className="compare-print">
          <div className="print-tools">
            <Button size="sm" onClick={() => window.print()}>
              <Printer size={16} aria-hidden="true" /> {say('print')}
            </Button>
            <Link
              className="btn btn-light btn-sm"
              to={{ pathname: `/experiments/${experiment.id}/compare`, search: search.toString() }}
            >
              {say('backToCompare')}
            </Link>
          </div>
          <header className="print-head">
            <h1>{experiment.question}</h1>
            <p>
              {say('potsOn', {
                cropName: experiment.cropName,
                unitsCount: experiment.units.length,
                variable: choices.variable.name,
                day: longDay(day),
              })}
            </p>
            {experiment.hypothesis && <p>{say('expected', { hypothesis: experiment.hypothesis })}</p>}
          </header>
          <Part name={say('answer')}>
            <AnswerTab />
          </Part>
          <Part name={say('growth')}>
            <GrowthTab />
          </Part>
          <Part name={say('comingUp')}>
            <EmergenceTab />
          </Part>
          <Part name={say('treatments')}>
            <TreatmentsTab />
          </Part>
          <Part name={say('teamsAndClasses')}>
            <TeamsTab />
          </Part>
        </div>
      </OnPaper>
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
