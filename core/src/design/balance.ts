import { type Grid, type BrightSide, type PlaceInContainers, stepsFromBright } from './container.ts';

/** Where a unit stands, in the ways that can matter to a plant. */
export const STANDINGS = ['bright side', 'row', 'column', 'half', 'container'] as const;
export type Standing = (typeof STANDINGS)[number];

type Container = Grid & { readonly brightSide: BrightSide };

/** What each place has in common with others, by standing: places of equal text are one row, one column and so on. */
export function standingsOf(
  places: readonly PlaceInContainers[],
  containers: readonly Container[],
): Readonly<Record<Standing, readonly string[]>> {
  const steps = (place: PlaceInContainers): number => {
    const container = containers[place.container];
    return container ? stepsFromBright(place, container) : 0;
  };
  return {
    'bright side': places.map((place) => String(steps(place))),
    row: places.map(({ container, row }) => `${container}/${row}`),
    column: places.map(({ container, column }) => `${container}/${column}`),
    half: places.map((place) => `${place.container}/${halfOf(place, containers[place.container])}`),
    container: places.map(({ container }) => String(container)),
  };
}

/** Fewer places in a line have no halves to speak of. */
const FEWEST_IN_LINE = 4;

/** Which half of a container in one line; its rows and columns say nothing there. Elsewhere they say enough. */
function halfOf({ row, column }: PlaceInContainers, container: Container | undefined): string {
  if (!container || Math.min(container.rows, container.columns) > 1) return '';
  const [at, length] = [Math.max(row, column), Math.max(container.rows, container.columns)];
  if (length < FEWEST_IN_LINE || 2 * at === length + 1) return '';
  return 2 * at <= length ? 'first' : 'second';
}

/** The treatment that stands least evenly over groups of places. */
export interface Unevenness {
  /** Index of the treatment, and of a place of the group. */
  readonly treatment: number;
  readonly place: number;
  /** Units of the treatment in that group, and what an even share would be. */
  readonly count: number;
  readonly even: number;
}

/**
 * The worst count of a treatment in a group of places that is not as even as whole pots allow: further from its even
 * share (units of the treatment × units of the group ÷ all units) than the whole numbers next to it.
 * @param treatments index of each unit's treatment
 * @param groups what each unit's place has in common with others
 * @returns undefined where every treatment is as even as it can be over every group
 */
export function unevennessOf(
  treatments: readonly number[],
  groups: readonly string[],
): Unevenness | undefined {
  const ofTreatment = countsOf(treatments);
  const ofGroup = countsOf(groups);
  const together = countsOf(treatments.map((treatment, at) => `${treatment}|${groups[at]}`));
  let worst: Unevenness | undefined;
  for (const treatment of ofTreatment.keys()) {
    for (const [group, size] of ofGroup) {
      const even = ((ofTreatment.get(treatment) ?? 0) * size) / treatments.length;
      const count = together.get(`${treatment}|${group}`) ?? 0;
      // Where one has too few, another has too many.
      if (count < even || excess(count, even) === 0) continue;
      if (worst && count - even <= worst.count - worst.even) continue;
      worst = { treatment, place: groups.indexOf(group), count, even };
    }
  }
  return worst;
}

function countsOf<T>(items: readonly T[]): Map<T, number> {
  const counts = new Map<T, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts;
}

/** How far a count is from the whole numbers next to its even share; 0 where it is one of them. */
export function excess(count: number, even: number): number {
  return Math.max(0, Math.floor(even + TINY) - count, count - Math.ceil(even - TINY));
}

/** Shares such as 3 × (1/3) are whole numbers. */
const TINY = 1e-9;
