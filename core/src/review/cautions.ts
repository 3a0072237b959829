import { type Plan, treatmentsOf } from '../design/index.ts';
import type { PlanSurroundings } from '../calendar/index.ts';
import type { Caution, Finding, Mend } from './finding.ts';

const ACID = /vinegar|acid|lemon/i;
const ALKALI = /lime|baking soda|bicarbonate|chalk|wood ash/i;
const SALT = /\bsalt\b/i;
/** Days that acid or alkali need in the mix before seeds go in. */
export const REACTION_DAYS = 3;
const LEAST_REACTION_DAYS = 2;

/** What the materials of a plan call for: cautions, and the wait before sowing. */
export function cautionFindings(plan: Plan, { crops }: PlanSurroundings): Finding[] {
  const treatments = treatmentsOf(plan);
  const materials = [
    ...new Set(treatments.flatMap(({ settings }) => settings.doses.map(({ material }) => material))),
  ];
  const everything = [
    ...materials,
    ...plan.factors.flatMap((factor) => [factor.name, ...factor.levels.map((level) => level.name)]),
  ].join(' ');
  const ids = [...new Set(treatments.map((treatment) => treatment.settings.cropId))];
  const used = crops.filter((crop) => ids.includes(crop.id));
  const cautions: Caution[] = [];
  if (plan.conditions.hasSoil) cautions.push('soil');
  if (ACID.test(everything)) cautions.push('acid');
  if (ALKALI.test(everything)) cautions.push('alkali');
  if (SALT.test(everything)) cautions.push('salt');
  if (plan.containers.some((container) => container.kind === 'bags')) cautions.push('bags');
  if (plan.containers.some((container) => container.kind === 'jars')) cautions.push('glass');
  if (treatments.some(({ settings }) => settings.light === 'lamp')) cautions.push('lamp');
  if (plan.kind === 'pieces') cautions.push('cutting');
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
    ...cautions.map((caution): Finding => ({
      severity: 'care',
      facts: { code: 'caution', caution },
      mend: null,
    })),
  ];
}

function reactionWait(plan: Plan, materials: readonly string[]): Finding[] {
  const material = materials.find((name) => ACID.test(name) || ALKALI.test(name));
  if (material === undefined || plan.conditions.reactionDays >= LEAST_REACTION_DAYS) return [];
  const mend: Mend = {
    changes: { conditions: { ...plan.conditions, reactionDays: REACTION_DAYS } },
    cost: { units: 0, seeds: 0, days: REACTION_DAYS - plan.conditions.reactionDays },
  };
  return [{ severity: 'weakens', facts: { code: 'reaction_wait', material }, mend }];
}
