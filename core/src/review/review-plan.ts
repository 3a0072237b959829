import { type Plan, plannedUnits, unitsProblem } from '../design/index.ts';
import type { PlanSurroundings } from '../calendar/index.ts';
import type { CalendarDay } from '../shared/index.ts';
import { cautionFindings } from './cautions.ts';
import { dateFindings } from './date-findings.ts';
import { designFindings } from './design-findings.ts';
import { type Finding, type FindingFacts, type Mend, SEVERITIES } from './finding.ts';
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
 * forbids. A mend was tried on a copy of the plan: where it does not help, or where afterwards something else stands in
 * the way of an answer, it is not offered.
 */
export function reviewPlan(input: ReviewInput): Finding[] {
  const findings = findingsOf(input);
  const tried = findings.map((finding) => ({ ...finding, mend: provenMend(input, finding, findings) }));
  return SEVERITIES.flatMap((severity) => tried.filter((finding) => finding.severity === severity));
}

function findingsOf({ plan, units, today, isSown = false, ...surroundings }: ReviewInput): Finding[] {
  const isFit = unitsProblem(plan) === undefined;
  const inOrder = plan.lessonOn > plan.sowOn;
  return [
    ...designFindings(plan),
    ...dateFindings(plan, surroundings, today, isSown),
    ...(inOrder ? growingFindings(plan, surroundings) : []),
    ...(isFit ? layoutFindings(plan, units) : []),
    ...cautionFindings(plan, surroundings),
  ];
}

function provenMend(input: ReviewInput, finding: Finding, before: readonly Finding[]): Mend | null {
  const { mend } = finding;
  if (!mend) return null;
  const plan = { ...input.plan, ...mend.changes };
  const after = findingsOf({ ...input, plan, units: unitsAfter(input, plan) });
  const isHelp = !after.some((other) => isSameFault(other, finding) && !isBetter(other, finding));
  const stopped = new Set(before.filter(isStop).map(({ facts }) => facts.code));
  const isHarm = after.some((other) => isStop(other) && !stopped.has(other.facts.code));
  return isHelp && !isHarm ? mend : null;
}

/** Units stay where they stand, with their teams, unless the plan now lays out others. */
function unitsAfter({ plan, units }: ReviewInput, changed: Plan): readonly ReviewedUnit[] {
  if (unitsProblem(changed) !== undefined) return units;
  const planned = plannedUnits(changed);
  const isLaidAlike =
    plan.layoutMethod === changed.layoutMethod &&
    JSON.stringify(plannedUnits(plan)) === JSON.stringify(planned);
  if (unitsProblem(plan) === undefined && isLaidAlike) return units;
  const teams = new Map(units.map(({ number, team }) => [number, team]));
  return planned.map((unit) => ({ ...unit, team: teams.get(unit.number) ?? '' }));
}

function isStop({ severity }: Finding): boolean {
  return severity === 'stops';
}

/** Words that tell which of several faults of one code a finding is about. */
function isSameFault({ facts: one }: Finding, { facts: other }: Finding): boolean {
  const named = Object.entries(other).filter(([key]) => SUBJECTS.includes(key));
  return one.code === other.code && named.every(([key, value]) => Reflect.get(one, key) === value);
}

const SUBJECTS = ['factor', 'level', 'crop', 'material', 'first', 'second', 'what', 'needs', 'with'];

/** Milder than it was, or by its own measure nearer to what is wanted. */
function isBetter(after: Finding, before: Finding): boolean {
  if (SEVERITIES.indexOf(after.severity) > SEVERITIES.indexOf(before.severity)) return true;
  return shortfall(after.facts) < shortfall(before.facts);
}

/** How far a fault that is a matter of degree is from none; 0 where it is there or not. */
function shortfall(facts: FindingFacts): number {
  if (facts.code === 'cannot_lay_out') return facts.units - facts.places;
  if (facts.code === 'not_ready_by_lesson') return -facts.chance;
  if (facts.code === 'pots_stay_empty') return facts.chanceOfAny;
  return facts.code === 'smallest_difference' ? facts.more : 0;
}
