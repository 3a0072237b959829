import { PLAN_PART_WORDS } from '@bright-sprout/core/words';
import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/plans';
import type { PlanPart } from '@bright-sprout/core/design';
import { useQuery } from '@tanstack/react-query';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { experimentQuery } from '../shared/api/index.ts';
import { IfMayChange, useExperiment, useMayChange } from '../shared/experiment/index.ts';
import { CheckSection } from './check-section.tsx';
import { CheckStrip } from './check-strip.tsx';
import { DaysSection } from './days-section.tsx';
import { DescriptionForm } from './description-form.tsx';
import { KeepPlan } from './keep-plan.tsx';
import { LayoutEditor } from './layout-editor.tsx';
import { PlanEditorProvider, usePlanEditor } from './plan-editor.tsx';
import { PotsSection } from './pots-section.tsx';
import { QuestionSection } from './question-section.tsx';
import { RehearseSection } from './rehearse-section.tsx';
import { SowingSection } from './sowing-section.tsx';
import { StepsSection } from './steps-section.tsx';
import { TeamBrushProvider } from './team-brush.tsx';
import { SuppliesSection } from './supplies-section.tsx';
import { type PlanTab, Unmended } from './unmended.tsx';
import './plans.scss';

const PARTS = {
  question: { name: say('question'), show: QuestionSection },
  pots: { name: say('potsPart'), show: PotsSection },
  sowing: { name: say('sowing'), show: SowingSection },
  supplies: { name: say('supplies'), show: SuppliesSection },
  steps: { name: say('steps'), show: StepsSection },
  days: { name: say('days'), show: DaysSection },
  check: { name: say('check'), show: CheckSection },
  rehearse: { name: say('rehearse'), show: RehearseSection },
} as const satisfies Record<PlanTab, unknown>;

type Part = PlanTab;

/** Plan: the parts of the plan beside the layout that it makes, and what the design check says of it. */
export default function PlanStage() {
  const { experiment } = useExperiment();
  const canArrange = useMayChange() && experiment.status === 'draft';
  if (!useIsCurrent(experiment.id)) return <div className="panel stage-waiting" aria-busy="true" />;
  if (!experiment.plan) {
    return (
      <div className="stage">
        <LayoutEditor canArrange={canArrange} />
        <section className="panel" aria-label={say('plan')}>
          <IfMayChange>
            <DescriptionForm key={experiment.id} />
          </IfMayChange>
        </section>
      </div>
    );
  }
  return (
    <PlanEditorProvider key={experiment.id} plan={experiment.plan}>
      <TeamBrushProvider>
        <div className="stage plan-stage">
          <div className="plan-layout">
            <LayoutEditor canArrange={canArrange} />
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
  const { state, isPlanted, conflict, settle, undo, undoes } = usePlanEditor();
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
    <section className="panel plan-panel" aria-label={say('plan')}>
      <div className="plan-top">
        <div className="plan-parts" role="tablist" aria-label={say('partsOfThePlan')} onKeyDown={step}>
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
        <Button
          variant="light"
          size="sm"
          className="plan-undo"
          disabled={undo === undefined}
          aria-label={say('undoPlan')}
          title={undo ? say('takesBack', { parts: partsWords(undoes) }) : say('undoPlan')}
          onClick={undo}
        >
          <Undo2 size={16} aria-hidden="true" />
        </Button>
        <span className="save-state" role="status">
          {STATE_WORDS[state]}
        </span>
      </div>
      <div className="plan-part" id="plan-part" role="tabpanel" aria-labelledby={`part-${part}`}>
        {conflict.length > 0 && (
          <div className="note-attention" role="alert">
            <p>
              {say('anotherWindowChangedTooWhatYouTyped', {
                listWords: partsWords(conflict),
              })}
            </p>
            <div className="button-row">
              <Button size="sm" onClick={() => settle('mine')}>
                {say('keepMine')}
              </Button>
              <Button size="sm" variant="light" onClick={() => settle('theirs')}>
                {say('takeTheirs')}
              </Button>
            </div>
          </div>
        )}
        {isPlanted && <p className="note-attention">{say('theSeedsAreInTheSoilAnd')}</p>}
        <IfMayChange>
          <Show />
        </IfMayChange>
        {part === 'question' && <KeepPlan />}
      </div>
      <Unmended tab={part} onOpen={open} />
    </section>
  );
}

function partWords(part: PlanPart): string | undefined {
  return part in PLAN_PART_WORDS ? PLAN_PART_WORDS[part as keyof typeof PLAN_PART_WORDS] : undefined;
}

function partsWords(parts: readonly PlanPart[]): string {
  return allOf([...new Set(parts.map((one) => partWords(one) ?? say('thePlan')))]);
}

const STATE_WORDS = {
  saved: say('saved'),
  saving: say('saving'),
  'not-valid': say('notSaved'),
  failed: say('notSaved'),
} as const;
