/** The teacher of the made-up school. */
export const DEMO_TEACHER = {
  displayName: 'Ms Tansy Holloway',
  timeZone: 'UTC',
} as const;

/** Address that the demo teacher signs in with; the password is made on each machine. */
export const DEMO_EMAIL = 'tansy.holloway@fernhollow.example';
