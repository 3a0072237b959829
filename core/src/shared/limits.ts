/** The most values that a device sends at once. */
export const MOST_DEVICE_SAMPLES = 250;

/** The largest picture that is taken, in bytes; devices send far smaller ones. */
export const MOST_PICTURE_BYTES = 2_000_000;

/** The most bytes of a photo that is measured: pixels are what it is for. */
export const MOST_PHOTO_BYTES = 6_000_000;

/** The most characters of a display name. */
export const MOST_NAME_CHARACTERS = 40;

/** The most students of a class. */
export const MOST_STUDENTS = 60;

/** The most characters of a claim, and of the reasoning. */
export const MOST_CLAIM_CHARACTERS = 600;

/** The most bytes of a file that go in one request; a device on a slow line sends smaller parts. */
export const MOST_PART_BYTES = 524_288;

/** The most bytes of an entry with the lines of its drawing. */
export const MOST_ENTRY_BYTES = 400_000;

/** The largest table that is taken, in bytes. */
export const MOST_FILE_BYTES = 30_000_000;

/** The largest bundle that is taken, in bytes: photos of each day make it large. */
export const MOST_BUNDLE_BYTES = 600_000_000;

/** The largest value of a unit that ends: a share, an angle from straight down, or a pH; undefined for others. */
export function largestIn(unit: string): number | undefined {
  return { '%': 100, '°': 180, pH: 14 }[unit];
}
