import type { UnitDay } from '../growth/index.ts';
import { type CalendarDay, NO_SHOW_REASONS, notDefined } from '../shared/index.ts';
import { ALPHA, sharesTest } from '../statistics/index.ts';
import { sharesLine, type TestOutcome } from './test-line.ts';
import type { ComparedGroup, ComparedUnit, Fate, Fates } from './types.ts';

/**
 * What became of the units of each group by a day: dead, never up, or neither, over units that anybody looked at and
 * that were not removed. Shares are compared by {@link sharesTest}.
 * @param findings of each unit in day order
 * @param isUp whether a finding of state "up" is of something up: a count of no seeds is not
 */
export function fatesOf(
  groups: readonly ComparedGroup[],
  units: readonly ComparedUnit[],
  findings: ReadonlyMap<string, readonly UnitDay[]>,
  day: CalendarDay,
  isUp: (finding: UnitDay) => boolean = () => true,
): Fates {
  const found = groups.map(({ id }): Fate => {
    const fate = { groupId: id, looked: 0, cameUp: 0, dead: [] as number[], notUp: [] as number[] };
    const said: ComparedUnit[] = [];
    for (const unit of units) {
      if (unit.groupId !== id) continue;
      const seen = (findings.get(unit.id) ?? []).filter(
        (finding) => finding.day <= day && finding.state !== 'not_read',
      );
      const last = seen.at(-1);
      if (!last || last.state === 'removed') continue;
      const isDead = last.state === 'dead';
      const wasUp = isDead || seen.some((finding) => finding.state === 'emerged' && isUp(finding));
      fate.looked += 1;
      if (wasUp) fate.cameUp += 1;
      else {
        fate.notUp.push(unit.number);
        said.push(unit);
      }
      if (isDead) fate.dead.push(unit.number);
    }
    return { ...fate, reasons: reasonsOf(said, day) };
  });
  return {
    groups: found,
    dead: evenlyShared(found.map((fate) => [fate.dead.length, fate.cameUp - fate.dead.length])),
    up: evenlyShared(found.map((fate) => [fate.cameUp, fate.notUp.length])),
  };
}

/** Reasons noted by a day, each with the units that it was noted for. */
function reasonsOf(units: readonly ComparedUnit[], day: CalendarDay): Fate['reasons'] {
  return NO_SHOW_REASONS.map((reason) => ({
    reason,
    numbers: units
      .filter(({ noShow }) => noShow?.reason === reason && noShow.day <= day)
      .map(({ number }) => number),
  })).filter(({ numbers }) => numbers.length > 0);
}

/** Whether chance could have shared out the one and the other between the groups so. */
export function evenlyShared(table: readonly (readonly number[])[]): TestOutcome {
  const found = sharesTest(table);
  return found.defined ? sharesLine(found) : notDefined('all_alike');
}

/** Two questions beside the one on values: together they add little to the 5 % that it is held to. */
const FATE_ALPHA = ALPHA / 4;

/**
 * What a page says beside its answer and the fates of its pots (days of coming up, teams, the packet, how values are
 * spread) is found only below this, so that with nothing to find the page as a whole is wrong in at most 8 of 100; up to 5 %
 * it is something to look into.
 */
const BESIDE_ALPHA = ALPHA / 10;

/** How sure a claim is that stands beside the answer: found, something to look into, or neither. */
export type BesideVerdict = 'found' | 'look' | 'open';

/** How sure a claim beside the answer is; one of how many came up or died is held to the bar of the fates. */
export function verdictBeside({ p }: { readonly p: number }, isFate = false): BesideVerdict {
  if (p < (isFate ? FATE_ALPHA : BESIDE_ALPHA)) return 'found';
  return p < ALPHA ? 'look' : 'open';
}

/** True when chance alone would hardly ever share out the dead, or those that came up, as unevenly. */
export function isClearFate(test: TestOutcome): boolean {
  return test.defined && test.value.p < FATE_ALPHA;
}
