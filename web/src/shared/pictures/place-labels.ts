/** A label on a drawing: what it points at, in shares of width and height. */
export interface Label {
  readonly word: string;
  readonly x: number;
  readonly y: number;
}

/** A label with where its word stands: at the margin that is nearer, below another that stands there. */
export interface PlacedLabel extends Label {
  readonly side: 'left' | 'right';
  readonly wordY: number;
}

/** How far from its margin the middle of a word stands, and how far words are apart. */
export const WORD_X = 0.12;
const APART = 0.09;

/** Puts the words of labels at the margins, none over another, in the order in which their parts stand. */
export function placeLabels(labels: readonly Label[]): PlacedLabel[] {
  const last = { left: -APART, right: -APART };
  const placed = new Map<Label, PlacedLabel>();
  for (const label of [...labels].sort((a, b) => a.y - b.y)) {
    const side = label.x < 0.5 ? 'left' : 'right';
    const wordY = Math.min(1 - APART / 2, Math.max(label.y, last[side] + APART, APART / 2));
    last[side] = wordY;
    placed.set(label, { ...label, side, wordY });
  }
  return labels.map((label) => placed.get(label) as PlacedLabel);
}

/** The middle of a word across. */
export function wordX({ side }: PlacedLabel): number {
  return side === 'left' ? WORD_X : 1 - WORD_X;
}
