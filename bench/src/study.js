import { sideBySide } from "./timing.js";
const RUNS = 10;
const UNITS = 100;
const DAYS = 100;
const ROUNDS = 12;
const QUESTION = 'Pooled over ten classes?';
const FETCH = `SELECT r.unit_id AS unitId, r.observed_on AS day, r.state, r.value FROM reading r
  WHERE r.variable_id IN (?)
    AND NOT EXISTS (SELECT 1 FROM reading c WHERE c.supersedes_id = r.id)
    AND NOT EXISTS (SELECT 1 FROM set_aside s WHERE s.reading_id = r.id AND s.lifted_at IS NULL)
  ORDER BY r.recorded_at, r.id`;
/** Makes `runs` experiments of one plan, two treatments each, read every day. Gives their ids. */
export async function makeRuns(connection, question, { runs, units, days }) {
    const run = (sql, values = []) => connection.query(sql, values);
    await run('CREATE TEMPORARY TABLE fresh (id uuid PRIMARY KEY)');
    await run(`INSERT INTO fresh SELECT UUID() FROM seq_1_to_${runs}`);
    await run(`INSERT INTO experiment (id, teacher_id, status, question, crop_name, sow_on, lesson_on, replicates, seeds_per_unit, layout_seed)
     SELECT id, (SELECT id FROM teacher WHERE email LIKE 'tansy%' LIMIT 1), 'finished', ?, 'Oat', '2025-01-06', '2025-04-20', ${units / 2}, 1, 1 FROM fresh`, [question]);
    await run(`INSERT INTO container (id, experiment_id, position, kind, grid_rows, grid_columns)
    SELECT UUID(), id, 0, 'cups', ${units / 20}, 20 FROM fresh`);
    await run(`INSERT INTO treatment
    SELECT UUID(), id, s.seq - 1, 'A', CONCAT('T', s.seq), s.seq = 1 FROM fresh, seq_1_to_2 s`);
    await run("INSERT INTO variable SELECT UUID(), id, 0, 'height', 'length', 'mm', 1 FROM fresh");
    await run(`INSERT INTO unit
    (id, experiment_id, number, container_id, place_row, place_column, treatment_id, replicate, sown_on)
    SELECT UUID(), f.id, s.seq, c.id, 1 + (s.seq - 1) DIV 20, 1 + (s.seq - 1) MOD 20, t.id, 1 + (s.seq - 1) DIV 2, '2025-01-06'
    FROM fresh f JOIN seq_1_to_${units} s JOIN container c ON c.experiment_id = f.id
    JOIN treatment t ON t.experiment_id = f.id AND t.position = s.seq MOD 2`);
    await run(`INSERT INTO reading
    (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`, observer)
    SELECT UUID(), u.id, v.id, '2025-01-06' + INTERVAL s.seq DAY, 'emerged',
      ROUND((90 + (u.number * 7) MOD 23) / (1 + EXP(-0.2 * (CAST(s.seq AS SIGNED) - 20))), 1), '1', 'mm', 1, 'bench'
    FROM fresh f JOIN unit u ON u.experiment_id = f.id JOIN variable v ON v.experiment_id = f.id
    JOIN seq_1_to_${days} s`);
    const [rows] = await connection.query('SELECT id FROM fresh');
    await run('DROP TEMPORARY TABLE fresh');
    return rows.map(({ id }) => id);
}
/** Pools ten classes of 100 pots read on 100 days. */
export async function study(client, connection) {
    const ids = await makeRuns(connection, QUESTION, { runs: RUNS, units: UNITS, days: DAYS });
    await connection.query('ANALYZE TABLE reading, unit, experiment');
    const [variables] = await connection.query('SELECT id FROM variable WHERE experiment_id IN (?)', [ids]);
    const variableIds = variables.map(({ id }) => id);
    const times = await sideBySide(ROUNDS, () => client.get(`/experiments/${ids[0] ?? ''}/study`), () => connection.query(FETCH, [variableIds]));
    await connection.query('DELETE FROM experiment WHERE id IN (?)', [ids]);
    return { readings: RUNS * UNITS * DAYS, times };
}
//# sourceMappingURL=study.js.map