import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { ROUTES } from '@bright-sprout/contract/routes';
import type { Access, Route } from '@bright-sprout/contract/shared';
import { SESSION_COOKIE } from '../accounts/index.ts';
import { DEVICE_COOKIE } from '../student/index.ts';
import { ERROR_SCHEMA, REFUSALS, refusals } from './openapi-refusals.ts';

type Json = Record<string, unknown>;

const COOKIE = 'Its name begins with `__Host-` where the server is reached by HTTPS.';

/** Who is asked for which cookie. */
const SECURITY: Readonly<Record<Access, readonly Json[]>> = {
  anyone: [],
  student: [{ device: [] }],
  teacher: [{ session: [] }],
  see: [{ session: [] }],
  change: [{ session: [] }],
  own: [{ session: [] }],
};

/** Schemas of what is asked and answered, made when the application is built. */
interface ApiSchemas {
  readonly answers: Readonly<Record<string, Json>>;
  readonly schemas: Json;
}

/**
 * The description of the API (OpenAPI 3.1): what comes in from the validation of its classes, what goes out from its
 * types.
 */
export function openApi(): Json {
  const { answers, schemas } = apiSchemas();
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries(ROUTES) as [string, Route][]) {
    const path = describedPath(route);
    paths[path] = {
      ...paths[path],
      [route.method.toLowerCase()]: operation(name, route, schemas, answers[name]),
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Bright Sprout',
      version: '1',
      description: 'Plan, record and compare plant growth experiments with a class.',
    },
    servers: [{ url: '/' }],
    paths,
    components: {
      schemas: { ...used(schemas, paths), ErrorBody: ERROR_SCHEMA },
      responses: REFUSALS,
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: SESSION_COOKIE, description: COOKIE },
        device: { type: 'apiKey', in: 'cookie', name: DEVICE_COOKIE, description: COOKIE },
      },
    },
  };
}

function apiSchemas(): ApiSchemas {
  const file = createRequire(import.meta.url).resolve('@bright-sprout/contract/api.schema.json');
  return JSON.parse(readFileSync(file, 'utf8')) as ApiSchemas;
}

function operation(name: string, route: Route, schemas: Json, answer: Json | undefined): Json {
  return {
    operationId: name,
    summary: route.summary,
    security: SECURITY[route.access],
    parameters: [...pathParameters(route), ...queryParameters(route, schemas)],
    ...(route.body
      ? { requestBody: { required: true, content: { 'application/json': { schema: ref(route.body.name) } } } }
      : {}),
    responses: {
      ...success(route, answer),
      ...refusals(route),
    },
  };
}

function success(route: Route, answer: Json | undefined): Json {
  if (route.file)
    return { 200: { description: 'A file', content: { [route.file]: { schema: { type: 'string' } } } } };
  if (!answer) return { 204: { description: 'Done' } };
  return { 200: { description: 'Done', content: { 'application/json': { schema: answer } } } };
}

function pathParameters(route: Route): Json[] {
  return [...paramNames(route)].map(([name, described]) => ({
    name: described,
    ...(name.startsWith('new') ? { description: 'Made on the device.' } : {}),
    in: 'path',
    required: true,
    schema: name.endsWith('Key') ? { type: 'string' } : { type: 'string', format: 'uuid' },
  }));
}

function queryParameters(route: Route, schemas: Json): Json[] {
  if (!route.query) return [];
  const schema = schemas[route.query.name] as { properties?: Json } | undefined;
  return Object.entries(schema?.properties ?? {}).map(([name, property]) => ({
    name,
    in: 'query',
    schema: property,
  }));
}

/** A name in a path; one that begins with `new` stands for an id that the device makes up. */
const PARAM = /:(\w+)/g;

/** The names in a path as the description has them, by the names of the route. */
function paramNames({ path }: Pick<Route, 'path'>): Map<string, string> {
  const names = [...path.matchAll(PARAM)].map(([, name = '']) => name);
  return new Map(
    names.map((name) => {
      const kept = name.replace(/^new([A-Z])/, (_, first: string) => first.toLowerCase());
      return [name, names.includes(kept) ? name : kept];
    }),
  );
}

/** The path of a route as the description has it: what is kept under a new id is read under the same one. */
export function describedPath(route: Pick<Route, 'path'>): string {
  const names = paramNames(route);
  return `/api${route.path.replaceAll(PARAM, (_, name: string) => `{${names.get(name) ?? name}}`)}`;
}

/** The schemas that operations name, also by way of others. */
function used(schemas: Json, paths: Json): Json {
  const found = new Set<string>();
  const look = (part: unknown): void => {
    for (const [, name = ''] of JSON.stringify(part).matchAll(/"#\/components\/schemas\/(\w+)"/g)) {
      if (found.has(name) || !(name in schemas)) continue;
      found.add(name);
      look(schemas[name]);
    }
  };
  look(paths);
  return Object.fromEntries(Object.entries(schemas).filter(([name]) => found.has(name)));
}

function ref(name: string): Json {
  return { $ref: `#/components/schemas/${name}` };
}
