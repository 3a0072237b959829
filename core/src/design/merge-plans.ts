import type { Plan } from './plan.ts';

/** A part of a plan that two people changed differently. */
export type PlanPart = keyof Plan;

/** Two changes of one plan, joined. */
export interface MergedPlan {
  readonly plan: Plan;
  /** Parts that both changed and not alike; in `plan` they are those of the side that was preferred. */
  readonly conflicts: readonly PlanPart[];
}

/** Parts of which each field is merged by itself; of others, lists above all, the whole is taken from one side. */
const BY_FIELD: readonly PlanPart[] = ['measure', 'goal', 'conditions', 'calendar', 'prediction'];

/**
 * Joins two changes of the same plan (three-way merge): what only one side changed is taken from that side, what both
 * changed alike is taken, and the rest is named.
 * @param base the plan that both started from
 * @param prefer whose part stands where both changed it
 */
export function mergePlans(
  base: Plan,
  mine: Plan,
  theirs: Plan,
  prefer: 'mine' | 'theirs' = 'mine',
): MergedPlan {
  const plan: Record<string, unknown> = {};
  const conflicts: PlanPart[] = [];
  for (const part of Object.keys({ ...theirs, ...mine }) as PlanPart[]) {
    const fields = BY_FIELD.includes(part)
      ? mergeFields(fieldsOf(base[part]), fieldsOf(mine[part]), fieldsOf(theirs[part]), prefer)
      : mergeValues(base[part], mine[part], theirs[part], prefer);
    plan[part] = fields.value;
    if (fields.isConflict) conflicts.push(part);
  }
  return { plan: plan as unknown as Plan, conflicts };
}

interface Merged {
  readonly value: unknown;
  readonly isConflict: boolean;
}

function mergeValues(base: unknown, mine: unknown, theirs: unknown, prefer: 'mine' | 'theirs'): Merged {
  if (isSamePart(mine, theirs) || isSamePart(base, theirs)) return { value: mine, isConflict: false };
  if (isSamePart(base, mine)) return { value: theirs, isConflict: false };
  return { value: prefer === 'mine' ? mine : theirs, isConflict: true };
}

type Fields = Readonly<Record<string, unknown>>;

function mergeFields(base: Fields, mine: Fields, theirs: Fields, prefer: 'mine' | 'theirs'): Merged {
  const merged = Object.keys({ ...theirs, ...mine }).map(
    (field) => [field, mergeValues(base[field], mine[field], theirs[field], prefer)] as const,
  );
  return {
    value: Object.fromEntries(merged.map(([field, { value }]) => [field, value])),
    isConflict: merged.some(([, { isConflict }]) => isConflict),
  };
}

function fieldsOf(value: unknown): Fields {
  return (value ?? {}) as Fields;
}

/** True for the same value, whatever the order of its fields; a field without a value is as if it were not there. */
export function isSamePart(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  if (Array.isArray(one) !== Array.isArray(other)) return false;
  const names = new Set([...Object.keys(one), ...Object.keys(other)]);
  return [...names].every((name) => isSamePart((one as Fields)[name], (other as Fields)[name]));
}
