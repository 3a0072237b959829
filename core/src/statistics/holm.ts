/**
 * p values allowing for how many there are, by the step-down method of Holm (1979; R `p.adjust`).
 * @returns in the order given
 */
export function holm(ps: readonly number[]): number[] {
  const order = ps.map((_, index) => index).sort((a, b) => (ps[a] as number) - (ps[b] as number));
  const adjusted = new Array<number>(ps.length).fill(1);
  let least = 0;
  order.forEach((index, place) => {
    least = Math.max(least, Math.min(1, (ps.length - place) * (ps[index] as number)));
    adjusted[index] = least;
  });
  return adjusted;
}
