import type { Plan } from './plan.ts';

/** True of a plan that sets in what began to grow elsewhere, which no packet and no days to emergence speak of. */
export function isBegun({ conditions }: Pick<Plan, 'conditions'>): boolean {
  return (conditions.startsAs ?? 'seed') !== 'seed';
}
