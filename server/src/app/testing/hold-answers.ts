import { ROUTES } from '@bright-sprout/contract/routes';
import { ERROR_STATUS, type ErrorCode, type Route } from '@bright-sprout/contract/shared';
import { Ajv2020 } from 'ajv/dist/2020.js';
import type { ErrorObject, ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import type { Response } from 'supertest';
import { describedPath, openApi } from '../openapi.ts';
import { ERROR_SCHEMA, refusals } from '../openapi-refusals.ts';

/** Holds every JSON answer that a test gets to the schema of its operation. */
export interface AnswerCheck {
  /** Operations answered with success so far. */
  readonly seen: ReadonlySet<string>;
  hold(method: string, path: string, answer: Response): void;
  /** @throws when an answer did not fit its schema */
  assertAllFit(): void;
}

interface CheckedOperation {
  readonly name: string;
  readonly method: string;
  readonly pattern: RegExp;
  readonly route: Route;
  /** What of an answer does not fit. */
  readonly fits: ((body: unknown) => readonly ErrorObject[]) | undefined;
}

/** Makes a check of its own for one server. */
export function answerCheck(): AnswerCheck {
  const seen = new Set<string>();
  const faults = new Set<string>();
  return {
    seen,
    hold: (method, path, answer) => {
      const operation = operations().find((one) => one.method === method && one.pattern.test(path));
      if (!operation) return;
      if (answer.status >= 400) for (const one of faultsOf(operation, answer)) faults.add(one);
      if (answer.status >= 300) return;
      seen.add(operation.name);
      if (typeof answer.body !== 'object' || answer.type !== 'application/json') return;
      for (const { instancePath, message, params } of operation.fits?.(answer.body) ?? []) {
        faults.add(`${operation.name}: ${instancePath} ${message} ${JSON.stringify(params)}`);
      }
    },
    assertAllFit: () => {
      if (faults.size > 0) throw new Error(`answers unlike their schema:\n${[...faults].join('\n')}`);
    },
  };
}

/** Names of the operations that answer with JSON. */
export function jsonOperations(): string[] {
  return Object.entries<Route>(ROUTES)
    .filter(([, route]) => route.answer)
    .map(([name]) => name);
}

/** What of a refusal is not as described: its body, the status of its code, and whether the operation may refuse so. */
function faultsOf({ name, route }: CheckedOperation, { status, body: read }: Response): string[] {
  const body: unknown = Buffer.isBuffer(read) ? JSON.parse(read.toString()) : read;
  isRefusal ??= new Ajv2020().compile(ERROR_SCHEMA);
  if (!isRefusal(body)) return [`${name}: ${status} is no refusal: ${JSON.stringify(body).slice(0, 200)}`];
  const { code } = body as { code: ErrorCode };
  const faults = [];
  if (ERROR_STATUS[code] !== status) faults.push(`${name}: ${code} is answered with ${status}`);
  if (!(status in refusals(route))) faults.push(`${name}: ${status} ${code} is not described`);
  return faults;
}

let isRefusal: ValidateFunction | undefined;

let made: CheckedOperation[] | undefined;

function operations(): CheckedOperation[] {
  made ??= Object.entries<Route>(ROUTES).map(([name, route]) => ({
    name,
    method: route.method,
    route,
    pattern: new RegExp(`^/api${route.path.replaceAll('.', '\\.').replaceAll(/:\w+/g, '[^/]+')}$`),
    fits: route.answer ? fits(route) : undefined,
  }));
  return made;
}

const API = 'https://bright-sprout.example/api';

let known: { readonly ajv: Ajv2020; readonly paths: Paths } | undefined;

type Paths = Record<
  string,
  Record<string, { responses: Record<string, { content: Record<string, { schema: object }> }> }>
>;

/** Compiled when the first answer comes: most files of tests meet a few operations. */
function fits(route: Route): (body: unknown) => readonly ErrorObject[] {
  let validate: ValidateFunction | undefined;
  return (body) => {
    validate ??= compiled(route);
    return validate(body) ? [] : (validate.errors ?? []);
  };
}

function compiled(route: Route): ValidateFunction {
  if (!known) {
    const { components, paths } = openApi() as { components: { schemas: object }; paths: Paths };
    // Each is compiled for a few answers: to make it quicker costs more than it brings.
    const quick = { inlineRefs: false, code: { optimize: false } };
    const ajv = new Ajv2020({ allowUnionTypes: true, ...quick });
    addFormats.default(ajv);
    ajv.addKeyword('components');
    ajv.addSchema({ $id: API, components: { schemas: components.schemas } });
    known = { ajv, paths };
  }
  const schema =
    known.paths[describedPath(route)]?.[route.method.toLowerCase()]?.responses['200']?.content[
      'application/json'
    ];
  return known.ajv.compile(
    JSON.parse(JSON.stringify(schema?.schema).replaceAll('"#/', `"${API}#/`)) as object,
  );
}
