import { ROUTES } from '@bright-sprout/contract/routes';
import { fillPath, type Route } from '@bright-sprout/contract/shared';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { readingOf, startSown } from './testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from './testing/server.ts';

/** A route as the web framework keeps it. */
interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
}

let server: TestServer;
let owner: Client;
let experimentId: string;

beforeAll(async () => {
  server = await startTestServer();
  owner = await server.teacher();
  const experiment = await startSown(owner);
  experimentId = experiment.id;
  await owner
    .put(`/api/experiments/${experimentId}/readings/${uuid()}`)
    .send(readingOf(experiment, 0))
    .expect(200);
});
afterAll(() => server.close());

const routes = Object.entries(ROUTES) as [string, Route][];
const closed = routes.filter(([, route]) => route.access !== 'anyone');
const owned = routes.filter(([, route]) => route.access === 'owner');

function send(client: Client, route: Route) {
  const path = `/api${fillPath(route.path, { experimentId, newExperimentId: uuid(), readingId: uuid() })}`;
  const method = route.method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
  const request = client[method](path);
  return route.body ? request.send({}) : request;
}

/** Everything that belongs to the experiment, to see that nothing was touched. */
async function everything(): Promise<string> {
  const tables = ['experiment', 'factor', 'treatment', 'container', 'unit', 'variable', 'reading'];
  const rows = await Promise.all(tables.map((table) => server.query(`SELECT * FROM ${table} ORDER BY id`)));
  return JSON.stringify(rows);
}

describe('every route', () => {
  test.each(closed)('%s is closed to nobody in particular', async (_, route) => {
    const answer = await send(server.client(), route);
    expect([answer.status, answer.body.code]).toEqual([401, 'not_signed_in']);
  });

  test.each(owned)('%s of another teacher is as if it were not there', async (_, route) => {
    const before = await everything();
    const stranger = await server.teacher();
    const answer = await send(stranger, route);
    expect([answer.status, answer.body.code]).toEqual([404, 'not_found']);
    expect(await everything()).toBe(before);
  });

  test.each(routes.filter(([, route]) => route.method !== 'GET'))(
    '%s refuses a write from another site',
    async (_, route) => {
      for (const [header, value] of [
        ['Origin', 'https://elsewhere.example'],
        ['Sec-Fetch-Site', 'cross-site'],
        ['Origin', 'null'],
      ] as const) {
        const answer = await send(owner, route).set(header, value);
        expect([answer.status, answer.body.code]).toEqual([403, 'cross_site']);
      }
    },
  );

  test.each(owned)('%s with an id that is none', async (_, route) => {
    const path = `/api${fillPath(route.path, { experimentId: "1' OR '1'='1", readingId: 'x' })}`;
    const answer = await owner[route.method.toLowerCase() as 'get'](path).send(route.body ? {} : undefined);
    expect(answer.status).toBe(404);
  });

  test('an owner route names the experiment in its path, and every route of the server is in the table', () => {
    for (const [name, route] of owned)
      expect([name, route.path.includes(':experimentId')]).toEqual([name, true]);
    const { stack } = server.app.getHttpAdapter().getInstance().router as unknown as { stack: Layer[] };
    const served = stack.flatMap((layer) =>
      layer.route
        ? Object.keys(layer.route.methods).map((method) => `${method.toUpperCase()} ${layer.route!.path}`)
        : [],
    );
    expect(served.sort()).toEqual(routes.map(([, route]) => `${route.method} /api${route.path}`).sort());
  });
});

describe('the id of another teacher’s row', () => {
  test('cannot be taken over by starting or opening under it', async () => {
    const stranger = await server.teacher();
    const started = await stranger
      .put(`/api/experiments/${experimentId}`)
      .send({ question: 'Mine?', cropId: 'oat' });
    expect([started.status, started.body.code]).toEqual([409, 'id_in_use']);
    const text = 'unit,treatment,observed,value,unit_of_measure\n1,x,2026-01-05,3,cm\n2,y,2026-01-05,4,cm';
    const opened = await stranger.put(`/api/files/${experimentId}`).send({ fileName: 'a.csv', text });
    expect([opened.status, opened.body.code]).toEqual([409, 'id_in_use']);
  });

  test('cannot be read into one’s own experiment', async () => {
    const stranger = await server.teacher();
    const own = await startSown(stranger);
    const foreign = (await owner.get(`/api/experiments/${experimentId}`)).body;
    for (const changes of [{ unitId: foreign.units[0].id }, { variableId: foreign.variables[0].id }]) {
      const answer = await stranger
        .put(`/api/experiments/${own.id}/readings/${uuid()}`)
        .send(readingOf(own, 0, changes));
      expect(answer.status).toBe(404);
    }
    const [reading] = (await owner.get(`/api/experiments/${experimentId}/readings`)).body;
    const correction = readingOf(own, 0, { supersedesId: reading.id });
    await stranger.put(`/api/experiments/${own.id}/readings/${uuid()}`).send(correction).expect(400);
    const compared = await stranger.get(
      `/api/experiments/${own.id}/comparison?variableId=${foreign.variables[0].id}`,
    );
    expect(compared.status).toBe(404);
  });
});
