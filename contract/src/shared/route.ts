/** A class whose instances come in. */
export type WireClass<T extends object> = new () => T;

/**
 * What a teacher may do with a row, each with all before it: see it, change it, or decide over it as its owner, who
 * alone shares it, hands it over and removes it.
 */
export const RIGHTS = ['see', 'change', 'own'] as const;
export type Right = (typeof RIGHTS)[number];

/**
 * Who may call a route: `anyone`; a `student` on a device that joined a class; a signed-in `teacher`; or a teacher with a
 * {@link Right} to the row that the path names by one of {@link OWNED_PARAMS}.
 */
export type Access = 'anyone' | 'student' | 'teacher' | Right;

/** True when a teacher who has one right has the other, too. */
export function includesRight(has: Right, needed: Right): boolean {
  return RIGHTS.indexOf(has) >= RIGHTS.indexOf(needed);
}

/** The right that a route asks for; undefined for a route of no row. */
export function rightFor({ access }: Pick<Route, 'access'>): Right | undefined {
  return RIGHTS.find((right) => right === access);
}

/** Names in a path that stand for a row with an owner. */
export const OWNED_PARAMS = ['experimentId', 'classId', 'lotId', 'templateId', 'sizeId'] as const;
export type OwnedParam = (typeof OWNED_PARAMS)[number];

/** The most bytes of a body, but where a route says otherwise: readings, ticks and words are far smaller. */
export const MOST_BODY_BYTES = 32_768;

/** HTTP methods in use. A PUT is safe to repeat; every create is a PUT with an id made on the device. */
export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** Stands for the class of a request. */
export interface JsonRequest<Body extends object = object> {
  readonly name: string;
  /** Never set: it only carries the type. */
  readonly type?: Body;
}

/** Stands for the type of an answer. */
export interface JsonAnswer<Answer extends object = object> {
  /** Never set: it only carries the type, in a list of one so that its name is kept. */
  readonly type?: readonly [Answer];
}

/** One operation of the API. */
export interface Route<
  Path extends string = string,
  Body extends object = object,
  Query extends object = object,
  Answer extends object = object,
> {
  readonly method: Method;
  readonly path: Path;
  readonly summary: string;
  readonly access: Access;
  readonly body?: JsonRequest<Body>;
  readonly query?: JsonRequest<Query>;
  /** Type of the JSON answer; absent for an answer without content or one that is a file. */
  readonly answer?: JsonAnswer<Answer>;
  /** Media type of an answer that is a file. */
  readonly file?: string;
  /** True of what cannot be taken back: the password must have been given a short while ago. */
  readonly isGrave?: boolean;
  /** True when the body is bytes as they are (`application/octet-stream`). */
  readonly takesBytes?: boolean;
  /** The most bytes of a body; {@link MOST_BODY_BYTES} where nothing is said. */
  readonly maxBytes?: number;
}

/** Names after a colon in a path. */
export type ParamsOf<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | ParamsOf<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never;

/** A route to which more is said, step by step; each step gives a new one. */
export interface RouteBuilder<
  Path extends string,
  Body extends object = never,
  Query extends object = never,
  Answer extends object = never,
> extends Route<Path, Body, Query, Answer> {
  /**
   * Takes a body of a class, by its name: who only calls an operation needs neither the class nor its checks. A test
   * holds each name to the class that the operation is checked by.
   */
  takes: <B extends object>(name: string, maxBytes?: number) => RouteBuilder<Path, B, Query, Answer>;
  /** Takes bytes as they are. */
  takesFile: (maxBytes?: number) => RouteBuilder<Path, Body, Query, Answer>;
  /** Takes a query of a class, by its name. */
  asks: <Q extends object>(name: string) => RouteBuilder<Path, Body, Q, Answer>;
  /** Answers JSON of a type; its schema is made from that type when the application is built. */
  answers: <A extends object>() => RouteBuilder<Path, Body, Query, A>;
  /** Answers a file of a media type. */
  sends: (type: string) => RouteBuilder<Path, Body, Query, Answer>;
  /** Cannot be taken back. */
  grave: () => RouteBuilder<Path, Body, Query, Answer>;
}

function builderOf<Path extends string, Body extends object, Query extends object, Answer extends object>(
  route: Route<Path, Body, Query, Answer>,
): RouteBuilder<Path, Body, Query, Answer> {
  return {
    ...route,
    takes: (name, maxBytes) => builderOf({ ...route, body: { name }, ...(maxBytes && { maxBytes }) }),
    takesFile: (maxBytes) => builderOf({ ...route, takesBytes: true, ...(maxBytes && { maxBytes }) }),
    asks: (name) => builderOf({ ...route, query: { name } }),
    answers: () => builderOf({ ...route, answer: {} }),
    sends: (file) => builderOf({ ...route, file }),
    grave: () => builderOf({ ...route, isGrave: true }),
  };
}

type Begin = <const Path extends string>(path: Path, summary: string) => RouteBuilder<Path>;

function routesFor(access: Access): Record<'get' | 'post' | 'put' | 'remove', Begin> {
  return {
    get: (path, summary) => builderOf({ method: 'GET', path, summary, access }),
    post: (path, summary) => builderOf({ method: 'POST', path, summary, access }),
    put: (path, summary) => builderOf({ method: 'PUT', path, summary, access }),
    remove: (path, summary) => builderOf({ method: 'DELETE', path, summary, access }),
  };
}

/** Routes by who may call them, as in {@link Access}. */
export const anyone = routesFor('anyone');
export const student = routesFor('student');
export const teacher = routesFor('teacher');
export const see = routesFor('see');
export const change = routesFor('change');
export const own = routesFor('own');

/** Fills the names of a path: `/experiments/:id` with `{ id: 'x' }` gives `/experiments/x`. */
export function fillPath(path: string, params: Readonly<Record<string, string>>): string {
  return path.replaceAll(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
}
