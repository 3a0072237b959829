/** The fewest characters of a new password. */
export const LEAST_PASSWORD = 12;

/** The most characters of a password. */
export const MOST_PASSWORD = 200;
