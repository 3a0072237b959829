import { MOST_BODY_BYTES, type Route } from '@bright-sprout/contract/shared';
import { BodyBudget } from './body-budget.ts';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';

interface Reader {
  readonly method: string;
  readonly path: RegExp;
  readonly read: RequestHandler;
}

/**
 * Reads the body of a request as its route says: JSON or bytes, up to the route's own limit. A longer one is refused
 * before anything of it is kept, and a route without a body reads none.
 */
export function readBodies(routes: readonly Route[], prefix: string): RequestHandler {
  const budget = new BodyBudget();
  const readers = routes
    .filter((route) => route.body ?? route.takesBytes)
    .map((route) => readerOf(route, prefix, budget));
  return (request: Request, response: Response, next: NextFunction): void => {
    const reader = readers.find(({ method, path }) => method === request.method && path.test(request.path));
    if (reader) reader.read(request, response, next);
    else next();
  };
}

function readerOf(route: Route, prefix: string, budget: BodyBudget): Reader {
  const path = new RegExp(`^${prefix}${route.path.replaceAll(/:\w+/g, '[^/]+')}/?$`, 'i');
  const limit = route.maxBytes ?? MOST_BODY_BYTES;
  const read = route.takesBytes
    ? express.raw({ limit, type: 'application/octet-stream', inflate: false })
    : express.json({ limit, inflate: false });
  return { method: route.method, path, read: budget.guard(limit, read) };
}
