import { say } from '@bright-sprout/words/refusals';
import type { Plan } from '@bright-sprout/core/design';
import type { EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { invalidField } from '../shared/index.ts';
import { Variable } from './design.entities.ts';
import type { StoredPlan } from './experiment-store.ts';
import { variablesOf } from './plan-rows.ts';

const IS_READ = 'SELECT 1 FROM reading WHERE variable_id = ? LIMIT 1';

/**
 * Brings the variables of an experiment up to its plan. The first changes with the plan's measure; others are
 * added and removed by name, those with readings only added.
 * @throws ApiError `invalid_fields` when one that was read is to go
 */
export async function saveVariables(manager: EntityManager, stored: StoredPlan, plan: Plan): Promise<void> {
  const experimentId = stored.experiment.id;
  const [measure, ...also] = variablesOf(plan);
  const [first, ...others] = stored.variables;
  if (first && measure && stored.experiment.status === 'draft') {
    await manager.update(Variable, first.id, measure);
  }
  for (const gone of others.filter((variable) => !also.some(({ name }) => name === variable.name))) {
    const read: unknown[] = await manager.query(IS_READ, [gone.id]);
    if (read.length > 0) {
      throw invalidField('alsoRead', say('thereAreReadingsOfSoItStays', { gone: gone.name }));
    }
    await manager.delete(Variable, gone.id);
  }
  let position = Math.max(0, ...stored.variables.map((variable) => variable.position));
  for (const wanted of also.filter(({ name }) => !others.some((variable) => variable.name === name))) {
    position += 1;
    await manager.insert(Variable, { id: uuid(), experimentId, position, ...wanted });
  }
}
