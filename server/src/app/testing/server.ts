import { MOST_PART_BYTES } from '@bright-sprout/core/shared';
import { randomBytes } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import mysql from 'mysql2/promise';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import type { Settings } from '../../shared/index.ts';
import { createApp } from '../create-app.ts';
import { migrate } from '../migrate.ts';
import { answerCheck } from './hold-answers.ts';

/** A server of its own on a database of its own, for one test file. */
export interface TestServer {
  readonly app: NestExpressApplication;
  readonly databaseUrl: string;
  /** Operations that were answered with success. Every JSON answer is held to its schema. */
  readonly answered: ReadonlySet<string>;
  /** A client that keeps its cookie, as one browser does. */
  client(): Client;
  /** A client that is signed in as a new teacher. */
  teacher(name?: string): Promise<Client>;
  query<T = Record<string, unknown>>(sql: string, values?: unknown[]): Promise<T[]>;
  close(): Promise<void>;
}

/** One browser. */
export type Client = ReturnType<typeof supertest.agent>;

let teachers = 0;

/** Starts a server on a new, migrated database. @param wayTo the address by which the server reaches it */
export async function startTestServer(
  settings: Partial<
    Pick<
      Settings,
      | 'logLevel'
      | 'signInTries'
      | 'writesAMinute'
      | 'beatMs'
      | 'registration'
      | 'invitation'
      | 'trustedProxies'
    >
  > = {},
  wayTo: (databaseUrl: string) => Promise<string> = (databaseUrl) => Promise.resolve(databaseUrl),
): Promise<TestServer> {
  const rootUrl = process.env.BRIGHT_SPROUT_TEST_DB_URL;
  if (!rootUrl) throw new Error('run the tests with npm test or npm run unit: they start the database');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const root = await mysql.createConnection(rootUrl);
  await root.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  const databaseUrl = rootUrl.replace(/\/mysql$/, `/${name}`);
  await migrate(databaseUrl);
  const app = await createApp({
    host: '127.0.0.1',
    port: 0,
    databaseUrl: await wayTo(databaseUrl),
    webFolder: '',
    logLevel: settings.logLevel ?? 'silent',
    signInTries: settings.signInTries ?? 1000,
    signInWindowMs: 60_000,
    writesAMinute: settings.writesAMinute ?? 1_000_000,
    tls: null,
    beatMs: settings.beatMs ?? 15_000,
    registration: settings.registration ?? 'open',
    invitation: settings.invitation ?? '',
    trustedProxies: settings.trustedProxies ?? 0,
  });
  await app.listen(0, '127.0.0.1');
  const check = answerCheck();
  const client = (): Client => {
    const agent = supertest.agent(app.getHttpServer());
    agent.use((request: supertest.Test) => {
      request.on('response', (answer: supertest.Response) =>
        check.hold(request.method, new URL(request.url).pathname, answer),
      );
    });
    return agent;
  };
  return {
    app,
    databaseUrl,
    answered: check.seen,
    client,
    teacher: async (displayName = 'Teacher') => {
      const own = client();
      teachers += 1;
      const email = `teacher-${teachers}@school.example`;
      const body = { email, displayName, password: 'a long enough password', timeZone: 'UTC' };
      await own.post('/api/teachers').send(body).expect(200);
      return own;
    },
    query: async (sql, values = []) => {
      await root.query(`USE ${name}`);
      const [rows] = await root.query(sql, values);
      return rows as never;
    },
    close: async () => {
      await app.close();
      await root.query(`DROP DATABASE ${name}`);
      await root.end();
      check.assertAllFit();
    },
  };
}

/** Sends a file in parts, as a device does, and gives how a request names it. */
export async function sendFile(
  client: Client,
  file: string | Uint8Array,
  address = '/api/uploads',
): Promise<{ uploadId: string; size: number }> {
  const bytes = Buffer.from(file);
  const uploadId = uuid();
  for (let at = 0; at < bytes.length; at += MOST_PART_BYTES) {
    await client
      .put(`${address}/${uploadId}/parts/${at}`)
      .type('application/octet-stream')
      .send(bytes.subarray(at, at + MOST_PART_BYTES))
      .expect(204);
  }
  return { uploadId, size: bytes.length };
}

/** The bytes of a file that is answered. */
export async function bytesOf(client: Client, path: string): Promise<Buffer> {
  const answer = await client
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  return answer.body as Buffer;
}
