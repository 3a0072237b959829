import type { Plan } from '@bright-sprout/core/design';
import { storedJson, storeJson } from '../shared/ui/index.ts';
import type { PlanBase } from './use-save-plan.ts';

const PREFIX = 'bright-sprout.unsaved-plan.';
const FORMAT = 2;

/** What was typed and not saved, with the plan that it was typed into. */
export interface Unsaved {
  readonly base: PlanBase;
  readonly plan: Plan;
}

/** Keeps on this device what could not be saved yet, so that leaving the page loses nothing. */
export function keepUnsaved(experimentId: string, unsaved: Unsaved): void {
  storeJson(store, PREFIX + experimentId, { format: FORMAT, ...unsaved });
}

/** What was typed and not saved the last time; undefined when there is nothing, or it cannot be read. */
export function unsavedOf(experimentId: string): Unsaved | undefined {
  const kept = storedJson(store, PREFIX + experimentId) as (Unsaved & { format: number }) | undefined;
  return kept?.format === FORMAT ? { base: kept.base, plan: kept.plan } : undefined;
}

/** Forgets what was not saved. */
export function forgetUnsaved(experimentId: string): void {
  storeJson(store, PREFIX + experimentId, undefined);
}

const store = (): Storage => localStorage;
