import type { Plan } from '@bright-sprout/core/design';
import {
  type Rehearsal,
  rehearseClass,
  rehearsedComparison,
  setUpRehearsal,
  summarise,
  type SupposedEffect,
} from '@bright-sprout/core/rehearsal';
import { type Finding, type ReviewInput, reviewPlan } from '@bright-sprout/core/review';
import { type PlanSurroundings, type SowingAdvice, sowingAdvice } from '@bright-sprout/core/calendar';
import { type CalendarDay, defined, type Outcome } from '@bright-sprout/core/shared';
import type { Comparison } from '@bright-sprout/core/comparison';
import { expose } from 'comlink';

/** A rehearsal with the class in the middle of it drawn out. */
export interface RehearsalResult {
  readonly rehearsal: Rehearsal;
  readonly typical: Comparison | null;
}

const CLASSES_A_REPORT = 20;

/** The heavy computations of planning, off the page's own thread. */
const planning = {
  review(input: ReviewInput): Finding[] {
    return reviewPlan(input);
  },

  advice(plan: Plan, surroundings: PlanSurroundings, today: CalendarDay): Outcome<SowingAdvice> {
    return sowingAdvice(plan, surroundings, today);
  },

  /** Rehearses a plan in `classes` classes; `seed` decides which. */
  rehearse(
    plan: Plan,
    surroundings: PlanSurroundings,
    effect: SupposedEffect,
    { classes, seed }: { classes: number; seed: number },
    onProgress: (done: number) => void,
  ): Outcome<RehearsalResult> {
    const setUp = setUpRehearsal(plan, surroundings, effect);
    if (!setUp.defined) return setUp;
    const found = [];
    for (let index = 0; index < classes; index += 1) {
      found.push(rehearseClass(setUp.value, seed + index));
      if ((index + 1) % CLASSES_A_REPORT === 0) onProgress(index + 1);
    }
    const rehearsal = summarise(setUp.value, found);
    const typical = rehearsal.typical === null ? null : rehearsedComparison(setUp.value, rehearsal.typical);
    return defined({ rehearsal, typical });
  },
};

/** What the worker can be asked. */
export type Planning = typeof planning;

expose(planning);
