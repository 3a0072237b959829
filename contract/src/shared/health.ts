/** The answer of the health check: given only once the database answers. */
export interface HealthView {
  status: 'ok';
}
