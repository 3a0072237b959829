import { isBegun, kindsOfUnit, type Plan } from '../design/index.ts';
import type { PlanSurroundings } from '../calendar/index.ts';
import type { Caution, Finding, Mend } from './finding.ts';
import { materialKind, type MaterialKind } from './materials.ts';

/** Kinds of material that ask for care. */
const OF_MATERIALS = ['acid', 'alkali', 'salt', 'feed', 'soap', 'bleach', 'spirit'] as const;

/** Days that acid or alkali need in the mix before seeds go in. */
export const REACTION_DAYS = 3;
const LEAST_REACTION_DAYS = 2;

/** What the materials of a plan call for: cautions, and the wait before sowing. */
export function cautionFindings(plan: Plan, surroundings: PlanSurroundings): Finding[] {
  const units = kindsOfUnit(plan, surroundings);
  const materials = [...new Set(units.flatMap(({ doses }) => doses.map(({ material }) => material)))];
  const mixed = units.flatMap(({ recipe }) => recipe.map(({ material }) => material));
  const names = plan.factors.flatMap((factor) => [factor.name, ...factor.levels.map((level) => level.name)]);
  const kinds = new Set<MaterialKind>([...materials, ...mixed, ...names].map(materialKind));
  const used = [...new Set(units.flatMap(({ crop }) => crop ?? []))];
  const cautions: Caution[] = [];
  if (units.some(({ filling }) => filling === 'mix')) cautions.push('soil');
  for (const kind of OF_MATERIALS) if (kinds.has(kind)) cautions.push(kind);
  if (!isBegun(plan) && used.some(({ isOftenTreated }) => isOftenTreated)) cautions.push('treated');
  if (units.some(({ vessel }) => vessel === 'bags')) cautions.push('bags');
  if (units.some(({ vessel }) => vessel === 'jars')) cautions.push('glass');
  if (units.some(({ light }) => light === 'lamp')) cautions.push('lamp');
  const isCut = units.some(({ startsAs }) => ['divided', 'cuttings'].includes(startsAs));
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
