import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A reading is put right once at most, and set aside once at a time: what came twice before is put in a row. */
export class OneCorrection1700000000006 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await chainCorrections(runner);
    await runner.query('CREATE UNIQUE INDEX IF NOT EXISTS uq_reading_supersedes ON reading (supersedes_id)');
    await runner.query('DROP INDEX IF EXISTS ix_reading_supersedes ON reading');
    await runner.query('ALTER TABLE set_aside ADD COLUMN IF NOT EXISTS is_active tinyint NULL');
    await runner.query(
      `UPDATE set_aside s JOIN set_aside earlier
         ON earlier.reading_id = s.reading_id AND earlier.lifted_at IS NULL
        AND (earlier.set_at < s.set_at OR (earlier.set_at = s.set_at AND earlier.id < s.id))
       SET s.lifted_at = s.set_at, s.lifted_by = s.by_name
       WHERE s.lifted_at IS NULL`,
    );
    await runner.query('UPDATE set_aside SET is_active = IF(lifted_at IS NULL, 1, NULL)');
    await runner.query(
      'CREATE UNIQUE INDEX IF NOT EXISTS uq_set_aside_active ON set_aside (reading_id, is_active)',
    );
    await runner.query('DROP INDEX IF EXISTS ix_set_aside_reading ON set_aside');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('CREATE INDEX IF NOT EXISTS ix_set_aside_reading ON set_aside (reading_id)');
    await runner.query('DROP INDEX IF EXISTS uq_set_aside_active ON set_aside');
    await runner.query('ALTER TABLE set_aside DROP COLUMN IF EXISTS is_active');
    await runner.query('CREATE INDEX IF NOT EXISTS ix_reading_supersedes ON reading (supersedes_id)');
    await runner.query('DROP INDEX IF EXISTS uq_reading_supersedes ON reading');
  }
}

/** Of several corrections of one reading each later one becomes a correction of what stood last before it. */
async function chainCorrections(runner: QueryRunner): Promise<void> {
  for (;;) {
    const again = (await runner.query(
      `SELECT r.id, r.supersedes_id AS supersedesId FROM reading r
       JOIN (SELECT supersedes_id FROM reading WHERE supersedes_id IS NOT NULL
             GROUP BY supersedes_id HAVING COUNT(*) > 1 LIMIT 1) twice ON twice.supersedes_id = r.supersedes_id
       ORDER BY r.recorded_at, r.id LIMIT 2`,
    )) as { id: string }[];
    const [first, second] = again;
    if (!first || !second) return;
    await runner.query('UPDATE reading SET supersedes_id = ? WHERE id = ?', [
      await lastOf(runner, first.id),
      second.id,
    ]);
  }
}

/** The reading that stands at the end of a row of corrections. */
async function lastOf(runner: QueryRunner, id: string): Promise<string> {
  const [next] = (await runner.query(
    'SELECT id FROM reading WHERE supersedes_id = ? ORDER BY recorded_at, id LIMIT 1',
    [id],
  )) as { id: string }[];
  return next ? lastOf(runner, next.id) : id;
}
