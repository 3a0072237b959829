import type { ShownComparison } from './compare-context.tsx';

/** Finds the name of a group. */
export function useNames(shown: ShownComparison): (id: string) => string {
  return (id) => shown.groups.find((group) => group.id === id)?.name ?? '';
}
