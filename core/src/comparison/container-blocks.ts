import type { PlannedUnit } from '../design/index.ts';

/** Where a unit stands, as far as blocks go. */
export interface BlockedUnit {
  readonly treatmentId: string;
  /** Its block by the layout; empty without. */
  readonly block: string;
  readonly container: number;
}

/**
 * The block of each unit. Units that were laid out in none are blocked by their containers, which stand in different
 * light and warmth, where there are several and each holds every treatment; otherwise what a container does could not
 * be told from what a treatment does, and there is no block.
 */
export function blocksOf(units: readonly BlockedUnit[]): string[] {
  if (units.some(({ block }) => block !== '')) return units.map(({ block }) => block);
  const treatments = new Set(units.map(({ treatmentId }) => treatmentId));
  const held = new Map<number, Set<string>>();
  for (const { container, treatmentId } of units) {
    held.set(container, (held.get(container) ?? new Set()).add(treatmentId));
  }
  const isBlocked = held.size > 1 && [...held.values()].every((own) => own.size === treatments.size);
  return units.map(({ container }) => (isBlocked ? `container ${container + 1}` : ''));
}

/** The block of each unit of a plan. */
export function plannedBlocks(units: readonly PlannedUnit[]): string[] {
  return blocksOf(
    units.map(({ treatment, block, container }) => ({
      treatmentId: String(treatment),
      block: block === 0 ? '' : String(block),
      container,
    })),
  );
}
