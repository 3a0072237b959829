import type { PlanPart } from '@bright-sprout/core/design';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { experimentQuery } from '../shared/api/index.ts';
import { useExperiment } from '../shared/experiment/index.ts';
import { CheckSection } from './check-section.tsx';
import { CheckStrip } from './check-strip.tsx';
import { DaysSection } from './days-section.tsx';
import { DescriptionForm } from './description-form.tsx';
import { LayoutEditor } from './layout-editor.tsx';
import { PlanEditorProvider, usePlanEditor } from './plan-editor.tsx';
import { PotsSection } from './pots-section.tsx';
import { QuestionSection } from './question-section.tsx';
import { RehearseSection } from './rehearse-section.tsx';
import { SowingSection } from './sowing-section.tsx';
import { StepsSection } from './steps-section.tsx';
import { TeamBrushProvider } from './team-brush.tsx';
import { SuppliesSection } from './supplies-section.tsx';

const PARTS = {
  question: { name: 'Question', show: QuestionSection },
  pots: { name: 'Pots', show: PotsSection },
  sowing: { name: 'Sowing', show: SowingSection },
  supplies: { name: 'Supplies', show: SuppliesSection },
  steps: { name: 'Steps', show: StepsSection },
  days: { name: 'Days', show: DaysSection },
  check: { name: 'Check', show: CheckSection },
  rehearse: { name: 'Rehearse', show: RehearseSection },
} as const;

type Part = keyof typeof PARTS;

/** Plan: the parts of the plan beside the layout that it makes, and what the design check says of it. */
export default function PlanStage() {
  const { experiment } = useExperiment();
  if (!useIsCurrent(experiment.id)) return <div className="panel stage-waiting" aria-busy="true" />;
  if (!experiment.plan) {
    return (
      <div className="stage">
        <LayoutEditor canArrange={experiment.status === 'draft'} />
        <section className="panel" aria-label="Plan">
          <DescriptionForm key={experiment.id} />
        </section>
      </div>
    );
  }
  return (
    <PlanEditorProvider key={experiment.id} plan={experiment.plan}>
      <TeamBrushProvider>
        <div className="stage plan-stage">
          <div className="plan-layout">
            <LayoutEditor canArrange={experiment.status === 'draft'} />
            <CheckStrip />
          </div>
          <PlanPanel />
        </div>
      </TeamBrushProvider>
    </PlanEditorProvider>
  );
}

/**
 * False until what this device had kept was fetched anew, or cannot be: a form that opened on an old plan would save
 * the old words over the new. Once true it stays so, as what is typed must not be taken away.
 */
function useIsCurrent(experimentId: string): boolean {
  const { isStale, fetchStatus } = useQuery(experimentQuery(experimentId));
  const [isCurrent, setIsCurrent] = useState(false);
  if (!isCurrent && !(isStale && fetchStatus === 'fetching')) setIsCurrent(true);
  return isCurrent;
}

function PlanPanel() {
  const [search, setSearch] = useSearchParams();
  const { state, isPlanted, conflict, settle } = usePlanEditor();
  const asked = search.get('part');
  const part: Part = asked && asked in PARTS ? (asked as Part) : 'question';
  const open = (next: Part): void =>
    setSearch(
      (before) => {
        before.set('part', next);
        return before;
      },
      { replace: true },
    );
  const Show = PARTS[part].show;
  const names = Object.keys(PARTS) as Part[];
  const step = (event: React.KeyboardEvent): void => {
    const move = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (move === 0) return;
    const next = names[(names.indexOf(part) + move + names.length) % names.length] as Part;
    open(next);
    document.getElementById(`part-${next}`)?.focus();
  };
  return (
    <section className="panel plan-panel" aria-label="Plan">
      <div className="plan-top">
        <div className="plan-parts" role="tablist" aria-label="Parts of the plan" onKeyDown={step}>
          {names.map((name) => (
            <button
              key={name}
              type="button"
              role="tab"
              id={`part-${name}`}
              aria-selected={name === part}
              aria-controls="plan-part"
              tabIndex={name === part ? 0 : -1}
              onClick={() => open(name)}
            >
              {PARTS[name].name}
            </button>
          ))}
        </div>
        <span className="save-state" role="status">
          {STATE_WORDS[state]}
        </span>
      </div>
      <div className="plan-part" id="plan-part" role="tabpanel" aria-labelledby={`part-${part}`}>
        {conflict.length > 0 && (
          <div className="note-attention" role="alert">
            <p>
              Another window changed {listWords(conflict.map((one) => PART_WORDS[one] ?? 'the plan'))} too.
              What you typed is still here. Everything else is kept from both.
            </p>
            <div className="button-row">
              <Button size="sm" onClick={() => settle('mine')}>
                Keep mine
              </Button>
              <Button size="sm" variant="light" onClick={() => settle('theirs')}>
                Take theirs
              </Button>
            </div>
          </div>
        )}
        {isPlanted && (
          <p className="note-attention">
            The seeds are in the soil, and readings depend on the crop, what is changed, the pots and what is
            read: those stay. Words, steps, dates to come and added pots can still change.
          </p>
        )}
        <Show />
      </div>
    </section>
  );
}

/** Parts of a plan as they are called on the page. */
const PART_WORDS: Partial<Record<PlanPart, string>> = {
  question: 'the question',
  hypothesis: 'the prediction',
  kind: 'the kind',
  cropId: 'the crop',
  lotId: 'the packet',
  factors: 'what is changed',
  leftOut: 'the combinations',
  replicates: 'the number of pots',
  seedsPerUnit: 'the seeds in a pot',
  plantsPerUnit: 'the plants in a pot',
  containers: 'the containers',
  measure: 'what is read',
  alsoRead: 'what else is read',
  sowOn: 'the sowing date',
  lessonOn: 'the lesson date',
  goal: 'the goal',
  conditions: 'the conditions',
  constants: 'what stays the same',
  steps: 'the steps',
  calendar: 'the days',
  prediction: 'the guess',
};

function listWords(words: readonly string[]): string {
  const each = [...new Set(words)];
  return each.length < 2 ? (each[0] ?? '') : `${each.slice(0, -1).join(', ')} and ${each.at(-1) ?? ''}`;
}

const STATE_WORDS = {
  saved: 'Saved',
  saving: 'Saving …',
  'not-valid': 'Not saved: mend what is marked',
  failed: 'Not saved: mend what is marked',
} as const;
