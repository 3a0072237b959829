import { say } from '@bright-sprout/words/interface';
import { type ErrorBody, fillPath, type ParamsOf, type Route } from '@bright-sprout/contract/shared';

/** An answer that was not a success, or no answer at all. */
export class ApiFailure extends Error {
  readonly body: ErrorBody;

  constructor(body: ErrorBody) {
    super(body.message);
    this.body = body;
  }
}

const NO_ANSWER: ErrorBody = {
  code: 'server_error',
  message: say('brightSproutDidNotAnswerCheckThe'),
  fields: [],
};

type Input<Path extends string, Body, Query> = ([ParamsOf<Path>] extends [never]
  ? object
  : { params: Record<ParamsOf<Path>, string> }) &
  ([Body] extends [never] ? object : { body: Body }) &
  ([Query] extends [never] ? object : { query?: Query }) & { signal?: AbortSignal; bytes?: Uint8Array };

/**
 * Calls an operation of the API.
 * @throws ApiFailure with the words of the server, or of this device when there was no answer
 */
export function call<Path extends string, Body extends object, Query extends object, Answer extends object>(
  route: Route<Path, Body, Query, Answer>,
  input: Input<Path, Body, Query>,
): Promise<Answer> {
  return send(route, input) as Promise<Answer>;
}

/** What is sent, where the operation is only known when it runs. */
interface AnyInput {
  readonly params?: Readonly<Record<string, string>>;
  readonly body?: object;
  readonly query?: object;
  readonly bytes?: Uint8Array;
  readonly signal?: AbortSignal;
}

/**
 * Calls an operation that is only known when it runs.
 * @throws ApiFailure as {@link call}
 */
export async function send(
  route: Omit<Route, 'body' | 'query' | 'answer'>,
  input: AnyInput,
): Promise<unknown> {
  const address = addressOf(route, input.params ?? {}, input.query);
  const answer = await fetch(address, {
    method: route.method,
    ...(input.signal ? { signal: input.signal } : {}),
    ...(input.body
      ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(input.body) }
      : {}),
    ...(input.bytes
      ? { headers: { 'Content-Type': 'application/octet-stream' }, body: input.bytes as BodyInit }
      : {}),
  }).catch(() => undefined);
  if (!answer) throw new ApiFailure(NO_ANSWER);
  if (answer.status === 204) return undefined;
  const content: unknown = await answer.json().catch(() => undefined);
  if (answer.ok && content !== undefined) return content;
  throw new ApiFailure(isErrorBody(content) ? content : NO_ANSWER);
}

/** Address of an operation, for links that download. */
export function addressOf(
  route: Pick<Route, 'path'>,
  params: Readonly<Record<string, string>>,
  query: object = {},
): string {
  const given = Object.entries(query).filter(([, value]) => value !== undefined);
  const search = new URLSearchParams(given.map(([name, value]) => [name, String(value)])).toString();
  return `/api${fillPath(route.path, params)}${search === '' ? '' : `?${search}`}`;
}

function isErrorBody(content: unknown): content is ErrorBody {
  return typeof content === 'object' && content !== null && 'code' in content && 'message' in content;
}
