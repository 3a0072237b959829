import type mysql from 'mysql2/promise';

const READINGS_PER_UNIT = 84;
const UNITS = 12;

/** Fills the database with other experiments until it holds about `target` readings; gives their number. */
export async function fillTo(connection: mysql.Connection, target: number): Promise<number> {
  const count = async (): Promise<number> => {
    const [rows] = await connection.query('SELECT COUNT(*) AS n FROM reading');
    return (rows as { n: number }[])[0]?.n ?? 0;
  };
  const experiments = Math.ceil((target - (await count())) / (READINGS_PER_UNIT * UNITS));
  if (experiments > 0) await addExperiments(connection, experiments);
  await connection.query('ANALYZE TABLE reading, unit, experiment');
  return count();
}

async function addExperiments(connection: mysql.Connection, experiments: number): Promise<void> {
  const run = (sql: string): Promise<unknown> => connection.query(sql);
  await run('CREATE TEMPORARY TABLE fresh (id uuid PRIMARY KEY)');
  await run(`INSERT INTO fresh SELECT UUID() FROM seq_1_to_${experiments}`);
  await run(`INSERT INTO experiment
    (id, teacher_id, status, question, crop_name, sow_on, lesson_on, replicates, seeds_per_unit, layout_seed, discarded_at)
    SELECT id, (SELECT id FROM teacher LIMIT 1), 'finished', 'filling', 'Oat', '2025-01-06', '2025-04-01', 6, 1, 1, NOW()
    FROM fresh`);
  await run(`INSERT INTO container (id, experiment_id, position, kind, grid_rows, grid_columns)
    SELECT UUID(), id, 0, 'cups', 3, 5 FROM fresh`);
  await run(`INSERT INTO treatment
    SELECT UUID(), id, s.seq - 1, 'A', CONCAT('T', s.seq), 0 FROM fresh, seq_1_to_2 s`);
  await run("INSERT INTO variable SELECT UUID(), id, 0, 'height', 'length', 'cm', 0.5 FROM fresh");
  await run(`INSERT INTO unit
    (id, experiment_id, number, container_id, place_row, place_column, treatment_id, replicate, sown_on)
    SELECT UUID(), f.id, s.seq, c.id, 1 + (s.seq - 1) DIV 5, 1 + (s.seq - 1) MOD 5, t.id, 1 + (s.seq - 1) DIV 2, '2025-01-06'
    FROM fresh f JOIN seq_1_to_${UNITS} s JOIN container c ON c.experiment_id = f.id
    JOIN treatment t ON t.experiment_id = f.id AND t.position = s.seq MOD 2`);
  await run(`INSERT INTO reading
    (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`, observer)
    SELECT UUID(), u.id, v.id, '2025-01-06' + INTERVAL s.seq DAY, 'emerged', s.seq * 2 + u.number, '1', 'cm', 0.5, 'filling'
    FROM fresh f JOIN unit u ON u.experiment_id = f.id JOIN variable v ON v.experiment_id = f.id
    JOIN seq_1_to_${READINGS_PER_UNIT} s`);
  await run('DROP TEMPORARY TABLE fresh');
}
