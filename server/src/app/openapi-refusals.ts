import { ERROR_STATUS, rightFor, type Route } from '@bright-sprout/contract/shared';

type Json = Record<string, unknown>;

/** The body of every refusal. */
export const ERROR_SCHEMA: Json = {
  type: 'object',
  required: ['code', 'message', 'fields'],
  properties: {
    code: { type: 'string', enum: Object.keys(ERROR_STATUS) },
    message: { type: 'string' },
    fields: {
      type: 'array',
      items: {
        type: 'object',
        required: ['field', 'message'],
        properties: { field: { type: 'string' }, message: { type: 'string' } },
      },
    },
    rows: {
      type: 'array',
      items: {
        type: 'object',
        required: ['row', 'column', 'found', 'expected'],
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

const SAFE = 'GET';

/** Statuses of refusals with the routes that may answer them. */
const WHERE: Readonly<Record<number, (route: Route) => boolean>> = {
  400: ({ body, query, takesBytes }) => !!(body ?? query ?? takesBytes),
  401: ({ access, body }) => access !== 'anyone' || body !== undefined,
  403: (route) => route.method !== SAFE || route.isGrave === true || rightFor(route) === 'own',
  404: ({ path }) => /:|\/(device|logger)/.test(path),
  409: ({ method, access }) => method !== SAFE || access === 'student',
  413: ({ body, takesBytes }) => !!(body ?? takesBytes),
  415: ({ method }) => method !== SAFE,
  422: ({ body, query }) => !!(body ?? query),
  429: ({ method, path }) => method !== SAFE || path.startsWith('/invitations'),
  500: () => true,
  503: () => true,
  507: ({ method }) => method !== SAFE,
};

/** What each status of a refusal means, as responses that operations refer to. */
export const REFUSALS: Json = Object.fromEntries(
  Object.keys(WHERE).map((status) => {
    const codes = Object.entries(ERROR_STATUS).flatMap(([code, own]) =>
      String(own) === status ? [code] : [],
    );
    const schema = {
      allOf: [{ $ref: '#/components/schemas/ErrorBody' }, { properties: { code: { enum: codes } } }],
    };
    return [nameOf(status), { description: codes.join(', '), content: { 'application/json': { schema } } }];
  }),
);

/** The refusals of a route, by status. */
export function refusals(route: Route): Json {
  const able = Object.entries(WHERE).filter(([, may]) => may(route));
  return Object.fromEntries(
    able.map(([status]) => [status, { $ref: `#/components/responses/${nameOf(status)}` }]),
  );
}

function nameOf(status: string): string {
  return `Refused${status}`;
}
