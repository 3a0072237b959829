import { monitorEventLoopDelay } from 'node:perf_hooks';
import type { ExperimentView } from '@bright-sprout/contract/plan';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS } from './testing/experiments.ts';
import { largestClass, LARGEST } from './testing/largest-class.ts';
import { type Client, startTestServer, type TestServer } from './testing/server.ts';

/** The longest that any request may hold the others up. */
const MOST_HELD_MS = 100;

/** Chance may hold a process up once; what a request does itself, it does each time. */
const ATTEMPTS = 3;

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;
let device: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  experiment = await largestClass(teacher, (sql, values) => server.query(sql, values));
  const classId = uuid();
  const { code } = (
    await teacher
      .put(`/api/classes/${classId}`)
      .send({ ...CLASS, timeZone: 'UTC' })
      .expect(200)
  ).body;
  const students = [{ id: uuid(), displayName: 'Ada', tile: 'fox', teamId: null }];
  await teacher.put(`/api/classes/${classId}/roster`).send({ teams: [], students }).expect(200);
  await teacher.put(`/api/experiments/${experiment.id}/class`).send({ classId, units: [] }).expect(200);
  device = server.client();
  await device.post('/api/door').send({ code }).expect(200);
  await device.put('/api/door/student').send({ studentId: students[0]!.id }).expect(200);
}, 120_000);
afterAll(() => server.close());

interface Got {
  readonly status: number;
  readonly bytes: Buffer;
  readonly heldMs: number;
}

/** Gets something, and how long the event loop was held meanwhile at most, at the best of some attempts. */
async function get(client: Client, path: string): Promise<Got> {
  let best = await getOnce(client, path);
  for (let attempt = 1; attempt < ATTEMPTS && best.heldMs >= MOST_HELD_MS; attempt += 1) {
    const next = await getOnce(client, path);
    if (next.heldMs < best.heldMs) best = next;
  }
  return best;
}

async function getOnce(client: Client, path: string): Promise<Got> {
  const parts: Buffer[] = [];
  const held = monitorEventLoopDelay({ resolution: 5 });
  held.enable();
  const { status } = await client
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, ''));
    });
  held.disable();
  return { status, bytes: Buffer.concat(parts), heldMs: held.max / 1e6 };
}

const path = (end: string): string => `/api/experiments/${experiment.id}/${end}`;
const READINGS = LARGEST.pots * LARGEST.days;

describe('the largest class', () => {
  test.each(['comparison?parts=answer', 'readings', 'tidy.csv', 'tidy.xlsx'])(
    'is answered whole by %s while others are answered',
    async (end) => {
      const { status, bytes, heldMs } = await get(teacher, path(end));
      expect(status).toBe(200);
      expect(heldMs).toBeLessThan(MOST_HELD_MS);
      if (end === 'readings') expect(JSON.parse(bytes.toString())).toHaveLength(READINGS);
      if (end === 'tidy.csv') expect(bytes.toString().trim().split('\r\n')).toHaveLength(READINGS + 1);
      if (end.startsWith('comparison')) {
        const { groups, readDays } = JSON.parse(bytes.toString()) as {
          groups: { points: unknown[] }[];
          readDays: string[];
        };
        expect([groups.map(({ points }) => points.length), readDays.length]).toEqual([
          [200, 200],
          LARGEST.days,
        ]);
      }
    },
    120_000,
  );

  test('shows a tablet its pots with what was read last', async () => {
    const { bytes, heldMs } = await get(device, '/api/door/pots');
    const pots = JSON.parse(bytes.toString()) as { last: { value: number } | null }[];
    expect(pots).toHaveLength(LARGEST.pots);
    expect(pots.every(({ last }) => (last?.value ?? 0) > 1000)).toBe(true);
    expect(heldMs).toBeLessThan(MOST_HELD_MS);
  });
});
