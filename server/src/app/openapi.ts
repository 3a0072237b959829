import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { ROUTES } from '@bright-sprout/contract/routes';
import { type Access, ERROR_STATUS, type Route } from '@bright-sprout/contract/shared';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { SESSION_COOKIE } from '../accounts/index.ts';
import { DEVICE_COOKIE } from '../student/index.ts';

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

/** Who is asked for which cookie. */
const SECURITY: Readonly<Record<Access, readonly Json[]>> = {
  anyone: [],
  student: [{ device: [] }],
  teacher: [{ session: [] }],
  see: [{ session: [] }],
  change: [{ session: [] }],
  own: [{ session: [] }],
};

/** Schemas of what is answered, made from the types when the application is built. */
interface AnswerSchemas {
  readonly answers: Readonly<Record<string, Json>>;
  readonly schemas: Json;
}

/**
 * The description of the API (OpenAPI 3.1): what comes in from the validation of its classes, what goes out from its
 * types.
 */
export function openApi(): Json {
  const { answers, schemas: views } = answerSchemas();
  const schemas = { ...requestSchemas(), ...views };
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries(ROUTES) as [string, Route][]) {
    const path = `/api${route.path.replaceAll(/:(\w+)/g, '{$1}')}`;
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
      schemas: { ...schemas, ErrorBody: ERROR_SCHEMA },
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: SESSION_COOKIE },
        device: { type: 'apiKey', in: 'cookie', name: DEVICE_COOKIE },
      },
    },
  };
}

function answerSchemas(): AnswerSchemas {
  const file = createRequire(import.meta.url).resolve('@bright-sprout/contract/answers.schema.json');
  return JSON.parse(readFileSync(file, 'utf8')) as AnswerSchemas;
}

/** A property of a request with what JSON Schema says elsewhere: that it may be `null`, and which state it goes with. */
interface NotedProperty extends Json {
  mayBeNull?: true;
  onlyWith?: readonly [field: string, value: string];
}

function requestSchemas(): Record<string, Json> {
  const made = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: {
      conditionalValidation: { mayBeNull: true } as never,
      isCalendarDay: { type: 'string', format: 'date' },
      isId: { type: 'string', format: 'uuid' },
      isInstant: { type: 'string', format: 'date-time' },
      isZone: { type: 'string', description: 'IANA time zone' },
      isOnlyWith: ({ constraints }) => ({ onlyWith: constraints }) as never,
    },
  }) as unknown as Record<string, { properties: Record<string, NotedProperty> }>;
  return Object.fromEntries(Object.entries(made).map(([name, schema]) => [name, requestSchema(schema)]));
}

function requestSchema({ properties, ...schema }: { properties: Record<string, NotedProperty> }): Json {
  const exclusions = Object.entries(properties).flatMap(([name, { onlyWith }]) =>
    onlyWith ? [exclusion(name, onlyWith)] : [],
  );
  return {
    ...schema,
    properties: Object.fromEntries(
      Object.entries(properties).map(([name, noted]) => [name, plainProperty(noted)]),
    ),
    additionalProperties: false,
    ...(exclusions.length > 0 ? { allOf: exclusions } : {}),
  };
}

function plainProperty(noted: NotedProperty): Json {
  const property = { ...noted };
  delete property.mayBeNull;
  delete property.onlyWith;
  return noted.mayBeNull ? { anyOf: [property, { type: 'null' }] } : property;
}

function exclusion(name: string, [field, value]: readonly [string, string]): Json {
  return {
    oneOf: [
      { properties: { [field]: { const: value } } },
      { properties: { [field]: { not: { const: value } }, [name]: { type: 'null' } } },
    ],
  };
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
      default: {
        description: 'Refused or failed',
        content: { 'application/json': { schema: ref('ErrorBody') } },
      },
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
