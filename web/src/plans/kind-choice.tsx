import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/plans';
import {
  INVESTIGATION_KINDS,
  type InvestigationKind,
  isSamePart,
  type Plan,
  type PlanPart,
  startPlan,
  usualSteps,
} from '@bright-sprout/core/design';
import { KIND_WORDS, PLAN_PART_WORDS } from '@bright-sprout/core/words';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useSurroundings } from '../shared/experiment/index.ts';
import { PlanField } from './plan-field.tsx';
import { usePlanEditor } from './plan-editor.tsx';

/** What begins anew with another kind. */
const OF_A_KIND = [
  'factors',
  'replicates',
  'seedsPerUnit',
  'plantsPerUnit',
  'containers',
  'measure',
  'alsoRead',
  'plantRule',
  'goal',
  'referenceMm',
  'steps',
  'prediction',
] as const satisfies readonly PlanPart[];

/** The kind of investigation; work that another kind would replace is named before it goes. */
export function KindChoice() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const surroundings = useSurroundings();
  const [wanted, setWanted] = useState<InvestigationKind>();
  const startOf = (kind: InvestigationKind): Plan | undefined => {
    const crop = surroundings?.crops.find((one) => one.id === plan.cropId);
    if (!crop || !surroundings) return undefined;
    const otherCrops = surroundings.crops.filter((one) => one.id !== crop.id && one.daysToEmergence);
    return startPlan({ ...plan, kind, crop, otherCrops });
  };
  const change = (kind: InvestigationKind): void => {
    const fresh = startOf(kind);
    if (!fresh) return;
    const anew = Object.fromEntries(OF_A_KIND.map((part) => [part, fresh[part]]));
    const { hasSoil, depthRule } = fresh.conditions;
    apply({ kind, ...anew, leftOut: [], conditions: { ...plan.conditions, hasSoil, depthRule } });
    setWanted(undefined);
  };
  const begun = startOf(plan.kind);
  // Steps that followed the plan by themselves are nobody's work.
  const usual = begun && { ...begun, steps: usualSteps(plan) };
  const worked = usual ? OF_A_KIND.filter((part) => !isSamePart(plan[part], usual[part])) : [];
  return (
    <PlanField id="kind" label={say('kind')} error={undefined}>
      <Form.Select
        id="kind"
        value={wanted ?? plan.kind}
        disabled={isPlanted || !surroundings}
        title={KIND_WORDS[plan.kind].about}
        onChange={({ target }) => {
          const kind = target.value as InvestigationKind;
          if (worked.length > 0 && kind !== plan.kind) setWanted(kind);
          else change(kind);
        }}
      >
        {INVESTIGATION_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {KIND_WORDS[kind].name}
          </option>
        ))}
      </Form.Select>
      {wanted && (
        <div className="note-attention" role="alert">
          <p>{say('otherKind', { parts: partsText(worked) })}</p>
          <div className="button-row">
            <Button size="sm" onClick={() => change(wanted)}>
              {say('changeKind')}
            </Button>
            <Button size="sm" variant="light" onClick={() => setWanted(undefined)}>
              {say('leaveKind')}
            </Button>
          </div>
        </div>
      )}
    </PlanField>
  );
}

function partsText(parts: readonly (typeof OF_A_KIND)[number][]): string {
  const words = parts.map((part) => (part === 'referenceMm' ? PLAN_PART_WORDS.goal : PLAN_PART_WORDS[part]));
  return allOf([...new Set(words)]);
}
