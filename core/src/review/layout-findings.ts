import {
  containersForStands,
  placedStands,
  type Plan,
  type PlannedUnit,
  plannedUnits,
  type Stand,
  standsOf,
  type Standing,
  STANDINGS,
  standingsOf,
  treatmentsOf,
  unevennessOf,
} from '../design/index.ts';
import { type Association, associationOf } from '../statistics/index.ts';
import type { Finding, LinedUpWith, Mend } from './finding.ts';

/** A layout is called lined up at this Cramér's V or more, when chance makes one as large in 1 of 20 at most. */
const LINED_UP_V = 0.3;
const LINED_UP_P = 0.05;
const SEEDS_TRIED = 40;

const NOTHING: Mend['cost'] = { units: 0, seeds: 0, days: 0 };

/** A unit as it stands, with the team that has it; empty when none has. */
export type ReviewedUnit = PlannedUnit & { readonly team: string };

/**
 * How far treatment is lined up with where and when a unit stands: so that one tells the other, whatever the number of
 * units, or more than shuffles of the same layout, within its blocks, are.
 * @param units as they stand, by hand or by the plan's seed
 */
export function layoutFindings(plan: Plan, units: readonly ReviewedUnit[]): Finding[] {
  const treatments = treatmentsOf(plan);
  if (treatments.length < 2 || units.length < 2) return [];
  const stands = standsOf(plan);
  return stands.length > 1 ? standFindings(plan, units, stands) : mixedFindings(plan, units);
}

/** Places that differ in light or warmth have containers of their own; where and how a unit is treated are then one. */
function standFindings(plan: Plan, units: readonly ReviewedUnit[], stands: readonly Stand[]): Finding[] {
  const unitsOf = ({ treatments }: Stand): ReviewedUnit[] =>
    units.filter(({ treatment }) => treatments.includes(treatment));
  const containers = stands.flatMap((stand) => [
    ...new Set(unitsOf(stand).map(({ container }) => container)),
  ]);
  if (new Set(containers).size < containers.length) {
    const facts = { code: 'stands_share_container', stands: stands.length } as const;
    return [{ severity: 'stops', facts, mend: containersMend(plan) }];
  }
  const within = stands
    .filter(({ treatments }) => treatments.length > 1)
    .flatMap((stand) => mixedFindings(plan, unitsOf(stand)))
    .filter(({ severity }) => severity !== 'fine');
  return [
    ...within.slice(0, 1),
    ...ownKinds(plan, containers),
    { severity: 'look', facts: { code: 'stand_is_treatment', stands: stands.length }, mend: null },
  ];
}

/** Stands whose containers are of other kinds differ in more than their place. */
function ownKinds(plan: Plan, used: readonly number[]): Finding[] {
  const kinds = [...new Set(used.flatMap((index) => plan.containers[index]?.kind ?? []))];
  if (kinds.length < 2) return [];
  const containers = containersForStands(plan);
  const mend = containers ? { changes: { containers }, cost: NOTHING } : null;
  return [{ severity: 'weakens', facts: { code: 'stand_has_own_container', kinds }, mend }];
}

/** A container, or as many as it takes, of the plan's own kind for each stand. */
function containersMend(plan: Plan): Mend | null {
  const layoutMethod = plan.layoutMethod === 'by_hand' ? 'random' : plan.layoutMethod;
  if (placedStands(plan)) {
    return { changes: { layoutMethod, layoutSeed: plan.layoutSeed + 1 }, cost: NOTHING };
  }
  const containers = containersForStands(plan);
  return containers ? { changes: { containers, layoutMethod }, cost: NOTHING } : null;
}

/** How far treatments that could stand anywhere are lined up with where they stand. */
function mixedFindings(plan: Plan, units: readonly ReviewedUnit[]): Finding[] {
  const found = linedUp(plan, units);
  if (found.length > 0) return found;
  const uneven = mostUneven(plan, units);
  if (uneven) return [uneven];
  return [{ severity: 'fine', facts: { code: 'layout_mixed' }, mend: null }];
}

/** The treatment that has more of a row, a column, a side, a container or a team than whole pots make necessary. */
function mostUneven(plan: Plan, units: readonly ReviewedUnit[]): Finding | undefined {
  const order = units.map(({ treatment }) => treatment);
  const teams = units.map(({ team }) => team);
  const groups: [LinedUpWith, readonly string[]][] = [
    ...STANDINGS.map((name): [Standing, readonly string[]] => [
      name,
      standingsOf(units, plan.containers)[name],
    ]),
    ...(new Set(teams).size > 1 ? ([['team', teams]] as [LinedUpWith, string[]][]) : []),
  ];
  const found = groups.flatMap(([name, group]) => {
    const worst = unevennessOf(order, group);
    return worst ? [{ name, ...worst }] : [];
  });
  const worst = found.sort((a, b) => b.count - b.even - (a.count - a.even))[0];
  if (!worst) return undefined;
  return {
    severity: 'look',
    facts: {
      code: 'layout_uneven',
      with: worst.name,
      treatment: treatmentsOf(plan)[worst.treatment]?.name ?? '',
      count: worst.count,
      units: order.filter((treatment) => treatment === worst.treatment).length,
    },
    mend: worst.name === 'team' ? null : shuffleMend(plan),
  };
}

function linedUp(plan: Plan, units: readonly ReviewedUnit[]): Finding[] {
  const names = units.map((unit) => String(unit.treatment));
  const isLadder = plan.factors.some((factor) => factor.aspect === 'age');
  const places: [LinedUpWith, string[]][] = [
    ...STANDINGS.map((name): [Standing, string[]] => [name, [...standingsOf(units, plan.containers)[name]]]),
    ['team', units.map((unit) => unit.team)],
    ...(isLadder ? [] : ([['sowing day', units.map((unit) => unit.sowOn)]] as [LinedUpWith, string[]][])),
  ];
  const found = places.flatMap(([place, where]): Finding[] => {
    const result = linedUpWith(names, where, units);
    if (!result) return [];
    const { v, p } = result;
    return [{ severity: 'weakens', facts: { code: 'lined_up', with: place, v, p }, mend: shuffleMend(plan) }];
  });
  const worst = found.sort((a, b) => vOf(b) - vOf(a))[0];
  return worst ? [worst] : [];
}

function vOf(finding: Finding): number {
  return finding.facts.code === 'lined_up' ? finding.facts.v : 0;
}

/** The next shuffle of the plan that is as even as its shape allows, and lined up with nothing. */
function shuffleMend(plan: Plan): Mend | null {
  const layoutMethod = plan.layoutMethod === 'by_hand' ? 'random' : plan.layoutMethod;
  for (let step = 1; step <= SEEDS_TRIED; step += 1) {
    const layoutSeed = (plan.layoutSeed + step) % 4_294_967_296;
    const changes = { layoutSeed, layoutMethod };
    const shuffled = { ...plan, ...changes };
    if (!isLinedUp(shuffled)) return { changes, cost: NOTHING };
  }
  return null;
}

function isLinedUp(plan: Plan): boolean {
  const planned = plannedUnits(plan);
  return standsOf(plan).some(({ treatments }) => {
    const units = planned.filter(({ treatment }) => treatments.includes(treatment));
    const names = units.map((unit) => String(unit.treatment));
    const standings = treatments.length < 2 ? [] : Object.values(standingsOf(units, plan.containers));
    return standings.some((where) => linedUpWith(names, where, units) !== undefined);
  });
}

/** The association of treatments with places, where it is more than chance would make it, or where it is complete. */
function linedUpWith(
  names: readonly string[],
  where: readonly string[],
  units: readonly PlannedUnit[],
): Association | undefined {
  const result = associationOf(
    names,
    where,
    units.map((unit) => String(unit.block)),
  );
  if (!result.defined) return undefined;
  const isMore = result.value.v >= LINED_UP_V && result.value.p <= LINED_UP_P;
  return isMore || isComplete(names, where) ? result.value : undefined;
}

/** Each place holds one treatment alone, and two units or more on average. */
function isComplete(names: readonly string[], where: readonly string[]): boolean {
  const held = new Map<string, string>();
  const isPure = where.every((place, index) => {
    const name = names[index] as string;
    const known = held.get(place) ?? name;
    held.set(place, known);
    return known === name;
  });
  return isPure && held.size * 2 <= where.length;
}
