import { ROUTES } from '@bright-sprout/contract/routes';
import { fillPath, includesRight, rightFor, type Right, type Route } from '@bright-sprout/contract/shared';
import { SHARED_RIGHTS } from '@bright-sprout/contract/sharing';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, startSown } from './testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from './testing/server.ts';

let server: TestServer;
let owner: Client;
let params: Record<string, string>;

beforeAll(async () => {
  server = await startTestServer();
  owner = await server.teacher();
  const classId = uuid();
  await owner.put(`/api/classes/${classId}`).send(CLASS).expect(200);
  const experiment = await startSown(owner);
  await owner.put(`/api/experiments/${experiment.id}/class`).send({ classId, units: [] }).expect(200);
  params = { classId, experimentId: experiment.id, taskKey: 'lesson', dayKey: '2026-01-01', offsetKey: '0' };
});
afterAll(() => server.close());

const shareable = (Object.entries(ROUTES) as [string, Route][]).filter(
  ([, route]) => rightFor(route) && /:(experimentId|classId)\b/.test(route.path),
);

/** What ends what the test goes by, or never ends. */
const NOT_WALKED = ['leaveClass', 'leaveExperiment', 'changes'];

async function codeOf(client: Client, route: Route): Promise<string> {
  const names = [...route.path.matchAll(/:(\w+)/g)].map(([, name]) => name!);
  const ids = Object.fromEntries(names.map((name) => [name, params[name] ?? uuid()]));
  const method = route.method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
  const request = client[method](`/api${fillPath(route.path, ids)}`);
  const { body } = await (route.body ? request.send({}) : request);
  return (body as { code?: string } | undefined)?.code ?? '';
}

async function rows(): Promise<string> {
  const tables = ['school_class', 'student', 'experiment', 'unit', 'reading', 'share', 'task'];
  return JSON.stringify(await Promise.all(tables.map((table) => server.query(`SELECT * FROM ${table}`))));
}

describe.each(SHARED_RIGHTS)('a co-teacher who may %s', (may) => {
  test.each(['classes', 'experiments'] as const)('%s is let into just what the table says', async (kind) => {
    const guest = await server.teacher();
    const path = kind === 'classes' ? `classes/${params.classId}` : `experiments/${params.experimentId}`;
    const { code } = (await owner.put(`/api/${path}/shares/${uuid()}`).send({ may }).expect(200)).body;
    await guest.put(`/api/invitations/${code}/taken`).expect(200);
    const wrong: string[] = [];
    const refusals: Record<Right, string> = { see: '', change: 'see_only', own: 'owner_only' };
    for (const [name, route] of shareable) {
      if (NOT_WALKED.includes(name)) continue;
      if (kind === 'experiments' && !route.path.includes(':experimentId')) continue;
      const needed = rightFor(route)!;
      if (includesRight(may, needed)) {
        if (route.method === 'DELETE') continue;
        const said = await codeOf(guest, route);
        if (['see_only', 'owner_only', 'not_signed_in'].includes(said)) wrong.push(`${name}: ${said}`);
        continue;
      }
      const before = await rows();
      const said = await codeOf(guest, route);
      if (said !== refusals[needed]) wrong.push(`${name}: ${said}`);
      if ((await rows()) !== before) wrong.push(`${name}: changed something`);
    }
    expect(wrong).toEqual([]);
  });
});

test('what only an owner may do is said to a co-teacher, and a stranger is told nothing', () => {
  const own = shareable.filter(([, { access }]) => access === 'own').map(([name]) => name);
  expect(own).toEqual(
    expect.arrayContaining([
      'discard',
      'removeClass',
      'keptOfClass',
      'shareClass',
      'handOverClass',
      'runInClass',
    ]),
  );
  expect(
    shareable.filter(([, { method, access }]) => method !== 'GET' && access === 'see').map(([name]) => name),
  ).toEqual(['leaveClass', 'leaveExperiment', 'copy']);
});
