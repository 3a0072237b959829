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

/** Keeps the literal types of a route. */
export function route<
  const Path extends string,
  Body extends object = never,
  Query extends object = never,
  Answer extends object = never,
>(definition: Route<Path, Body, Query, Answer>): Route<Path, Body, Query, Answer> {
  return definition;
}

/**
 * A body or a query of a class, by its name: who only calls an operation needs neither the class nor its checks. A test
 * holds each name to the class that the operation is checked by.
 */
export function request<Body extends object>(name: string): JsonRequest<Body> {
  return { name };
}

/** An answer that is JSON of a type; its schema is made from that type when the application is built. */
export function json<Answer extends object>(): JsonAnswer<Answer> {
  return {};
}

/** Fills the names of a path: `/experiments/:id` with `{ id: 'x' }` gives `/experiments/x`. */
export function fillPath(path: string, params: Readonly<Record<string, string>>): string {
  return path.replaceAll(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
}
