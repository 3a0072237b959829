import type { Plan } from '@bright-sprout/core/design';
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
  try {
    localStorage.setItem(PREFIX + experimentId, JSON.stringify({ format: FORMAT, ...unsaved }));
  } catch {
    // A full or closed store must not stop anybody from typing.
  }
}

/** What was typed and not saved the last time; undefined when there is nothing, or it cannot be read. */
export function unsavedOf(experimentId: string): Unsaved | undefined {
  try {
    const text = localStorage.getItem(PREFIX + experimentId);
    const kept = JSON.parse(text ?? 'null') as (Unsaved & { format: number }) | null;
    return kept?.format === FORMAT ? { base: kept.base, plan: kept.plan } : undefined;
  } catch {
    return undefined;
  }
}

/** Forgets what was not saved. */
export function forgetUnsaved(experimentId: string): void {
  try {
    localStorage.removeItem(PREFIX + experimentId);
  } catch {
    // What cannot be reached holds nothing.
  }
}
