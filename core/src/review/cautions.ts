import { isBegun, type Plan, treatmentsOf } from '../design/index.ts';
import type { PlanSurroundings } from '../calendar/index.ts';
import type { Caution, Finding, Mend } from './finding.ts';
import { materialKind, type MaterialKind } from './materials.ts';

/** Kinds of material that ask for care. */
const OF_MATERIALS = ['acid', 'alkali', 'salt', 'feed', 'soap', 'bleach', 'spirit'] as const;

/** Days that acid or alkali need in the mix before seeds go in. */
export const REACTION_DAYS = 3;
const LEAST_REACTION_DAYS = 2;

/** What the materials of a plan call for: cautions, and the wait before sowing. */
export function cautionFindings(plan: Plan, { crops }: PlanSurroundings): Finding[] {
  const treatments = treatmentsOf(plan);
  const materials = [
    ...new Set(treatments.flatMap(({ settings }) => settings.doses.map(({ material }) => material))),
  ];
  const names = plan.factors.flatMap((factor) => [factor.name, ...factor.levels.map((level) => level.name)]);
  const kinds = new Set<MaterialKind>([...materials, ...names].map(materialKind));
  const ids = [...new Set(treatments.map((treatment) => treatment.settings.cropId))];
  const used = crops.filter((crop) => ids.includes(crop.id));
  const cautions: Caution[] = [];
  if (plan.conditions.hasSoil) cautions.push('soil');
  for (const kind of OF_MATERIALS) if (kinds.has(kind)) cautions.push(kind);
  if (!isBegun(plan) && used.some(({ isOftenTreated }) => isOftenTreated)) cautions.push('treated');
  if (plan.containers.some((container) => container.kind === 'bags')) cautions.push('bags');
  if (plan.containers.some((container) => container.kind === 'jars')) cautions.push('glass');
  if (treatments.some(({ settings }) => settings.light === 'lamp')) cautions.push('lamp');
  const isCut = ['divided', 'cuttings'].includes(plan.conditions.startsAs ?? 'seed');
  if (plan.kind === 'pieces' || isCut) cautions.push('cutting');
  cautions.push('allergy');
  return [
    ...reactionWait(plan, materials),
    ...used
      .filter((crop) => crop.caution !== '')
      .map((crop): Finding => ({
        severity: 'care',
        facts: { code: 'crop_caution', crop: crop.commonName, text: crop.caution },
        mend: null,
      })),
    ...materials
      .filter((material) => materialKind(material) === 'unknown')
      .map((material): Finding => ({
        severity: 'care',
        facts: { code: 'unknown_material', material },
        mend: null,
      })),
    ...cautions.map((caution): Finding => ({
      severity: 'care',
      facts: { code: 'caution', caution },
      mend: null,
    })),
  ];
}

function reactionWait(plan: Plan, materials: readonly string[]): Finding[] {
  const material = materials.find((name) => ['acid', 'alkali'].includes(materialKind(name)));
  if (material === undefined || plan.conditions.reactionDays >= LEAST_REACTION_DAYS) return [];
  const mend: Mend = {
    changes: { conditions: { ...plan.conditions, reactionDays: REACTION_DAYS } },
    cost: { units: 0, seeds: 0, days: REACTION_DAYS - plan.conditions.reactionDays },
  };
  return [{ severity: 'weakens', facts: { code: 'reaction_wait', material }, mend }];
}
