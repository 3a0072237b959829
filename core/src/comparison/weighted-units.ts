import type { Outcome } from '../shared/index.ts';
import type { FactorialUnit, FittedDesign } from '../statistics/index.ts';
import { type Design, grouped } from './grouping.ts';
import { fitted, unitsOf } from './pairs.ts';
import { structureOf } from './structure.ts';
import type { TreatmentGroup } from './types.ts';

/** The compared units as an analysis of variance takes them, weighted as the model of the design weighs them. */
export function weightedUnits(
  groups: readonly TreatmentGroup[],
  design: Design,
): { readonly fit: Outcome<FittedDesign>; readonly units: readonly FactorialUnit[] } {
  const sorted = grouped(design, 'treatment');
  const structure = structureOf(design, 'treatment', sorted.groups, sorted.units);
  const fit = fitted(groups, structure);
  const units = unitsOf(groups, structure).map(({ value, cell, block }, index) => ({
    value,
    levels: design.treatments[cell]?.levels ?? [],
    block,
    weight: (fit.defined ? fit.value.weights[index] : undefined) ?? 1,
  }));
  return { fit, units };
}
