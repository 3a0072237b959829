import type { Plan, PlanLevel } from '@bright-sprout/core/design';
import { type EntityManager, In, IsNull, Not } from 'typeorm';
import { v5 as derived } from 'uuid';
import { Crop } from './crop.entity.ts';
import { SeedLot } from './inventory.entities.ts';

/**
 * A plan of another teacher with everything that it names put into one's own inventory: own crops and packets are copied,
 * what ships stays as it is. Copies have ids derived from what they were copied from, so that copying again adds nothing.
 */
export async function adoptInventory(manager: EntityManager, plan: Plan, teacherId: string): Promise<Plan> {
  const levels = plan.factors.flatMap((factor) => factor.levels);
  const cropIds = [plan.cropId, ...levels.map(({ cropId }) => cropId)].flatMap((id) => id ?? []);
  const lotIds = [plan.lotId, ...levels.map(({ lotId }) => lotId)].flatMap((id) => id ?? []);
  const lots = await manager.findBy(SeedLot, { id: In(lotIds), teacherId: Not(teacherId) });
  const named = [...cropIds, ...lots.map(({ cropId }) => cropId)];
  const all = await manager.findBy(Crop, { id: In(named), teacherId: Not(IsNull()) });
  const crops = all.filter((crop) => crop.teacherId !== teacherId);
  const copies = new Map([...crops, ...lots].map(({ id }) => [id, derived(teacherId, id)]));
  const copyOf = (id: string): string => copies.get(id) ?? id;
  for (const crop of crops) {
    const id = copyOf(crop.id);
    const copy = { ...crop, id, teacherId, figures: { ...crop.figures, id } };
    await manager.createQueryBuilder().insert().orIgnore().into(Crop).values(copy).execute();
  }
  for (const { figures, name, cropId, id } of lots) {
    const copy = { id: copyOf(id), teacherId, cropId: copyOf(cropId), name, figures };
    await manager.createQueryBuilder().insert().orIgnore().into(SeedLot).values(copy).execute();
  }
  const ofOwn = (level: PlanLevel): PlanLevel => ({
    ...level,
    ...(level.cropId ? { cropId: copyOf(level.cropId) } : {}),
    ...(level.lotId ? { lotId: copyOf(level.lotId) } : {}),
  });
  return {
    ...plan,
    cropId: copyOf(plan.cropId),
    lotId: plan.lotId && copyOf(plan.lotId),
    factors: plan.factors.map((factor) => ({ ...factor, levels: factor.levels.map(ofOwn) })),
  };
}
