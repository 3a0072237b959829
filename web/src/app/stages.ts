import { useEffect } from 'react';

/** The pages and stages, each fetched when it is opened or ahead of that. */
export const loadExperiments = () => import('../experiments/experiments-page.tsx');
export const loadClasses = () => import('../classes/classes-page.tsx');
export const loadInventory = () => import('../inventory/inventory-page.tsx');
export const loadFrame = () => import('./experiment-frame.tsx');
export const loadPlan = () => import('../plans/plan-stage.tsx');
export const loadSow = () => import('../sowing/sow-stage.tsx');
export const loadRecord = () => import('../readings/record-stage.tsx');
export const loadCompare = () => import('../comparison/compare-stage.tsx');
export const loadTeach = () => import('../lessons/teach-stage.tsx');
export const loadShow = () => import('../lessons/show-page.tsx');
export const loadRemote = () => import('../lessons/remote-page.tsx');
export const loadJournal = () => import('../lessons/journal-page.tsx');
export const loadPhotos = () => import('../photos/photos-page.tsx');
export const loadPapers = () => import('../lessons/papers/papers-page.tsx');
export const loadPrint = () => import('../print/print-page.tsx');

const IDLE_MS = 1500;

/** Fetches stages once the page stands, so that going from one to another waits for nothing. */
export function useFetchedAhead(loads: readonly (() => Promise<unknown>)[] | undefined): void {
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const load of loads ?? []) void load();
    }, IDLE_MS);
    return () => clearTimeout(timer);
  }, [loads]);
}
