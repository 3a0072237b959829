import type { Plan } from './plan.ts';
import type { TreatmentSettings } from './treatments.ts';

/** Seeds in a unit of so many plants, when `seedsPerUnit` are sown for `plantsPerUnit`. */
export function seedsFor(seedsPerUnit: number, plantsPerUnit: number, plants: number): number {
  return Math.ceil((seedsPerUnit * plants) / plantsPerUnit);
}

/** Seeds that go into a unit of a treatment: its own number, or the plan's in proportion to its plants. */
export function seedsIn(
  plan: Pick<Plan, 'seedsPerUnit' | 'plantsPerUnit'>,
  { seeds, plants }: Pick<TreatmentSettings, 'seeds' | 'plants'>,
): number {
  return seeds ?? seedsFor(plan.seedsPerUnit, plan.plantsPerUnit, plants);
}
