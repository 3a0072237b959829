/**
 * What a reading says of its unit. Never a zero, never a blank that could be either:
 * `not_emerged` nothing to see yet, `emerged` a plant (with or without a value), `dead`,
 * `removed` thinned or knocked over, `not_read` nobody looked (absent, forgotten).
 */
export const READING_STATES = ['not_emerged', 'emerged', 'dead', 'removed', 'not_read'] as const;

/** One of {@link READING_STATES}. */
export type ReadingState = (typeof READING_STATES)[number];
