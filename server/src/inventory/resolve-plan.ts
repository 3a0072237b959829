import { say } from '@bright-sprout/words/refusals';
import type { Plan, PlanLevel } from '@bright-sprout/core/design';
import { type DataSource, In, IsNull } from 'typeorm';
import { invalidFields } from '../shared/index.ts';
import { Crop } from './crop.entity.ts';
import { SeedLot } from './inventory.entities.ts';

/**
 * A plan whose crops and packets are those that a teacher may use: crops that ship or are the teacher's own, packets of
 * the teacher's own drawer. A packet of another teacher, or none that there is, is left out.
 * @throws ApiError `invalid_fields` for crops, field by field
 */
export async function resolvePlan(source: DataSource, plan: Plan, teacherId: string): Promise<Plan> {
  const levels = plan.factors.flatMap((factor, at) =>
    factor.levels.map((level, index) => ({ level, field: `factors.${at}.levels.${index}.cropId` })),
  );
  const named = [
    { cropId: plan.cropId, field: 'cropId' },
    ...levels.flatMap(({ level, field }) => (level.cropId ? [{ cropId: level.cropId, field }] : [])),
  ];
  const lotIds = [plan.lotId, ...levels.map(({ level }) => level.lotId)].flatMap((id) => id ?? []);
  const cropIds = In([...new Set(named.map(({ cropId }) => cropId))]);
  const [crops, own] = await Promise.all([
    source.getRepository(Crop).find({
      where: [
        { id: cropIds, teacherId: IsNull() },
        { id: cropIds, teacherId },
      ],
      select: { id: true },
    }),
    lotIds.length === 0
      ? []
      : source.getRepository(SeedLot).find({ where: { id: In(lotIds), teacherId }, select: { id: true } }),
  ]);
  const known = new Set(crops.map(({ id }) => id));
  const problems = named
    .filter(({ cropId }) => !known.has(cropId))
    .map(({ field }) => ({ field, message: say('chooseACropFromTheDrawer') }));
  if (problems.length > 0) throw invalidFields(problems);
  const lots = new Set(own.map(({ id }) => id));
  const ofOwn = (lotId: string | null): string | null => (lotId && lots.has(lotId) ? lotId : null);
  const resolved = (level: PlanLevel): PlanLevel =>
    level.lotId ? { ...level, lotId: ofOwn(level.lotId) } : level;
  return {
    ...plan,
    lotId: ofOwn(plan.lotId),
    factors: plan.factors.map((factor) => ({ ...factor, levels: factor.levels.map(resolved) })),
  };
}
