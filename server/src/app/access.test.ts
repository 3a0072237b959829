import { ROUTES } from '@bright-sprout/contract/routes';
import { fillPath, OWNED_PARAMS, rightFor, type Route } from '@bright-sprout/contract/shared';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, CROP, keepOneOfEach, LOT, readingOf, SIZE, startSown } from './testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from './testing/server.ts';

/** A route as the web framework keeps it. */
interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
}

let server: TestServer;
let owner: Client;
let experimentId: string;
let params: Record<string, string>;

beforeAll(async () => {
  server = await startTestServer();
  owner = await server.teacher();
  const experiment = await startSown(owner);
  experimentId = experiment.id;
  params = {
    experimentId,
    classId: uuid(),
    lotId: uuid(),
    templateId: uuid(),
    sizeId: uuid(),
    taskKey: 'lesson',
    newCropId: uuid(),
  };
  await keepOneOfEach(owner, params);
  await owner
    .put(`/api/experiments/${experimentId}/readings/${uuid()}`)
    .send(readingOf(experiment, 0))
    .expect(200);
});
afterAll(() => server.close());

const OWNED_TABLES = [
  'experiment',
  'school_class',
  'team',
  'student',
  'seed_lot',
  'plan_template',
  'container_size',
];
const routes = Object.entries(ROUTES) as [string, Route][];
const closed = routes.filter(([, route]) => route.access !== 'anyone');
const owned = routes.filter(([, route]) => rightFor(route) !== undefined);

/** Ids for what a path would make. */
function newIds(): Record<string, string> {
  const names = routes.flatMap(([, route]) => [...route.path.matchAll(/:(\w+)/g)].map(([, name]) => name!));
  return Object.fromEntries(names.map((name) => [name, uuid()]));
}

function send(client: Client, route: Route) {
  const path = `/api${fillPath(route.path, { ...newIds(), ...params })}`;
  const method = route.method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
  const request = client[method](path);
  return route.body ? request.send({}) : request;
}

/** Everything that belongs to the experiment, to see that nothing was touched. */
async function everything(): Promise<string> {
  const tables = [...OWNED_TABLES, 'factor', 'treatment', 'container', 'unit', 'variable', 'reading'];
  const rows = await Promise.all(tables.map((table) => server.query(`SELECT * FROM ${table} ORDER BY id`)));
  return JSON.stringify(rows);
}

describe('every route', () => {
  test.each(closed)('%s is closed to nobody in particular', async (_, route) => {
    const answer = await send(server.client(), route);
    const code = route.access === 'student' ? 'not_joined' : 'not_signed_in';
    expect([answer.status, answer.body.code]).toEqual([401, code]);
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
    const bad = Object.fromEntries(Object.keys(params).map((name) => [name, "1' OR '1'='1"]));
    const path = `/api${fillPath(route.path, { ...newIds(), ...bad })}`;
    const answer = await owner[route.method.toLowerCase() as 'get'](path).send(route.body ? {} : undefined);
    expect(answer.status).toBe(404);
  });

  test('an owner route names a row with an owner, and every route of the server is in the table', () => {
    for (const [name, route] of owned) {
      const named = OWNED_PARAMS.some((param) => route.path.includes(`:${param}`));
      expect([name, named]).toEqual([name, true]);
    }
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
    const opened = await stranger
      .put(`/api/files/${experimentId}`)
      .send({ fileName: 'a.csv', ...(await sendFile(stranger, text)) });
    expect([opened.status, opened.body.code]).toEqual([409, 'id_in_use']);
  });

  test('cannot be taken over by keeping a crop, packet, template or size under it', async () => {
    const stranger = await server.teacher();
    const own = await startSown(stranger);
    const before = await everything();
    for (const [path, body] of [
      [`/api/classes/${params.classId}`, CLASS],
      [`/api/seed-lots/${params.lotId}`, LOT],
      [`/api/container-sizes/${params.sizeId}`, SIZE],
      [`/api/experiments/${own.id}/templates/${params.templateId}`, { about: '' }],
      [`/api/crops/${params.newCropId}`, CROP],
    ] as const) {
      const answer = await stranger.put(path).send(body);
      expect([path, answer.status, answer.body.code]).toEqual([path, 409, 'id_in_use']);
    }
    expect(await everything()).toBe(before);
    const copied = await stranger.put(`/api/experiments/${own.id}/copies/${experimentId}`);
    expect(copied.body.code).toBe('id_in_use');
    expect((await stranger.get('/api/seed-lots')).body).toEqual([]);
    const templates = (await stranger.get('/api/templates')).body as { isOwn: boolean }[];
    expect(templates.filter((template) => template.isOwn)).toEqual([]);
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
