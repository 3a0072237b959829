import { randomUUID } from 'node:crypto';
import type { DataSource } from 'typeorm';
import { isDeadlock } from '../shared/index.ts';

/** A lease that is not renewed for so long belongs to nobody: its holder was killed. */
const LASTS_SECONDS = Number(process.env.BRIGHT_SPROUT_LEASE_SECONDS ?? 15);
const RENEW_MS = LASTS_SECONDS * 250;

const TABLE = `
  CREATE TABLE IF NOT EXISTS migration_lease (
    name varchar(20) NOT NULL PRIMARY KEY,
    holder uuid NOT NULL,
    until datetime(3) NOT NULL
  ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`;

/** Takes the lease when nobody has it or its time is over. Its time is the database's own. */
const TAKE = `
  INSERT INTO migration_lease (name, holder, until) VALUES ('migrate', ?, NOW(3) + INTERVAL ? SECOND)
  ON DUPLICATE KEY UPDATE holder = IF(until < NOW(3), VALUES(holder), holder),
    until = IF(holder = VALUES(holder), VALUES(until), until)`;

/**
 * The right to change the schema. It is a row and no lock of the server's: nodes of a cluster have locks of their own,
 * and agree on rows.
 */
export class MigrationLease {
  readonly #source: DataSource;
  readonly #holder: string;
  readonly #timer: NodeJS.Timeout;

  private constructor(source: DataSource, holder: string) {
    this.#source = source;
    this.#holder = holder;
    this.#timer = setInterval(() => void claim(source, holder).catch(() => undefined), RENEW_MS);
  }

  /** Takes the lease; undefined while another holds it. */
  static async take(source: DataSource): Promise<MigrationLease | undefined> {
    const holder = randomUUID();
    await source.query(TABLE);
    return (await claim(source, holder)) ? new MigrationLease(source, holder) : undefined;
  }

  /** Gives the lease back. */
  async giveBack(): Promise<void> {
    clearInterval(this.#timer);
    await this.#source
      .query('DELETE FROM migration_lease WHERE holder = ?', [this.#holder])
      .catch(() => undefined);
  }
}

/** True when the lease is this holder's now. A node that was not first hears so at its commit. */
async function claim(source: DataSource, holder: string): Promise<boolean> {
  try {
    await source.query(TAKE, [holder, LASTS_SECONDS]);
    const rows = await source.query<{ holder: string }[]>('SELECT holder FROM migration_lease');
    return rows[0]?.holder === holder;
  } catch (thrown) {
    if (isDeadlock(thrown)) return false;
    throw thrown;
  }
}
