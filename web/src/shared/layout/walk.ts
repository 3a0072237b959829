import type { ExperimentView, UnitView } from '@bright-sprout/contract/plans';

/** A step on the layout. */
export type Direction = 'left' | 'right' | 'up' | 'down';

const STEPS: Record<Direction, { row: number; column: number }> = {
  left: { row: 0, column: -1 },
  right: { row: 0, column: 1 },
  up: { row: -1, column: 0 },
  down: { row: 1, column: 0 },
};

/** The next unit in a direction within the same container, over empty places; undefined at the edge. */
export function neighbour(
  experiment: ExperimentView,
  unitId: string,
  direction: Direction,
): UnitView | undefined {
  const from = experiment.units.find((unit) => unit.id === unitId);
  if (!from) return undefined;
  const step = STEPS[direction];
  const inLine = experiment.units.filter((unit) => {
    if (unit.containerId !== from.containerId) return false;
    const [down, right] = [unit.row - from.row, unit.column - from.column];
    return step.row === 0 ? down === 0 && right * step.column > 0 : right === 0 && down * step.row > 0;
  });
  const distance = (unit: UnitView): number =>
    Math.abs(unit.row - from.row) + Math.abs(unit.column - from.column);
  return inLine.sort((a, b) => distance(a) - distance(b))[0];
}
