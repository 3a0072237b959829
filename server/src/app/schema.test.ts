import { STARTING_CROPS } from '@bright-sprout/core/design';
import { ROUTES } from '@bright-sprout/contract/routes';
import { ERROR_STATUS, type Route } from '@bright-sprout/contract/shared';
import { ModulesContainer } from '@nestjs/core';
import { getDataSourceToken } from '@nestjs/typeorm';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { DataSource } from 'typeorm';
import { ROUTE_KEY } from '../shared/index.ts';
import { HealthController } from './health.controller.ts';
import { migrate } from './migrate.ts';
import { startTestServer, type TestServer } from './testing/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('the migrations make exactly the schema that the entities describe', async () => {
  const source = server.app.get<DataSource>(getDataSourceToken());
  const { upQueries } = await source.driver.createSchemaBuilder().log();
  expect(upQueries.map(({ query }) => query)).toEqual([]);
});

test('migrating again changes nothing, also from two servers at once', async () => {
  await Promise.all([migrate(server.databaseUrl), migrate(server.databaseUrl)]);
  const [row] = await server.query<{ n: number }>('SELECT COUNT(*) AS n FROM crop');
  expect(row!.n).toBe(STARTING_CROPS.length);
});

describe('the description of the API', () => {
  test('names every operation, and each reference is there', async () => {
    const { body } = await server.client().get('/api/openapi.json').expect(200);
    const operations = Object.values(
      body.paths as Record<string, Record<string, { operationId: string }>>,
    ).flatMap((path) => Object.values(path).map(({ operationId }) => operationId));
    expect(operations.sort()).toEqual(Object.keys(ROUTES).sort());
    const text = JSON.stringify(body);
    for (const [, reference] of text.matchAll(/"#\/components\/schemas\/(\w+)"/g)) {
      expect([reference, Object.keys(body.components.schemas as object).includes(reference ?? '')]).toEqual([
        reference,
        true,
      ]);
    }
  });

  test('says of each part what it is: no schema is empty, and what may be left out may be null', async () => {
    const { body } = await server.client().get('/api/openapi.json').expect(200);
    const schemas = body.components.schemas as Record<string, { properties?: Record<string, object> }>;
    for (const [name, schema] of Object.entries(schemas)) {
      expect([name, Object.keys(schema).length > 0]).toEqual([name, true]);
      for (const [property, own] of Object.entries(schema.properties ?? {})) {
        const says = Object.keys(own).filter((key) => key !== 'description');
        expect([name, property, says.length > 0]).toEqual([name, property, true]);
      }
    }
    expect(schemas.ReadingRequest?.properties?.supersedesId).toEqual({
      anyOf: [{ type: 'string', format: 'uuid' }, { type: 'null' }],
    });
    expect(JSON.stringify(schemas)).not.toMatch(/mayBeNull|onlyWith/);
  });

  test('students show the cookie of their device, teachers that of their session', async () => {
    const { body } = await server.client().get('/api/openapi.json').expect(200);
    expect(body.paths['/api/device/pots'].get.security).toEqual([{ device: [] }]);
    expect(body.paths['/api/experiments'].get.security).toEqual([{ session: [] }]);
    expect(body.paths['/api/device'].post.security).toEqual([]);
  });

  test('every route has a summary, and every error a status of its kind', () => {
    for (const route of Object.values(ROUTES) as Route[]) expect(route.summary.length).toBeGreaterThan(5);
    for (const status of Object.values(ERROR_STATUS)) expect(status).toBeGreaterThanOrEqual(400);
  });
});

test('each request is checked by the class that its route names', () => {
  const named: string[] = [];
  for (const module of server.app.get(ModulesContainer).values()) {
    for (const { metatype } of module.controllers.values()) {
      const prototype = (metatype as { prototype: Record<string, object> }).prototype;
      for (const method of Object.getOwnPropertyNames(prototype)) {
        const route = Reflect.getMetadata(ROUTE_KEY, prototype[method]!) as Route | undefined;
        const types = (Reflect.getMetadata('design:paramtypes', prototype, method) ?? []) as {
          name: string;
        }[];
        for (const name of [route?.body?.name, route?.query?.name]) {
          if (name === undefined) continue;
          expect([name, types.map((type) => type.name).includes(name)]).toEqual([name, true]);
          named.push(name);
        }
      }
    }
  }
  const routes = Object.values(ROUTES) as Route[];
  expect(named.sort()).toEqual(
    routes.flatMap(({ body, query }) => [body, query].flatMap((one) => one?.name ?? [])).sort(),
  );
});

describe('errors', () => {
  test.each([
    ['an unknown address', () => server.client().get('/api/nowhere'), 404, 'not_found'],
    [
      'broken JSON',
      () => server.client().post('/api/session').set('Content-Type', 'application/json').send('{"a"'),
      400,
      'bad_request',
    ],
    ['a list for an object', () => server.client().post('/api/session').send([1]), 400, 'invalid_fields'],
    ['a form', () => server.client().post('/api/session').type('form').send({ email: 'a' }), 415, 'not_json'],
    ['plain text', () => server.client().post('/api/session').type('text/plain').send('{}'), 415, 'not_json'],
    [
      '26 MB',
      () =>
        server
          .client()
          .post('/api/session')
          .send({ email: 'x'.repeat(26_000_000) }),
      413,
      'too_large',
    ],
  ])('%s has the one format and no stack trace', async (_, send, status, code) => {
    const answer = await send();
    expect([answer.status, answer.body.code]).toEqual([status, code]);
    expect(Object.keys(answer.body).sort()).toEqual(['code', 'fields', 'message']);
    expect(answer.text).not.toMatch(/node_modules|at .*\(.*:\d+/);
  });

  test('headers keep scripts of others out', async () => {
    await server.app.get(HealthController).warm();
    const answer = await server.client().get('/api/health').expect(200);
    expect(answer.headers['content-security-policy']).toContain("script-src 'self'");
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
    expect(answer.headers['x-powered-by']).toBeUndefined();
  });
});
