import type { UnitDay } from '../growth/index.ts';
import { type CalendarDay, daysBetween } from '../shared/index.ts';
import type { Wait } from '../statistics/index.ts';

/** How many were newly up at one check. `day` is days since sowing; checks may be unevenly spaced. */
export interface Check {
  readonly day: number;
  readonly newlyUp: number;
}

/** Something that seeds of known number were sown in. */
export interface SownUnit {
  readonly id: string;
  readonly sownOn: CalendarDay | null;
  readonly seedsSown: number | null;
}

/**
 * Checks of several units together, from counts of how many are up in all. A count below an earlier one is a plant
 * lost, not a seed less: the highest count so far holds.
 * @param histories each unit's findings of the count, in day order
 */
export function checksFromCounts(
  units: readonly SownUnit[],
  histories: ReadonlyMap<string, readonly UnitDay[]>,
): Check[] {
  const newly = new Map<number, number>();
  for (const unit of units) {
    if (unit.sownOn === null) continue;
    let up = 0;
    for (const finding of histories.get(unit.id) ?? []) {
      if (finding.state === 'not_read') continue;
      const day = daysBetween(unit.sownOn, finding.day);
      const count = Math.max(up, finding.value ?? 0);
      newly.set(day, (newly.get(day) ?? 0) + count - up);
      up = count;
    }
  }
  return sorted(newly);
}

/** Checks from units of which each is up or not: one newly up at the first reading that found it up. */
export function checksFromUnits(
  units: readonly SownUnit[],
  histories: ReadonlyMap<string, readonly UnitDay[]>,
): Check[] {
  const newly = new Map<number, number>();
  for (const unit of units) {
    if (unit.sownOn === null) continue;
    let isUp = false;
    for (const finding of histories.get(unit.id) ?? []) {
      if (finding.state === 'not_read') continue;
      const day = daysBetween(unit.sownOn, finding.day);
      const isNew: number = !isUp && finding.state === 'emerged' ? 1 : 0;
      newly.set(day, (newly.get(day) ?? 0) + isNew);
      isUp ||= isNew === 1;
    }
  }
  return sorted(newly);
}

/** When one unit was first found up, and the last check before. */
export interface Emergence {
  readonly unitId: string;
  /** Days since sowing of the first check that found it up; `null` while it is waiting. */
  readonly upAt: number | null;
  /** It came up after this check: 0 is the sowing. */
  readonly after: number;
  /** Dead or removed before it was ever found up: known to have waited until `after`, and no longer waiting. */
  readonly isLost: boolean;
}

/** When each sown unit that was looked at came up, in the order given. */
export function emergences(
  units: readonly SownUnit[],
  histories: ReadonlyMap<string, readonly UnitDay[]>,
): Emergence[] {
  return units.flatMap((unit) => {
    const { sownOn } = unit;
    const seen = (histories.get(unit.id) ?? []).filter((finding) => finding.state !== 'not_read');
    if (sownOn === null || seen.length === 0) return [];
    const at = seen.findIndex((finding) => finding.state === 'emerged');
    const before = at < 0 ? seen.filter((finding) => finding.state === 'not_emerged').at(-1) : seen[at - 1];
    const after = before ? daysBetween(sownOn, before.day) : 0;
    const first = seen[at];
    const last = seen.at(-1);
    const isLost = !first && (last?.state === 'dead' || last?.state === 'removed');
    return [{ unitId: unit.id, upAt: first ? daysBetween(sownOn, first.day) : null, after, isLost }];
  });
}

/** Emergences as waiting times: those not up are known only to be waiting at the last check that said so. */
export function waitsOf(found: readonly Pick<Emergence, 'upAt' | 'after'>[]): Wait[] {
  return found.map(({ upAt, after }) =>
    upAt === null ? { time: after, happened: false } : { time: upAt, happened: true },
  );
}

function sorted(newly: ReadonlyMap<number, number>): Check[] {
  return [...newly].sort(([a], [b]) => a - b).map(([day, newlyUp]) => ({ day, newlyUp }));
}
