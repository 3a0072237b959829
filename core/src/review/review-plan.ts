import { type Plan, unitsProblem } from '../design/index.ts';
import type { PlanSurroundings } from '../calendar/index.ts';
import type { CalendarDay } from '../shared/index.ts';
import { cautionFindings } from './cautions.ts';
import { dateFindings } from './date-findings.ts';
import { designFindings } from './design-findings.ts';
import { type Finding, SEVERITIES } from './finding.ts';
import { growingFindings } from './growing-findings.ts';
import { layoutFindings, type ReviewedUnit } from './layout-findings.ts';

/** What a plan is judged by. */
export interface ReviewInput extends PlanSurroundings {
  readonly plan: Plan;
  /** The units as they stand, by the plan's seed or moved by hand. */
  readonly units: readonly ReviewedUnit[];
  readonly today: CalendarDay;
  /** True once seeds are in the soil. */
  readonly isSown?: boolean;
}

/**
 * The design check: everything there is to say of a plan before it is sown, worst first. It judges, it never
 * forbids.
 */
export function reviewPlan({ plan, units, today, isSown = false, ...surroundings }: ReviewInput): Finding[] {
  const isFit = unitsProblem(plan) === undefined;
  const inOrder = plan.lessonOn > plan.sowOn;
  const findings = [
    ...designFindings(plan),
    ...dateFindings(plan, surroundings, today, isSown),
    ...(inOrder ? growingFindings(plan, surroundings) : []),
    ...(isFit ? layoutFindings(plan, units) : []),
    ...cautionFindings(plan, surroundings),
  ];
  return SEVERITIES.flatMap((severity) => findings.filter((finding) => finding.severity === severity));
}
