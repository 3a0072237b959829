import { type Plan, plannedUnits, treatmentsOf } from '@bright-sprout/core/design';
import type { EntityManager } from 'typeorm';
import { Container, Factor, Level, Treatment, Unit } from './design.entities.ts';
import type { ExperimentStore, StoredPlan } from './experiment-store.ts';
import { planOf } from './plan-from-rows.ts';
import { isSameDesign, planRows, seedsOf, treatmentWords } from './plan-rows.ts';

/** Brings the rows of a draft up to its plan; units and treatments keep their ids while the design keeps its shape. */
export async function saveDesign(
  store: ExperimentStore,
  manager: EntityManager,
  stored: StoredPlan,
  plan: Plan,
): Promise<void> {
  const { id } = stored.experiment;
  if (!isSameDesign(stored, plan)) {
    await store.deleteRows(manager, id);
    await store.insertRows(manager, planRows(id, plan));
    return;
  }
  await saveNames(manager, stored, plan);
  const before = planOf(stored);
  const isShuffled = before?.layoutSeed !== plan.layoutSeed || before.layoutMethod !== plan.layoutMethod;
  if (isShuffled && plan.layoutMethod !== 'by_hand') await shuffle(manager, stored, plan);
  const planned = treatmentsOf(plan);
  const sowOn = new Map(plannedUnits(plan).map((unit) => [unit.treatment, unit.sowOn]));
  for (const [position, treatment] of stored.treatments.entries()) {
    await manager.update(
      Unit,
      { experimentId: id, treatmentId: treatment.id },
      { seedsSown: seedsOf(plan, planned[position]), sowOn: sowOn.get(position) ?? plan.sowOn },
    );
  }
}

/** Names of factors, levels, treatments and containers; they may change at any time. */
export async function saveNames(manager: EntityManager, stored: StoredPlan, plan: Plan): Promise<void> {
  for (const [position, factor] of stored.factors.entries()) {
    const wanted = plan.factors[position];
    if (!wanted) continue;
    if (factor.name !== wanted.name) await manager.update(Factor, factor.id, { name: wanted.name });
    for (const level of stored.levels.filter((one) => one.factorId === factor.id)) {
      const name = wanted.levels[level.position]?.name ?? level.name;
      if (level.name !== name) await manager.update(Level, level.id, { name });
    }
  }
  for (const [position, treatment] of treatmentsOf(plan).entries()) {
    const row = stored.treatments[position];
    const words = treatmentWords(treatment);
    const isSame = row?.name === words.name && row.isControl === words.isControl;
    if (row && !isSame)
      await manager.update(Treatment, row.id, { name: words.name, isControl: words.isControl });
  }
  for (const [position, { name, brightSide }] of plan.containers.entries()) {
    const row = stored.containers[position];
    if (row && (row.name !== name || row.brightSide !== brightSide)) {
      await manager.update(Container, row.id, { name, brightSide });
    }
  }
}

/** Lays the same units out by the plan's method and seed. */
async function shuffle(manager: EntityManager, stored: StoredPlan, plan: Plan): Promise<void> {
  const byNumber = new Map(stored.units.map((unit) => [unit.number, unit]));
  for (const { number, treatment, replicate, block } of plannedUnits(plan)) {
    const unit = byNumber.get(number);
    const treatmentId = stored.treatments[treatment]?.id;
    if (!unit || treatmentId === undefined) continue;
    await manager.update(Unit, unit.id, {
      treatmentId,
      replicate,
      block: block === 0 ? '' : String(block),
    });
  }
}
