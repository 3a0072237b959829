import { say } from '@bright-sprout/words/plans';
import { comparedGroups, type Plan } from '@bright-sprout/core/design';
import type { SupposedEffect } from '@bright-sprout/core/rehearsal';
import { replicatesMend } from '@bright-sprout/core/review';
import { addDays, type Outcome } from '@bright-sprout/core/shared';
import { undefinedWords } from '@bright-sprout/core/words';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { useSurroundings } from '../shared/experiment/index.ts';
import { usePlanEditor } from './plan-editor.tsx';
import { ownPlanning } from './planning.ts';
import type { RehearsalResult } from './planning.worker.ts';

/** What is to be rehearsed. */
export interface RehearsalWish extends SupposedEffect {
  readonly classes: number;
}

/** A finished rehearsal with what other plans would have done. */
export interface RehearsalOutcome {
  readonly wish: RehearsalWish;
  readonly names: readonly string[];
  readonly main: Outcome<RehearsalResult>;
  readonly others: readonly { readonly name: string; readonly share: string }[];
}

const SEED = 1;
const OTHER_CLASSES = 150;

/** Rehearses the plan in a worker of its own, with progress, and stops when asked. */
export function useRehearsal() {
  const { plan } = usePlanEditor();
  const surroundings = useSurroundings();
  const [wish, setWish] = useState<RehearsalWish>({ target: 'height', change: 0.3, classes: 300 });
  const [progress, setProgress] = useState<{ done: number; of: number }>();
  const [result, setResult] = useState<RehearsalOutcome>();
  const [error, setError] = useState<string>();
  const running = useRef<() => void>(undefined);

  const cancel = (): void => {
    running.current?.();
    running.current = undefined;
    setProgress(undefined);
  };
  useEffect(() => () => running.current?.(), []);

  const start = async (): Promise<void> => {
    if (!surroundings) return;
    cancel();
    const { ask, end } = ownPlanning();
    running.current = end;
    const others = otherPlans(plan);
    const of = wish.classes + others.length * OTHER_CLASSES;
    setProgress({ done: 0, of });
    setResult(undefined);
    setError(undefined);
    let before = 0;
    const onProgress = proxy((done: number) => {
      if (running.current === end) setProgress({ done: before + done, of });
    });
    const rehearse = (asked: Plan, classes: number) =>
      ask.rehearse(asked, surroundings, wish, { classes, seed: SEED }, onProgress);
    try {
      const main = await rehearse(plan, wish.classes);
      before = wish.classes;
      const shares: { name: string; share: string }[] = [];
      for (const { name, plan: other } of main.defined ? others : []) {
        const found = await rehearse(other, OTHER_CLASSES);
        before += OTHER_CLASSES;
        shares.push({ name, share: shareText(found) });
      }
      if (running.current !== end) return;
      setResult({ wish, names: comparedGroups(plan).map((group) => group.name), main, others: shares });
    } catch {
      if (running.current === end) setError(say('theRehearsalStoppedChangeThePlanOr'));
    }
    if (running.current === end) cancel();
  };

  return {
    wish,
    change: (changes: Partial<RehearsalWish>) => setWish({ ...wish, ...changes }),
    progress,
    result,
    error,
    start: () => void start(),
    cancel,
  };
}

function otherPlans(plan: Plan): { name: string; plan: Plan }[] {
  const twice = plan.replicates * 2;
  return [
    { name: say('potsOfEach', { twice }), plan: { ...plan, ...replicatesMend(plan, twice).changes } },
    { name: say('theLessonAWeekLater'), plan: { ...plan, lessonOn: addDays(plan.lessonOn, 7) } },
    {
      name: say('aWeekLaterAndTwiceThePots'),
      plan: { ...plan, ...replicatesMend(plan, twice).changes, lessonOn: addDays(plan.lessonOn, 7) },
    },
  ];
}

function shareText(found: Outcome<RehearsalResult>): string {
  if (!found.defined) return undefinedWords(found.reason);
  const { seen } = found.value.rehearsal;
  if (!seen.defined) return undefinedWords(seen.reason);
  const { share, low, high } = seen.value;
  return say('of100To', {
    share: Math.round(share * 100),
    low: Math.round(low * 100),
    high: Math.round(high * 100),
  });
}
