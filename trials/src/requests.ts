import fc from 'fast-check';

/** A schema of the API's description, as far as requests are made from it. */
export interface Schema {
  readonly $ref?: string;
  readonly type?: string | readonly string[];
  readonly enum?: readonly unknown[];
  readonly format?: string;
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly allOf?: readonly Schema[];
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly maxItems?: number;
}

export interface Parameter {
  readonly name: string;
  readonly in: 'path' | 'query';
  readonly description?: string;
  readonly schema: Schema;
}

/** One operation of the API's description. */
export interface ApiOperation {
  readonly method: string;
  readonly path: string;
  readonly operationId: string;
  readonly parameters: readonly Parameter[];
  readonly body: Schema | undefined;
}

/** The API's description. */
export interface Description {
  readonly paths: Readonly<Record<string, Readonly<Record<string, RawOperation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

interface RawOperation {
  readonly operationId: string;
  readonly parameters?: readonly Parameter[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
}

/** A request to send. */
export interface MadeRequest {
  readonly operationId: string;
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
  readonly type: string;
  /** Who sends it: 0 nobody, 1 the teacher, 2 a tablet. */
  readonly who: number;
}

/** What servers have stumbled over: wrong kinds, odd instants and days, text that is none, names of the language. */
const ODD: readonly unknown[] = [
  null,
  true,
  false,
  0,
  -0,
  -1,
  1e308,
  1e-308,
  2 ** 53,
  0.1 + 0.2,
  '',
  ' ',
  '\u200b',
  '\u0000',
  '\ud800',
  'x\udfff',
  '👩‍👩‍👧‍👦'.repeat(40),
  'é'.repeat(400),
  '\uFE0F'.repeat(400),
  'x'.repeat(5000),
  '2026-W10-1',
  '2026-02-30',
  '0000-01-01',
  '9999-12-31',
  '2026-03-02T09:30:00Z',
  '20260302T093000Z',
  '9999-12-31T23:59:59Z',
  '2026-03-02T09:30:00+99:00',
  '+002026-03-02T09:30:00Z',
  '../../etc/passwd',
  '<script>alert(1)</script>',
  "'; DROP TABLE reading; --",
  '%',
  '\\',
  'constructor',
  '__proto__',
  'Infinity',
  'NaN',
  [],
  {},
  [[]],
  [null],
  [{}],
  { constructor: 1 },
  { toString: 1 },
  { length: 1e9 },
  [[[[[[[[]]]]]]]],
  { a: { b: { c: { d: {} } } } },
  ['a', 1, null],
];

/** What the description says of an id under which something new is kept. */
const MADE_UP = 'Made on the device.';

/** Ids that exist, by the ending of a name: `unitId` has those of units. */
export type KnownIds = Readonly<Record<string, readonly string[]>>;

/** The operations of a description. */
export function operationsOf(description: Description): ApiOperation[] {
  return Object.entries(description.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, { operationId, parameters = [], requestBody }]) => ({
      method: method.toUpperCase(),
      path,
      operationId,
      parameters,
      body: requestBody?.content['application/json']?.schema,
    })),
  );
}

/** Requests of an operation, right ones and odd ones. */
export function requestsOf(
  operation: ApiOperation,
  description: Description,
  known: KnownIds,
): fc.Arbitrary<MadeRequest> {
  const { schemas } = description.components;
  const parameters = operation.parameters.map((parameter) => parameterOf(parameter, known));
  const body = operation.body
    ? mostly(odd(valueOf(operation.body, schemas, known, 0)), fc.constantFrom(...ODD))
    : fc.constant(undefined);
  return fc
    .record({
      parameters: fc.tuple(...parameters),
      body,
      type: fc.constantFrom(
        'application/json',
        'application/json',
        'application/json',
        'application/json',
        'application/octet-stream',
        'text/plain',
      ),
      who: fc.constantFrom(1, 1, 1, 2, 2, 0),
    })
    .map((made) => {
      const query = new URLSearchParams();
      let path = operation.path.replace(/^\/api/, '');
      for (const [index, parameter] of operation.parameters.entries()) {
        const value = String(made.parameters[index]);
        if (parameter.in === 'path')
          path = path.replace(`{${parameter.name}}`, encodeURIComponent(wellFormed(value)) || '%20');
        else if (value !== 'undefined') query.append(parameter.name, wellFormed(value));
      }
      const search = query.toString();
      const { operationId, method } = operation;
      return {
        operationId,
        method,
        path: search === '' ? path : `${path}?${search}`,
        body: made.body,
        type: made.type,
        who: made.who,
      };
    });
}

function wellFormed(text: string): string {
  return text.replaceAll(/\p{Surrogate}/gu, '');
}

function parameterOf(parameter: Parameter, known: KnownIds): fc.Arbitrary<string | undefined> {
  const ids = idsOf(parameter.name, parameter.description === MADE_UP ? {} : known);
  const odds = fc
    .constantFrom(...ODD)
    .map((value) => (typeof value === 'string' ? value.slice(0, 300) : JSON.stringify(value)));
  if (parameter.in === 'path') {
    return fc.oneof(
      { weight: 12, arbitrary: ids },
      { weight: 1, arbitrary: odds },
      { weight: 1, arbitrary: fc.string() },
    );
  }
  const value = parameter.schema.enum
    ? fc.constantFrom(...parameter.schema.enum).map(String)
    : parameter.schema.format === 'date'
      ? fc.constantFrom('2026-01-05', '2026-03-02')
      : ids;
  return fc.oneof(
    { weight: 4, arbitrary: fc.constant(undefined) },
    { weight: 4, arbitrary: value },
    { weight: 1, arbitrary: odds },
  );
}

function idsOf(name: string, known: KnownIds): fc.Arbitrary<string> {
  const own =
    Object.entries(known).find(([ending]) => name.toLowerCase().endsWith(ending.toLowerCase()))?.[1] ?? [];
  const fresh = name.endsWith('Key')
    ? fc.constantFrom('lesson', 'read-1', '0', '2026-01-05', '65536')
    : fc.uuid();
  return own.length === 0
    ? fresh
    : fc.oneof({ weight: 5, arbitrary: fc.constantFrom(...own) }, { weight: 1, arbitrary: fresh });
}

function valueOf(
  schema: Schema,
  schemas: Description['components']['schemas'],
  known: KnownIds,
  depth: number,
  name = '',
): fc.Arbitrary<unknown> {
  if (schema.$ref)
    return valueOf(schemas[schema.$ref.split('/').at(-1) ?? ''] ?? {}, schemas, known, depth, name);
  const [either] = [schema.anyOf ?? schema.oneOf ?? []];
  if (either.length > 0) return fc.oneof(...either.map((one) => valueOf(one, schemas, known, depth, name)));
  if (schema.allOf)
    return fc
      .tuple(...schema.allOf.map((one) => valueOf(one, schemas, known, depth, name)))
      .map((parts) => Object.assign({}, ...parts) as object);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (depth > 6) return fc.constant(null);
  const type = Array.isArray(schema.type) ? (schema.type as readonly string[])[0] : schema.type;
  switch (String(type)) {
    case 'boolean':
      return fc.boolean();
    case 'integer':
      return fc.integer({
        min: Math.max(schema.minimum ?? 0, -1000),
        max: Math.min(schema.maximum ?? 1000, 100_000),
      });
    case 'number':
      return fc.double({
        min: Math.max(schema.minimum ?? 0, -1e6),
        max: Math.min(schema.maximum ?? 1000, 1e6),
        noNaN: true,
      });
    case 'array':
      return fc.array(odd(valueOf(schema.items ?? {}, schemas, known, depth + 1, name)), {
        maxLength: Math.min(schema.maxItems ?? 3, 4),
      });
    case 'object':
      return fieldsOf(schema, schemas, known, depth);
    default:
      return schema.properties ? fieldsOf(schema, schemas, known, depth) : textOf(schema, known, name);
  }
}

function fieldsOf(
  schema: Schema,
  schemas: Description['components']['schemas'],
  known: KnownIds,
  depth: number,
): fc.Arbitrary<object> {
  const fields = Object.entries(schema.properties ?? {}).map(
    ([name, property]) => [name, odd(valueOf(property, schemas, known, depth + 1, name))] as const,
  );
  const whole = fc.record(Object.fromEntries(fields));
  const some = fc.record(Object.fromEntries(fields), { requiredKeys: [] });
  const more = fc
    .tuple(whole, fc.constantFrom(...ODD))
    .map(([value, extra]) => ({ ...value, surplus: extra }));
  return fc.oneof(
    { weight: 10, arbitrary: whole },
    { weight: 2, arbitrary: some },
    { weight: 1, arbitrary: more },
  );
}

function textOf(schema: Schema, known: KnownIds, name: string): fc.Arbitrary<string> {
  if (schema.format === 'date') return fc.constantFrom('2026-01-05', '2026-11-20', '2027-02-28');
  if (schema.format === 'date-time')
    return fc.constantFrom('2026-03-02T09:30:00Z', '2026-11-27T09:30:00.5+01:00');
  if (schema.format === 'uuid' || /Ids?$/.test(name)) return idsOf(name.replace(/s$/, ''), known);
  if (schema.format === 'email') return fc.emailAddress();
  return fc.string({
    minLength: schema.minLength ?? 0,
    maxLength: Math.min(schema.maxLength ?? 20, 60),
    unit: 'grapheme',
  });
}

/** Now and then something else in its place. */
function odd(value: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> {
  return mostly(value, fc.constantFrom(...ODD), 24);
}

function mostly(
  value: fc.Arbitrary<unknown>,
  other: fc.Arbitrary<unknown>,
  weight = 12,
): fc.Arbitrary<unknown> {
  return fc.oneof({ weight, arbitrary: value }, { weight: 1, arbitrary: other });
}
