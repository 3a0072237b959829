import { exchangeRoutes } from '@bright-sprout/contract/exchange';
import type { VariableView } from '@bright-sprout/contract/plan';
import { NOT_UP_RULES } from '@bright-sprout/core/comparison';
import { comparisonWords, READING_LEVELS } from '@bright-sprout/core/words';
import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { addressOf, comparisonQuery } from '../shared/api/index.ts';
import { styleOf, treatmentOf, useExperiment } from '../shared/experiment/index.ts';
import { TreatmentMark } from '../shared/plants/index.ts';
import { Sill, usePotLabel } from '../shared/sill/index.ts';
import { FailureNote, shortDay, useRemembered } from '../shared/ui/index.ts';
import { ComparisonTables } from './comparison-tables.tsx';

const Charts = lazy(() => import('../shared/charts/charts.tsx'));

const RULE_WORDS = {
  'only-up': 'only plants that are up',
  'not-up-is-zero': 'not up yet counts as 0',
} as const;

/** Compare: the answer in a sentence, how sure it is, and the charts behind it. */
export default function CompareStage() {
  const { experiment, variable: first, day, setDay } = useExperiment();
  const [variableId, setVariableId] = useState(first.id);
  const variable = experiment.variables.find(({ id }) => id === variableId) ?? first;
  const [level, setLevel] = useRemembered('reading-level', READING_LEVELS, '11-13');
  const [rule, setRule] = useRemembered('not-up-rule', NOT_UP_RULES, 'only-up');
  const [highlightId, setHighlightId] = useState<string>();
  const { data: comparison, error } = useQuery(
    comparisonQuery(experiment.id, { variableId: variable.id, day, rule }),
  );

  if (error) return <FailureNote error={error} />;
  if (!comparison) return <p className="quiet">Comparing …</p>;
  if (comparison.readDays.length === 0) return <NothingYet />;

  const style = styleOf(variable);
  const words = comparisonWords({ comparison, treatments: experiment.treatments, style, level });
  const lastRead = comparison.readDays.filter((readDay) => readDay <= day).at(-1) ?? comparison.readDays[0];
  const hasValues =
    comparison.unitCurves.length > 0 || comparison.groups.some((group) => group.points.length > 0);
  const isReadDay = comparison.readDays.includes(day);
  return (
    <div className="stage compare-stage">
      <aside className="compare-side">
        <FilterSill highlightId={highlightId} onHighlight={setHighlightId} />
        <Choice label="Words for">
          {READING_LEVELS.map((choice) => (
            <Pill key={choice} isOn={choice === level} onClick={() => setLevel(choice)}>
              {choice}
            </Pill>
          ))}
        </Choice>
        <Choice label="Pots with nothing up">
          {NOT_UP_RULES.map((choice) => (
            <Pill key={choice} isOn={choice === rule} onClick={() => setRule(choice)}>
              {RULE_WORDS[choice]}
            </Pill>
          ))}
        </Choice>
        <VariableChoice variables={experiment.variables} value={variable.id} onChange={setVariableId} />
        <a
          className="btn btn-light btn-sm"
          href={addressOf(exchangeRoutes.exportTidy, { experimentId: experiment.id })}
          download={`${fileName(experiment.question)}.csv`}
        >
          <Download size={16} aria-hidden="true" /> All readings as CSV
        </a>
      </aside>
      <div className="compare-main">
        {isReadDay ? (
          <div className="answer">
            <div>
              <h2 className="headline">{words.headline}</h2>
              {words.others.map((other) => (
                <p className="headline-more" key={other}>
                  {other}
                </p>
              ))}
            </div>
            <aside className="how-sure">
              <p>
                <b>How sure?</b> {capital(words.howSure)}
              </p>
              <p>
                <b>Not known:</b> {words.notKnown.join(' ')}
              </p>
            </aside>
          </div>
        ) : (
          <p className="note-attention">
            No pot was read on {shortDay(day)}.{' '}
            {lastRead && (
              <button type="button" className="link-button" onClick={() => setDay(lastRead)}>
                Go to {shortDay(lastRead)}
              </button>
            )}
          </p>
        )}
        {hasValues ? (
          <Suspense fallback={<div className="chart-card" aria-busy="true" />}>
            <Charts
              comparison={comparison}
              treatments={experiment.treatments}
              style={style}
              variableName={variable.name}
              highlightId={highlightId}
            />
          </Suspense>
        ) : (
          <p className="quiet">The curves begin with the first height.</p>
        )}
        <ComparisonTables comparison={comparison} treatments={experiment.treatments} style={style} />
      </div>
    </div>
  );
}

function FilterSill({
  highlightId,
  onHighlight,
}: {
  highlightId: string | undefined;
  onHighlight: (id: string | undefined) => void;
}) {
  const { experiment } = useExperiment();
  const label = usePotLabel();
  return (
    <Sill
      experiment={experiment}
      label="The sill: point out one pot"
      isSmall
      renderUnit={(unit, tabIndex) => (
        <button
          type="button"
          className={unit.id === highlightId ? 'mini-pot is-chosen' : 'mini-pot'}
          data-unit={unit.id}
          tabIndex={tabIndex}
          aria-label={label(unit)}
          aria-pressed={unit.id === highlightId}
          title={`Pot ${unit.number}`}
          onClick={() => onHighlight(unit.id === highlightId ? undefined : unit.id)}
        >
          <TreatmentMark style={treatmentOf(experiment, unit).style} size={14} />
        </button>
      )}
    />
  );
}

function Choice({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div role="group" aria-label={label} className="choice">
      <span>{label}</span>
      <div>{children}</div>
    </div>
  );
}

function Pill({
  isOn,
  onClick,
  children,
}: {
  isOn: boolean;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <button type="button" className={isOn ? 'pill is-on' : 'pill'} aria-pressed={isOn} onClick={onClick}>
      {children}
    </button>
  );
}

function VariableChoice({
  variables,
  value,
  onChange,
}: {
  variables: readonly VariableView[];
  value: string;
  onChange: (id: string) => void;
}) {
  if (variables.length < 2) return null;
  return (
    <Form.Select
      aria-label="What is compared"
      size="sm"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {variables.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Form.Select>
  );
}

function NothingYet() {
  return (
    <div className="panel empty-panel">
      <h2>Nothing to compare yet</h2>
      <p className="quiet">As soon as pots of two treatments have been read, the answer grows here.</p>
      <Link className="btn btn-primary" to="../record">
        Go to Record
      </Link>
    </div>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function fileName(question: string): string {
  const name = question.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
  return name.replaceAll(/^-|-$/g, '').slice(0, 60) || 'experiment';
}
