import type { MigrationInterface, QueryRunner } from 'typeorm';

/** States of a reading by the field's word, and the light that a crop needs spelled as all codes are. */
export class Emerged1700000000009 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await renamed(runner, { up: 'emerged', not_up: 'not_emerged' }, 14);
    await runner.query(light('needs-', 'needs_'));
  }

  async down(runner: QueryRunner): Promise<void> {
    await renamed(runner, { emerged: 'up', not_emerged: 'not_up' }, 14);
    await runner.query('ALTER TABLE reading MODIFY state varchar(10) NOT NULL');
    await runner.query(light('needs_', 'needs-'));
  }
}

/** Each state is changed in one statement, so that it can be tried again wherever it was stopped. */
async function renamed(
  runner: QueryRunner,
  names: Readonly<Record<string, string>>,
  length: number,
): Promise<void> {
  const all = [...Object.values(names), 'dead', 'removed', 'not_read'].map((name) => `'${name}'`).join(', ');
  const value = Object.values(names)[0];
  await runner.query(
    `ALTER TABLE reading DROP CONSTRAINT IF EXISTS ck_reading_state, DROP CONSTRAINT IF EXISTS ck_reading_value,
       MODIFY state varchar(${length}) NOT NULL`,
  );
  for (const [from, to] of Object.entries(names)) {
    await runner.query('UPDATE reading SET state = ? WHERE state = ?', [to, from]);
  }
  await runner.query(
    `ALTER TABLE reading ADD CONSTRAINT ck_reading_state CHECK (state IN (${all})),
       ADD CONSTRAINT ck_reading_value CHECK (value IS NULL OR state = '${value}')`,
  );
}

function light(from: string, to: string): string {
  return `UPDATE crop SET figures = REPLACE(figures, '"light":"${from}', '"light":"${to}') WHERE figures LIKE '%"light":"${from}%'`;
}
