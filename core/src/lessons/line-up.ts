import type { ComparedGroup } from '../comparison/index.ts';
import type { PlantOnDay } from './plant-on-day.ts';

/** What plants are put in a row by. */
export const LINE_UP_ORDERS = ['height', 'age', 'first_up', 'treatment', 'place', 'team'] as const;
export type LineUpOrder = (typeof LINE_UP_ORDERS)[number];

/** Plants without a height, at the end of a row by height: those that may still get one first. */
const AFTER: Readonly<Record<string, number>> = {
  not_emerged: 0,
  emerged: 1,
  not_read: 2,
  not_sown: 3,
  removed: 4,
  dead: 5,
};

/**
 * Puts plants in a row. Plants that are alike in what they are put in order by stand in the order of their numbers;
 * those that have nothing to be put in order by stand after the others, never among them as if it were 0.
 * @param groups treatments in plan order
 */
export function lineUp(
  plants: readonly PlantOnDay[],
  order: LineUpOrder,
  groups: readonly ComparedGroup[],
): PlantOnDay[] {
  const key = keyOf(order, groups);
  return [...plants].sort((a, b) => {
    const [first, second] = [key(a), key(b)];
    for (const [index, part] of first.entries()) {
      const other = second[index] ?? 0;
      if (part < other) return -1;
      if (part > other) return 1;
    }
    return a.unit.number - b.unit.number;
  });
}

type Key = readonly (string | number)[];

/** 0 before 1: what has something to be put in order by stands first. */
const KNOWN = 0;
const UNKNOWN = 1;

function keyOf(order: LineUpOrder, groups: readonly ComparedGroup[]): (plant: PlantOnDay) => Key {
  const place = new Map(groups.map(({ id }, index) => [id, index]));
  switch (order) {
    case 'height':
      return heightKey;
    case 'age':
      return ({ age }) => (age === null ? [UNKNOWN] : [KNOWN, age]);
    case 'first_up':
      return ({ firstUp }) => (firstUp === null ? [UNKNOWN] : [KNOWN, firstUp]);
    case 'treatment':
      return (plant) => [place.get(plant.unit.groupId) ?? groups.length, ...heightKey(plant)];
    case 'place':
      return () => [];
    case 'team':
      return ({ unit }) => (unit.team === '' ? [UNKNOWN] : [KNOWN, unit.team]);
  }
}

function heightKey({ plant }: PlantOnDay): Key {
  return plant.state === 'emerged' && plant.value !== null
    ? [KNOWN, plant.value]
    : [UNKNOWN, AFTER[plant.state] ?? 0];
}
