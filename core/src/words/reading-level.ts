/** Ages that words are chosen for. */
export const READING_LEVELS = ['5-7', '8-10', '11-13', '14+'] as const;
export type ReadingLevel = (typeof READING_LEVELS)[number];
