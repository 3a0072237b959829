import type { ExchangedVariable } from '@bright-sprout/core/imports';
import { lengthText, type LengthUnit } from '@bright-sprout/core/shared';

/** A value of a variable as a table shows it: lengths with their unit, other numbers bare. */
export function valueText(value: number, { kind, unit }: Pick<ExchangedVariable, 'kind' | 'unit'>): string {
  return kind === 'length'
    ? lengthText(value, { unit: unit as LengthUnit, step: unit === 'in' ? 0.25 : 0.1 })
    : String(Number(value.toFixed(2)));
}
