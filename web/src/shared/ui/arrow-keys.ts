const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Which way an arrow key goes, across and down; undefined for other keys. */
export function arrowWay(key: string): readonly [number, number] | undefined {
  return WAYS[key];
}

/** A share of a picture's width or height that stays within it. */
export function withinPicture(share: number): number {
  return Math.min(1, Math.max(0, share));
}
