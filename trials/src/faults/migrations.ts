import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { built, type PrivateDatabase, ROOT, startPrivateDatabase } from '@bright-sprout/scripts';
import mysql from 'mysql2/promise';
import type { Outcome } from '../report.ts';

/**
 * The change of the schema is cut short at every statement of every migration, and started again; two servers change it
 * at once; an older dump is brought up to date; a newer database is left alone.
 */
export async function tryMigrations(isShort: boolean): Promise<Outcome[]> {
  const folder = mkdtempSync(join(tmpdir(), 'sprout-migrations-'));
  const database = await startPrivateDatabase(folder, { durable: false });
  try {
    const trial = new Trial(database);
    return [await trial.cutAtEach(isShort), await trial.twoAtOnce(), await trial.newerIsLeft()];
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Far more than all migrations have. */
const MOST_STATEMENTS = 400;

interface Ended {
  readonly code: number;
  readonly output: string;
  readonly wasKilled: boolean;
}

class Trial {
  readonly #database: PrivateDatabase;

  constructor(database: PrivateDatabase) {
    this.#database = database;
  }

  async cutAtEach(isShort: boolean): Promise<Outcome> {
    const whole = await this.#fresh('entire');
    await this.#migrate(whole);
    const wanted = await this.#schema('entire');
    const faults: string[] = [];
    let cuts = 0;
    let statement = 1;
    for (; statement < MOST_STATEMENTS; statement += isShort ? 9 : 1) {
      const url = await this.#fresh('cut_short');
      const { code, output, wasKilled } = await this.#migrate(url, {
        BRIGHT_SPROUT_CUT_AT: String(statement),
      });
      if (code === 0) break;
      if (!wasKilled) {
        faults.push(`at statement ${statement}: ${output.slice(-300)}`);
        break;
      }
      cuts += 1;
      const again = await this.#migrate(url, {});
      if (again.code !== 0) faults.push(`after statement ${statement}: ${again.output.slice(-300)}`);
      else if ((await this.#schema('cut_short')) !== wanted)
        faults.push(`after statement ${statement} the schema is another`);
    }
    if (cuts < 5) faults.push('hardly anything was cut: the trial tries nothing');
    return { name: 'migration cut at each statement', figures: { cuts: cuts, wrong: faults.length }, faults };
  }

  async twoAtOnce(): Promise<Outcome> {
    const wanted = await this.#schema('entire');
    const url = await this.#fresh('pair');
    const both = await Promise.all([this.#migrate(url), this.#migrate(url)]);
    const faults = both.filter(({ code }) => code !== 0).map(({ output }) => output.slice(-300));
    if ((await this.#schema('pair')) !== wanted) faults.push('the schema is another');
    return { name: 'two servers migrate at once', figures: { wrong: faults.length }, faults };
  }

  async newerIsLeft(): Promise<Outcome> {
    const url = await this.#fresh('newer');
    await this.#migrate(url);
    await this.#query(
      'newer',
      "INSERT INTO migrations (timestamp, name) VALUES (1900000000000, 'Later1900000000000')",
    );
    const before = await this.#schema('newer');
    const { code, output } = await this.#migrate(url);
    const faults = [
      ...(code === 0 ? ['it was not refused'] : []),
      ...(output.includes('later version of Bright Sprout') ? [] : [`its words were: ${output.slice(-200)}`]),
      ...((await this.#schema('newer')) === before ? [] : ['it was changed']),
    ];
    return { name: 'older code, newer data', figures: { wrong: faults.length }, faults };
  }

  async #fresh(name: string): Promise<string> {
    await this.#query('mysql', `DROP DATABASE IF EXISTS ${name}`);
    await this.#query('mysql', `CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
    return this.#database.rootUrl.replace(/\/mysql$/, `/${name}`);
  }

  async #schema(name: string): Promise<string> {
    const rows = await this.#query(
      'mysql',
      `SELECT CONCAT_WS('|', table_name, column_name, column_type, is_nullable, column_default) AS line FROM information_schema.columns WHERE table_schema = '${name}'
       UNION ALL SELECT CONCAT_WS('|', table_name, constraint_name, constraint_type) FROM information_schema.table_constraints WHERE table_schema = '${name}'
       UNION ALL SELECT CONCAT_WS('|', table_name, index_name, seq_in_index, column_name) FROM information_schema.statistics WHERE table_schema = '${name}'
       ORDER BY line`,
    );
    return JSON.stringify(rows);
  }

  async #query(name: string, sql: string): Promise<unknown> {
    const connection = await mysql.createConnection(this.#database.rootUrl.replace(/\/mysql$/, `/${name}`));
    try {
      return (await connection.query(sql))[0];
    } finally {
      await connection.end();
    }
  }

  /** Runs the built migration; told to, it kills itself before a statement, as a power cut would. */
  #migrate(url: string, env: Readonly<Record<string, string>> = {}): Promise<Ended> {
    const killer = join(ROOT, 'trials', 'cut-statements.mjs');
    return new Promise((resolve) => {
      const child = spawn(process.execPath, ['--import', killer, built(ROOT, 'run-migrate.js')], {
        env: {
          ...process.env,
          BRIGHT_SPROUT_MIGRATION_DB_URL: url,
          BRIGHT_SPROUT_LEASE_SECONDS: '1',
          ...env,
        },
      });
      let output = '';
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (part: Buffer) => (output += part.toString()));
      child.once('close', (code, signal) =>
        resolve({ code: code ?? 1, output, wasKilled: signal === 'SIGKILL' }),
      );
    });
  }
}
