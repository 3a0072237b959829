import type { RowProblem } from './cells.ts';
import type { ExchangedReading } from './model.ts';

/** Reading ids must be different, and a correction must be of a reading of the same unit, variable and day. */
export function checkCorrections(
  entries: readonly { readonly row: number; readonly reading: ExchangedReading }[],
): RowProblem[] {
  const problems: RowProblem[] = [];
  const byId = new Map<string, ExchangedReading>();
  for (const { row, reading } of entries) {
    if (reading.id === '') continue;
    if (byId.has(reading.id)) {
      problems.push({ row, column: 'reading', found: reading.id, expected: 'an id that no other row has' });
    }
    byId.set(reading.id, reading);
  }
  for (const { row, reading } of entries) {
    if (reading.supersedes === '') continue;
    const earlier = byId.get(reading.supersedes);
    const matches =
      earlier !== undefined &&
      earlier !== reading &&
      earlier.unit === reading.unit &&
      earlier.variable === reading.variable &&
      earlier.observedOn === reading.observedOn &&
      !comesBack(reading, byId);
    if (!matches) {
      const expected = 'the id of another reading of the same pot, variable and date, or nothing';
      problems.push({ row, column: 'supersedes', found: reading.supersedes, expected });
    }
  }
  return problems;
}

/** True when following the corrections from a reading leads back to it: none of them would stand. */
function comesBack(reading: ExchangedReading, byId: ReadonlyMap<string, ExchangedReading>): boolean {
  const seen = new Set<string>();
  let next = byId.get(reading.supersedes);
  while (next !== undefined && !seen.has(next.id)) {
    if (next.id === reading.id) return true;
    seen.add(next.id);
    next = byId.get(next.supersedes);
  }
  return false;
}
