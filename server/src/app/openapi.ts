import 'reflect-metadata';
import { ROUTES } from '@bright-sprout/contract/routes';
import { ERROR_STATUS, type Route } from '@bright-sprout/contract/shared';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

type Json = Record<string, unknown>;

const ERROR_SCHEMA: Json = {
  type: 'object',
  required: ['code', 'message', 'fields'],
  properties: {
    code: { type: 'string', enum: Object.keys(ERROR_STATUS) },
    message: { type: 'string' },
    fields: {
      type: 'array',
      items: { type: 'object', properties: { field: { type: 'string' }, message: { type: 'string' } } },
    },
    rows: {
      type: 'array',
      items: {
        type: 'object',
        properties: {
          row: { type: 'integer' },
          column: { type: 'string' },
          found: { type: 'string' },
          expected: { type: 'string' },
        },
      },
    },
    rowCount: { type: 'integer' },
  },
};

/** The description of the API (OpenAPI 3.1), made from the route table and the validation of its classes. */
export function openApi(): Json {
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: {
      isCalendarDay: { type: 'string', format: 'date' },
      isId: { type: 'string', format: 'uuid' },
      isInstant: { type: 'string', format: 'date-time' },
      isZone: { type: 'string', description: 'IANA time zone' },
    },
  });
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries(ROUTES) as [string, Route][]) {
    const path = `/api${route.path.replaceAll(/:(\w+)/g, '{$1}')}`;
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operation(name, route, schemas) };
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
      schemas: { ...schemas, ErrorBody: ERROR_SCHEMA },
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'bright_sprout_session' } },
    },
  };
}

function operation(name: string, route: Route, schemas: Json): Json {
  return {
    operationId: name,
    summary: route.summary,
    security: route.access === 'anyone' ? [] : [{ session: [] }],
    parameters: [...pathParameters(route), ...queryParameters(route, schemas)],
    ...(route.body
      ? { requestBody: { required: true, content: { 'application/json': { schema: ref(route.body.name) } } } }
      : {}),
    responses: {
      ...success(route),
      default: {
        description: 'Refused or failed',
        content: { 'application/json': { schema: ref('ErrorBody') } },
      },
    },
  };
}

function success(route: Route): Json {
  if (route.file)
    return { 200: { description: 'A file', content: { [route.file]: { schema: { type: 'string' } } } } };
  if (!route.answer) return { 204: { description: 'Done' } };
  const one = ref(route.answer.name);
  const schema = route.isList ? { type: 'array', items: one } : one;
  return { 200: { description: 'Done', content: { 'application/json': { schema } } } };
}

function pathParameters(route: Route): Json[] {
  return [...route.path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: name?.endsWith('Key') ? { type: 'string' } : { type: 'string', format: 'uuid' },
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

function ref(name: string): Json {
  return { $ref: `#/components/schemas/${name}` };
}
