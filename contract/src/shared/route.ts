/** A class whose instances cross the wire. */
export type WireClass<T extends object> = new () => T;

/**
 * Who may call a route: `anyone`; a `student` on a device that joined a class; a signed-in `teacher`; or the `owner` of the row that the path names by one of
 * {@link OWNED_PARAMS}.
 */
export type Access = 'anyone' | 'student' | 'teacher' | 'owner';

/** Names in a path that stand for a row with an owner. */
export const OWNED_PARAMS = ['experimentId', 'classId', 'lotId', 'templateId', 'sizeId'] as const;
export type OwnedParam = (typeof OWNED_PARAMS)[number];

/** The most bytes of a body, but where a route says otherwise: readings, ticks and words are far smaller. */
export const MOST_BODY_BYTES = 32_768;

/** HTTP methods in use. A PUT is safe to repeat; every create is a PUT with an id made on the device. */
export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

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
  readonly body?: WireClass<Body>;
  readonly query?: WireClass<Query>;
  /** Class of the JSON answer; absent for an answer without content or one that is a file. */
  readonly answer?: WireClass<Answer>;
  /** True when the answer is a list of `answer`. */
  readonly isList?: boolean;
  /** Media type of an answer that is a file. */
  readonly file?: string;
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

/** A route whose answer is a list of its answer class. */
export function listRoute<
  const Path extends string,
  Body extends object = never,
  Query extends object = never,
  Answer extends object = never,
>(
  definition: Route<Path, Body, Query, Answer>,
): Route<Path, Body, Query, Answer> & { readonly isList: true } {
  return { ...definition, isList: true };
}

/** Fills the names of a path: `/experiments/:id` with `{ id: 'x' }` gives `/experiments/x`. */
export function fillPath(path: string, params: Readonly<Record<string, string>>): string {
  return path.replaceAll(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
}
