/**
 * A UUID made on a device (RFC 9562).
 * @format uuid
 */
export type Id = string;

/**
 * A plain date, YYYY-MM-DD.
 * @format date
 */
export type Day = string;

/**
 * An instant of RFC 3339.
 * @format date-time
 */
export type Instant = string;
