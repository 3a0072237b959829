/**
 * Places points of one column beside each other so that none hides another: a point takes the place nearest to the
 * middle that no point within reach of its height has.
 * @param values heights of the points
 * @param reach heights closer than this would overlap
 * @param width of the column, shared by the widest row
 * @param step distance of neighbours where there is room, in the unit of the width
 * @returns of each point how far from the middle it stands
 */
export function swarm(values: readonly number[], reach: number, width: number, step: number): number[] {
  const order = values.map((_, index) => index).sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  const slots: number[] = Array<number>(values.length).fill(0);
  const placed: number[] = [];
  for (const index of order) {
    const taken = new Set(
      placed
        .filter((other) => Math.abs((values[other] ?? 0) - (values[index] ?? 0)) < reach)
        .map((other) => slots[other]),
    );
    let slot = 0;
    for (let turn = 0; taken.has(slot); turn += 1) slot = turn % 2 === 0 ? turn / 2 + 1 : -(turn + 1) / 2;
    slots[index] = slot;
    placed.push(index);
  }
  const widest = Math.max(1, ...slots.map((slot) => Math.abs(slot)));
  const between = Math.min(step, width / 2 / widest);
  return slots.map((slot) => slot * between);
}
