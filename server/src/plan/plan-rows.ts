import type { PlanRequest } from '@bright-sprout/contract/plan';
import { CONTAINER_GRIDS, placeOf, randomLayout, treatmentCode } from '@bright-sprout/core/design';
import { v7 as uuid } from 'uuid';
import type { Container, Factor, Level, Treatment, TreatmentLevel, Unit } from './design.entities.ts';
import type { PlanRows } from './experiment-store.ts';

/** What the rows of a plan are made from. */
export type PlannedDesign = Pick<
  PlanRequest,
  'factorName' | 'levels' | 'replicates' | 'containerKind' | 'seedsPerUnit' | 'layoutSeed'
>;

/** Makes the treatments and units of a one-factor plan and lays them out by its seeded shuffle. */
export function planRows(experimentId: string, design: PlannedDesign): PlanRows {
  const factor = { id: uuid(), experimentId, position: 0, name: design.factorName } as Factor;
  const levels = design.levels.map(
    (level, position) => ({ id: uuid(), factorId: factor.id, position, name: level.name }) as Level,
  );
  const treatments = design.levels.map(
    (level, position) =>
      ({
        id: uuid(),
        experimentId,
        position,
        code: treatmentCode(position),
        name: level.name,
        isControl: level.isControl,
      }) as Treatment,
  );
  const treatmentLevels = treatments.map(
    (treatment, index) => ({ treatmentId: treatment.id, levelId: levels[index]?.id }) as TreatmentLevel,
  );
  const grid = CONTAINER_GRIDS[design.containerKind];
  const container = {
    id: uuid(),
    experimentId,
    position: 0,
    kind: design.containerKind,
    gridRows: grid.rows,
    gridColumns: grid.columns,
  } as Container;
  const units = randomLayout(treatments.length, design.replicates, design.layoutSeed).map((place) => {
    const { row, column } = placeOf(place.number, grid);
    return {
      id: uuid(),
      experimentId,
      number: place.number,
      containerId: container.id,
      placeRow: row,
      placeColumn: column,
      treatmentId: treatments[place.treatment]?.id,
      replicate: place.replicate,
      block: '',
      team: '',
      sowedOn: null,
      seedsSown: design.seedsPerUnit,
    } as Unit;
  });
  return { factors: [factor], levels, treatments, treatmentLevels, containers: [container], units };
}
