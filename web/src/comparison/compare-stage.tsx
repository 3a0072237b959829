import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/comparison';
import { importRoutes } from '@bright-sprout/contract/imports';
import { Printer, Projector } from 'lucide-react';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { memo, useCallback, useEffect, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { addressOf } from '../shared/api/index.ts';
import { ChartScale } from '../shared/charts/index.ts';
import { treatmentOf, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { UnitLayout } from '../shared/layout/index.ts';
import { AnswerTab } from './answer-tab.tsx';
import { CompareProvider } from './compare-context.tsx';
import { useCompareChoices } from './use-compare-choices.ts';
import { Controls } from './controls.tsx';
import { CropsTab } from './crops-tab.tsx';
import { DataTab } from './data-tab.tsx';
import { EmergenceTab } from './emergence-tab.tsx';
import { GrowthTab } from './growth-tab.tsx';
import { PredictionsTab } from './predictions-tab.tsx';
import { TeamsTab } from './teams-tab.tsx';
import { TreatmentsTab } from './treatments-tab.tsx';
import './comparison.scss';

const TABS = {
  answer: { name: say('answer'), show: AnswerTab },
  growth: { name: say('growth'), show: GrowthTab },
  emergence: { name: say('comingUp'), show: EmergenceTab },
  treatments: { name: say('treatments'), show: TreatmentsTab },
  crops: { name: say('crops'), show: CropsTab },
  teams: { name: say('teamsAndClasses'), show: TeamsTab },
  predictions: { name: say('predictions'), show: PredictionsTab },
  data: { name: say('data'), show: DataTab },
} as const;

type Tab = keyof typeof TABS;

/** Letters from the back of a room, against those at a desk. */
const BIG = 1.75;

/** Makes the whole page as large as a projector needs, while it is wanted. */
function useBigLetters(isBig: boolean): void {
  useEffect(() => {
    if (!isBig) return;
    document.documentElement.classList.add('is-projected');
    window.scrollTo(0, 0);
    const frame = requestAnimationFrame(() => window.dispatchEvent(new Event('resize')));
    return () => {
      cancelAnimationFrame(frame);
      document.documentElement.classList.remove('is-projected');
    };
  }, [isBig]);
}

/** Compare: the answer first, then everything it rests on, a tab each, beside the layout that points pots out. */
export default function CompareStage() {
  const { experiment, readings } = useExperiment();
  const { choices, search, set, setLevel, setRule, setChosen, usualBy, usualVariableId } =
    useCompareChoices();
  const { chosen } = choices;
  const asked = search.get('tab');
  const tab: Tab = asked && asked in TABS ? (asked as Tab) : 'answer';
  const [hasNames, setHasNames] = useState(false);
  const isBig = search.get('big') === 'yes';
  useBigLetters(isBig);
  const Show = TABS[tab].show;
  const toggle = useCallback(
    (id: string): void =>
      setChosen((before) => {
        const next = new Set(before);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [setChosen],
  );
  if (readings.length === 0 && tab !== 'predictions') return <NothingYet />;
  return (
    <CompareProvider value={choices}>
      <div className={isBig ? 'stage compare-stage is-big' : 'stage compare-stage'}>
        <aside className="compare-side">
          <PointingLayout experiment={experiment} chosen={chosen} onToggle={toggle} />
          {chosen.size > 0 && (
            <p className="pointed-out" role="status">
              <Said
                by={say}
                code="potsPointedOutResultsCountAllPots"
                values={{
                  size: chosen.size,
                  press: (parts) => (
                    <button type="button" className="link-button" onClick={() => setChosen(new Set())}>
                      {parts}
                    </button>
                  ),
                }}
              />
            </p>
          )}
          <nav className="compare-tabs" aria-label={say('partsOfTheComparison')}>
            {(Object.keys(TABS) as Tab[]).map((name) => (
              <button
                key={name}
                type="button"
                className={name === tab ? 'is-on' : ''}
                aria-current={name === tab ? 'page' : undefined}
                onClick={() => set('tab', name, 'answer')}
              >
                {TABS[name].name}
              </button>
            ))}
          </nav>
          <div className="compare-out">
            <Link
              className="btn btn-light btn-sm"
              to={{ pathname: `/experiments/${experiment.id}/compare/print`, search: search.toString() }}
            >
              <Printer size={16} aria-hidden="true" /> {say('print')}
            </Link>
            {(['tidy', 'sheet', 'bundle'] as const).map((kind) => (
              <a
                key={kind}
                className="btn btn-light btn-sm"
                href={addressOf(
                  EXPORTS[kind].route,
                  { experimentId: experiment.id },
                  hasNames && kind !== 'bundle' ? { names: 'yes' } : {},
                )}
                download={`${fileName(experiment.question)}.${EXPORTS[kind].ending}`}
                title={EXPORTS[kind].title}
              >
                {EXPORTS[kind].name}
              </a>
            ))}
            <Form.Check
              id="export-names"
              className="export-names"
              label={say('withNamesOfChildren')}
              checked={hasNames}
              onChange={({ target }) => setHasNames(target.checked)}
            />
          </div>
        </aside>
        <div className="compare-main">
          {tab !== 'predictions' && tab !== 'data' && (
            <Controls
              setVariableId={(id) => set('variable', id, usualVariableId)}
              setLevel={setLevel}
              setRule={setRule}
              setSummary={(value) => set('sum', value, 'day')}
              setGroupBy={(value) => set('by', value, usualBy)}
              setPer={(value) => set('per', value, 'as_read')}
            />
          )}
          <ChartScale value={isBig ? BIG : 1}>
            <Show />
          </ChartScale>
          <button
            type="button"
            className="btn btn-light btn-sm big-switch"
            aria-pressed={isBig}
            onClick={() => set('big', isBig ? 'no' : 'yes', 'no')}
          >
            <Projector size={16} aria-hidden="true" /> {isBig ? say('backToTheDesk') : say('forTheProjector')}
          </button>
        </div>
      </div>
    </CompareProvider>
  );
}

const EXPORTS = {
  tidy: { route: importRoutes.exportTidy, name: 'CSV', ending: 'csv', title: say('allReadingsAsTidyCsv') },
  sheet: {
    route: importRoutes.exportSheet,
    name: 'XLSX',
    ending: 'xlsx',
    title: say('allReadingsAsASpreadsheet'),
  },
  bundle: {
    route: importRoutes.exportBundle,
    name: say('bundle'),
    ending: 'zip',
    title: say('everythingWithPhotosToOpenOnAnother'),
  },
} as const;

/** The layout for pointing pots out. It says nothing of the day, so that scrubbing the timeline leaves it as it is. */
const PointingLayout = memo(function PointingLayout({
  experiment,
  chosen,
  onToggle,
}: {
  experiment: ExperimentView;
  chosen: ReadonlySet<string>;
  onToggle: (id: string) => void;
}) {
  return (
    <UnitLayout
      experiment={experiment}
      label={say('theSillPointPotsOut')}
      isSmall
      renderUnit={(unit, tabIndex) => {
        const treatment = treatmentOf(experiment, unit);
        return (
          <button
            type="button"
            className={chosen.has(unit.id) ? 'mini-pot is-chosen' : 'mini-pot'}
            data-unit={unit.id}
            tabIndex={tabIndex}
            aria-label={say('pot5', { number: unit.number, treatment: treatment.name })}
            aria-pressed={chosen.has(unit.id)}
            title={say('pot6', { number: unit.number })}
            onClick={() => onToggle(unit.id)}
          >
            <TreatmentMark style={treatment.style} size={14} />
          </button>
        );
      }}
    />
  );
});

function NothingYet() {
  return (
    <div className="panel empty-panel">
      <h2>{say('nothingToCompareYet')}</h2>
      <p className="quiet">{say('asSoonAsPotsOfTwoTreatments')}</p>
      <Link className="btn btn-primary" to="../record">
        {say('goToRecord')}
      </Link>
    </div>
  );
}

function fileName(question: string): string {
  const name = question.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
  return name.replaceAll(/^-|-$/g, '').slice(0, 60) || 'experiment';
}
