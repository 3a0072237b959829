import type { PlanRequest } from '@bright-sprout/contract/plan';

const PREFIX = 'bright-sprout.unsaved-plan.';

/** Keeps on this device what could not be saved yet, so that leaving the page loses nothing. */
export function keepUnsaved(experimentId: string, values: PlanRequest): void {
  try {
    localStorage.setItem(PREFIX + experimentId, JSON.stringify(values));
  } catch {
    // A full or closed store must not stop anybody from typing.
  }
}

/** What was typed and not saved the last time; undefined when there is nothing, or the plan changed since. */
export function unsavedOf(experimentId: string, version: number): PlanRequest | undefined {
  const text = localStorage.getItem(PREFIX + experimentId);
  if (text === null) return undefined;
  try {
    const values = JSON.parse(text) as PlanRequest;
    return values.version === version ? values : undefined;
  } catch {
    return undefined;
  }
}

/** Forgets what was not saved. */
export function forgetUnsaved(experimentId: string): void {
  localStorage.removeItem(PREFIX + experimentId);
}
