import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';
import type { ChangeEvent } from '@bright-sprout/contract/live';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { createApp } from '../app/create-app.ts';
import { CLASS, dayFromToday, readingOf, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';
import { type Audience, ChangesFeed } from './changes-feed.ts';

const QUIET_MS = 1400;

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;
let cookie = '';

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  experiment = await startSown(teacher);
  const body = {
    email: 'listener@school.example',
    displayName: 'L',
    password: 'a long enough password',
    timeZone: 'UTC',
  };
  const answer = await teacher.post('/api/teachers').send(body).expect(200);
  cookie = String(answer.headers['set-cookie']).split(';')[0]!;
  experiment = await startSown(teacher);
});
afterAll(() => server.close());

/** Listens to a stream until `enough` says so; gives the events. */
function listen(port: number, count: number, act: () => Promise<void>): Promise<string[]> {
  return new Promise((resolve, reject) => {
    const events: string[] = [];
    let isBegun = false;
    const path = `/api/experiments/${experiment.id}/changes`;
    const request = http.get({ port, path, host: '127.0.0.1', headers: { cookie } }, (response) => {
      response.setEncoding('utf8');
      response.on('data', (chunk: string) => {
        if (chunk.includes('event: beat') && !isBegun) {
          isBegun = true;
          act().catch(reject);
        }
        events.push(...[...chunk.matchAll(/^event: change\ndata: (.*)$/gm)].map(([, data]) => data!));
        if (events.length < count) return;
        // What is told twice comes within the next rounds.
        setTimeout(() => {
          request.destroy();
          resolve(events);
        }, QUIET_MS);
      });
    });
    request.on('error', (error) => events.length < count && reject(error));
  });
}

const portOf = (app: TestServer['app']): number => (app.getHttpServer().address() as AddressInfo).port;

describe('streams', () => {
  test('are as many as one teacher has windows, and no more', async () => {
    const path = `/api/experiments/${experiment.id}/changes`;
    const open: http.ClientRequest[] = [];
    const statuses = await Promise.all(
      Array.from(
        { length: 14 },
        () =>
          new Promise<number>((resolve) => {
            const options = { port: portOf(server.app), path, host: '127.0.0.1', headers: { cookie } };
            const request = http.get(options, (response) => resolve(response.statusCode ?? 0));
            request.on('error', () => undefined);
            open.push(request);
          }),
      ),
    );
    for (const request of open) request.destroy();
    expect([
      statuses.filter((one) => one === 200).length,
      statuses.filter((one) => one === 503).length,
    ]).toEqual([12, 2]);
  });

  test('end with what let them in: a sign-out, or a new code of the class', async () => {
    const brief = await startTestServer({ beatMs: 100 });
    try {
      const owner = await brief.teacher();
      const own = await startSown(owner);
      const classId = uuid();
      await owner.put(`/api/classes/${classId}`).send(CLASS).expect(200);
      const { code } = (await owner.get('/api/classes')).body[0];
      const joined = await brief.client().post('/api/device').send({ code }).expect(200);
      const signedIn = await brief
        .client()
        .post('/api/session')
        .send({ email: (await owner.get('/api/session')).body.email, password: 'a long enough password' })
        .expect(200);
      const cookiesOf = (answer: { get(name: 'Set-Cookie'): string[] | undefined }): string =>
        (answer.get('Set-Cookie') ?? []).map((line) => line.split(';')[0]).join('; ');
      const ended = (path: string, header: string): Promise<void> =>
        new Promise((resolve) => {
          const options = { port: portOf(brief.app), path, host: '127.0.0.1', headers: { cookie: header } };
          http.get(options, (response) => response.on('end', resolve).resume());
        });
      const teacherStream = ended(`/api/experiments/${own.id}/changes`, cookiesOf(signedIn));
      const deviceStream = ended('/api/device/changes', cookiesOf(joined));
      await owner.delete('/api/sessions').expect(204);
      await teacherStream;
      await owner.post(`/api/classes/${classId}/code`).expect(200);
      await deviceStream;
    } finally {
      await brief.close();
    }
  });
});

describe('news of what was saved', () => {
  test('reaches a listener of another server on the same database', async () => {
    const other = await createApp({
      host: '127.0.0.1',
      port: 0,
      databaseUrl: server.databaseUrl,
      webFolder: '',
      logLevel: 'silent',
      signInTries: 1000,
      signInWindowMs: 60_000,
      writesAMinute: 100_000,
      tls: null,
      beatMs: 15_000,
      registration: 'open',
      invitation: '',
      trustedProxies: 0,
    });
    await other.listen(0, '127.0.0.1');
    const path = `/api/experiments/${experiment.id}`;
    const events = await listen(portOf(other), 2, async () => {
      await teacher.put(`${path}/readings/${uuid()}`).send(readingOf(experiment, 0)).expect(200);
      const care = { kind: 'turned', happenedOn: dayFromToday(0), unitIds: null, amount: null, note: '' };
      await teacher.put(`${path}/care/${uuid()}`).send(care).expect(200);
    });
    const told = events.map((event) => JSON.parse(event) as ChangeEvent);
    expect(told.sort((a, b) => (a.thing < b.thing ? -1 : 1))).toMatchObject([
      { experimentId: experiment.id, thing: 'care' },
      { experimentId: experiment.id, thing: 'readings', readings: [{ value: 42.5, counts: true }] },
    ]);
    await other.close();
  });

  test('says nothing of other experiments, and each thing once', async () => {
    const foreign = await startSown(teacher);
    const events = await listen(portOf(server.app), 1, async () => {
      await teacher
        .put(`/api/experiments/${foreign.id}/readings/${uuid()}`)
        .send(readingOf(foreign, 0))
        .expect(200);
      await teacher
        .put(`/api/experiments/${experiment.id}/readings/${uuid()}`)
        .send(readingOf(experiment, 1))
        .expect(200);
    });
    const kept = (await teacher.get(`/api/experiments/${experiment.id}/readings`)).body as { id: string }[];
    expect(events).toEqual([
      JSON.stringify({ experimentId: experiment.id, thing: 'readings', readings: [kept.at(-1)] }),
    ]);
  });

  test('is of readings whole for a teacher, without names and values for a device, and brief when many come', async () => {
    const feed = server.app.get(ChangesFeed);
    const heard: Record<Audience, ChangeEvent[]> = { teacher: [], device: [] };
    const stops = await Promise.all(
      (['teacher', 'device'] as const).map((audience) =>
        feed.listen(new Set([experiment.id]), audience, (data) =>
          heard[audience].push(JSON.parse(data) as ChangeEvent),
        ),
      ),
    );
    const keep = (unit: number, id = uuid(), changes = {}) =>
      teacher
        .put(`/api/experiments/${experiment.id}/readings/${id}`)
        .send(readingOf(experiment, unit, changes))
        .expect(200);
    const first = uuid();
    await keep(2, first);
    await pause(QUIET_MS);
    await keep(2, uuid(), { value: 44, supersedesId: first });
    await pause(QUIET_MS);
    const before = heard.device.length;
    const unit = { unitId: experiment.units[2]!.id, state: 'emerged' };
    expect(heard.device.map(({ read }) => read)).toMatchObject([
      [{ ...unit, isCorrection: false }],
      [{ ...unit, isCorrection: true }],
    ]);
    expect(JSON.stringify(heard.device)).not.toMatch(/observer|value|Ms|entered/);
    expect(heard.teacher.map(({ readings }) => readings?.map(({ value }) => value))).toEqual([[42.5], [44]]);
    await Promise.all(Array.from({ length: 80 }, () => keep(3)));
    await pause(2 * QUIET_MS);
    const told = heard.device.slice(before);
    expect(told.length).toBeLessThan(10);
    expect(told.reduce((sum, { read }) => sum + (read?.length ?? 80), 0)).toBeGreaterThanOrEqual(80);
    for (const stop of stops) stop();
  });

  test('of a reading that was set aside asks for all to be fetched', async () => {
    const id = uuid();
    const path = `/api/experiments/${experiment.id}/readings/${id}`;
    await teacher.put(path).send(readingOf(experiment, 1)).expect(200);
    const [event] = await listen(portOf(server.app), 1, async () => {
      await teacher.put(`${path}/set-aside`).send({ reason: 'bent' }).expect(200);
    });
    expect(JSON.parse(event!)).toEqual({ experimentId: experiment.id, thing: 'readings' });
  });

  test('is told of each tick, board and vote, though one follows the other at once', async () => {
    const path = `/api/experiments/${experiment.id}`;
    const showing = {
      boardId: uuid(),
      isBlank: false,
      isRevealed: false,
      hidesTreatments: false,
      order: 'height',
      level: '8-10',
      day: dayFromToday(0),
    };
    const poll = { prompt: 'Which?', choices: ['A', 'B'], isOpen: true, hands: [0, 0] };
    const pollId = uuid();
    const heard: string[] = [];
    const stop = await server.app
      .get(ChangesFeed)
      .listen(new Set([experiment.id]), 'teacher', (data) =>
        heard.push((JSON.parse(data) as ChangeEvent).thing),
      );
    const act = async (round: number): Promise<void> => {
      const unitIds = [experiment.units[round]!.id];
      await teacher.put(`${path}/sowing/ticks`).send({ unitIds, item: 'label', isDone: true }).expect(200);
      await teacher
        .put(`${path}/lesson/showing`)
        .send({ ...showing, isBlank: round > 0 })
        .expect(200);
      await teacher
        .put(`${path}/polls/${pollId}`)
        .send({ ...poll, hands: [round, 0] })
        .expect(200);
    };
    await act(0);
    await pause(QUIET_MS);
    await act(1);
    await pause(QUIET_MS);
    stop();
    expect(heard.sort()).toEqual(['lesson', 'lesson', 'poll', 'poll', 'sowing', 'sowing']);
  });
});
