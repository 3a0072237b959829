import { say } from '@bright-sprout/words/plans';
import { PLAN_PART_WORDS } from '@bright-sprout/core/words';
import type { PlanPart } from '@bright-sprout/core/design';
import { usePlanEditor } from './plan-editor.tsx';

/** The tabs of the plan. */
export type PlanTab = 'question' | 'pots' | 'sowing' | 'supplies' | 'steps' | 'days' | 'check' | 'rehearse';

/** Where each part of the plan is changed; the question's tab for those that are left out. */
const TAB_OF: Partial<Record<PlanPart, PlanTab>> = {
  replicates: 'pots',
  containers: 'pots',
  layoutMethod: 'pots',
  layoutSeed: 'pots',
  seedsPerUnit: 'sowing',
  plantsPerUnit: 'sowing',
  seedsPerPacket: 'sowing',
  chance: 'sowing',
  conditions: 'sowing',
  constants: 'steps',
  steps: 'steps',
  sowOn: 'days',
  lessonOn: 'days',
  sortOn: 'days',
  goal: 'days',
  calendar: 'days',
};

/** What keeps the plan from being saved, named where one stands, each with the way to where it is mended. */
export function Unmended({ tab, onOpen }: { tab: PlanTab; onOpen: (tab: PlanTab) => void }) {
  const { problems } = usePlanEditor();
  if (problems.length === 0) return null;
  return (
    <div className="unmended" role="status">
      <b>{say('notSavedYet')}</b>
      <ul>
        {problems.map(({ part, message }) => {
          const place = TAB_OF[part] ?? 'question';
          const name = part in PLAN_PART_WORDS ? PLAN_PART_WORDS[part as keyof typeof PLAN_PART_WORDS] : part;
          return (
            <li key={`${part} ${message}`}>
              {say('isNotRight', { name, message })}{' '}
              {place !== tab && (
                <button type="button" className="btn btn-link btn-sm" onClick={() => onOpen(place)}>
                  {say('goThere')}
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
