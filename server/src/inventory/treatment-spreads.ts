/** Pots of one treatment of a finished experiment, by the last height of each that still counts. */
export const TREATMENT_SPREADS = `
  SELECT e.crop_id AS cropId, COUNT(*) AS pots, VAR_SAMP(LN(r.value)) AS variance
  FROM experiment e
  JOIN variable v ON v.experiment_id = e.id AND v.position = 0 AND v.kind = 'length'
  JOIN unit u ON u.experiment_id = e.id
  JOIN reading r ON r.unit_id = u.id AND r.variable_id = v.id AND r.value > 0
    AND r.observed_on = (
      SELECT MAX(l.observed_on) FROM reading l WHERE l.unit_id = u.id AND l.variable_id = v.id
    )
  WHERE e.teacher_id = ? AND e.status = 'finished' AND e.crop_id IS NOT NULL
    AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)
    AND NOT EXISTS (SELECT 1 FROM set_aside s WHERE s.reading_id = r.id AND s.lifted_at IS NULL)
  GROUP BY e.crop_id, u.treatment_id
  HAVING COUNT(*) > 1`;

/** A row of {@link TREATMENT_SPREADS}. */
export interface TreatmentSpreadRow {
  readonly cropId: string;
  readonly pots: string;
  /** Of the natural logarithms of heights. */
  readonly variance: number;
}
