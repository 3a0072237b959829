/** Readings of drawn rulers that are looked at: the newest. */
export const CAREFUL_READINGS = 5;

/** How far each of them may be off, in mm: a mark of the ruler. */
export const CAREFUL_MM = 1;

/** How far off a reading may be and count as right: figures are stored as binary fractions. */
const ROUNDING_MM = 1e-6;

/** True of somebody whose newest five readings of drawn rulers were each within a millimetre of the truth. */
export function isCarefulReader(offMm: readonly number[]): boolean {
  const newest = offMm.slice(-CAREFUL_READINGS);
  return (
    newest.length === CAREFUL_READINGS && newest.every((off) => Math.abs(off) <= CAREFUL_MM + ROUNDING_MM)
  );
}
