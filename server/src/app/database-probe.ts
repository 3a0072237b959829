import mysql from 'mysql2/promise';
import { addressesOf } from '../shared/index.ts';

/**
 * A statement that a node of a cluster refuses when it must not write, and that changes nothing. Its own connection
 * waits for nobody else's work.
 */
const PROBE = 'UPDATE sign_in_attempts SET points = 0 WHERE `key` = ?';
const READ_ONLY = 'SELECT @@global.read_only AS isReadOnly';
const CONNECT_MS = 2000;

/** Asks a database whether it can be written to, over lines of its own. */
export class DatabaseProbe {
  readonly #pool: mysql.Pool;

  constructor(databaseUrl: string) {
    const { url, connect } = addressesOf(databaseUrl);
    this.#pool = mysql.createPool({
      uri: url,
      stream: connect,
      connectionLimit: 2,
      connectTimeout: CONNECT_MS,
    });
  }

  /**
   * False when the database says that it cannot be written to.
   * @throws what the driver throws when it cannot be reached
   */
  async canWrite(): Promise<boolean> {
    await this.#pool.execute(PROBE, ['health']);
    const [rows] = await this.#pool.query(READ_ONLY);
    const [row] = rows as { isReadOnly: number | string }[];
    return ['0', 'OFF'].includes(String(row?.isReadOnly));
  }

  end(): Promise<void> {
    return this.#pool.end();
  }
}
