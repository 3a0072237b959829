import type { UnitDay } from '../growth/index.ts';
import { daysBetween, valueOr } from '../shared/index.ts';
import { describe } from '../statistics/index.ts';
import type { ComparedGroup, ComparedUnit, NotUpRule, TreatmentCurve, UnitCurve } from './types.ts';
import { valueUnder } from './value-under-rule.ts';

/** One curve for each unit that is sown and has a value; days since the unit's own sowing. */
export function unitCurves(
  units: readonly ComparedUnit[],
  findings: ReadonlyMap<string, readonly UnitDay[]>,
  rule: NotUpRule,
): UnitCurve[] {
  return units.flatMap((unit) => {
    const { sownOn } = unit;
    if (sownOn === null) return [];
    const points = (findings.get(unit.id) ?? []).flatMap((finding) => {
      const value = valueUnder(rule, finding);
      return value === undefined ? [] : [{ age: daysBetween(sownOn, finding.day), value }];
    });
    return points.length === 0 ? [] : [{ unitId: unit.id, groupId: unit.groupId, points }];
  });
}

/** The mean of the units of each treatment at each age at which any was read, with its n and 95 % interval. */
export function treatmentCurves(
  treatments: readonly ComparedGroup[],
  curves: readonly UnitCurve[],
): TreatmentCurve[] {
  return treatments.map((treatment) => {
    const byAge = new Map<number, number[]>();
    for (const curve of curves) {
      if (curve.groupId !== treatment.id) continue;
      for (const { age, value } of curve.points) {
        const values = byAge.get(age);
        if (values) values.push(value);
        else byAge.set(age, [value]);
      }
    }
    const points = [...byAge]
      .sort(([a], [b]) => a - b)
      .map(([age, values]) => {
        const { n, mean, interval } = describe(values);
        return { age, n, mean: valueOr(mean, 0), interval };
      });
    return { groupId: treatment.id, points };
  });
}
