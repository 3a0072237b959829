/** What a finished packet test among the experiments found of a lot. */
export interface ExperimentTestRow {
  readonly lotId: string;
  readonly observedOn: string;
  readonly sown: string;
  readonly up: string;
}

/**
 * Seeds sown and up in the finished packet tests of a teacher, by lot. A unit counts by the last reading that
 * was not corrected; "not up" counts as 0, a unit never read is left out.
 */
export const EXPERIMENT_TESTS = `
  SELECT lotId, MAX(observed_on) AS observedOn, SUM(seeds_sown) AS sown, SUM(up) AS up
  FROM (
    SELECT JSON_VALUE(e.plan_document, '$.lotId') AS lotId, e.id AS experimentId, u.seeds_sown, r.observed_on,
           LEAST(IF(r.state = 'emerged', COALESCE(r.value, 0), 0), u.seeds_sown) AS up,
           ROW_NUMBER() OVER (PARTITION BY u.id ORDER BY r.observed_on DESC, r.recorded_at DESC) AS place
    FROM experiment e
    JOIN unit u ON u.experiment_id = e.id AND u.seeds_sown > 0
    JOIN variable v ON v.experiment_id = e.id AND v.name = 'seeds up'
    JOIN reading r ON r.unit_id = u.id AND r.variable_id = v.id AND r.state IN ('emerged', 'not_emerged')
    LEFT JOIN reading newer ON newer.supersedes_id = r.id
    WHERE e.teacher_id = ? AND e.status = 'finished' AND e.discarded_at IS NULL
      AND JSON_VALUE(e.plan_document, '$.kind') = 'packet_test' AND newer.id IS NULL
  ) AS latest
  WHERE place = 1 AND lotId IS NOT NULL
  GROUP BY lotId, experimentId`;
