/** The most levels one factor can have in a plan. */
export const MOST_LEVELS = 4;

/** The letter that stands for a treatment on labels and in files: A, B, … */
export function treatmentCode(index: number): string {
  return (
    String.fromCharCode('A'.charCodeAt(0) + (index % 26)) +
    (index >= 26 ? String(Math.floor(index / 26)) : '')
  );
}
