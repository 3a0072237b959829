import type { Route } from '@bright-sprout/contract/shared';
import { applyDecorators, Delete, Get, Header, HttpCode, Post, Put, SetMetadata } from '@nestjs/common';

/** Metadata key under which a handler carries its route. */
export const ROUTE_KEY = 'bright-sprout:route';

/** The type of a file that may be one of several pictures: whoever answers says which. */
const ANY_PICTURE = 'image/*';

const VERBS = { GET: Get, POST: Post, PUT: Put, DELETE: Delete } as const;

/** Registers a handler for an operation of the contract: method, path, status and who may call it. */
export function Operation(route: Route): MethodDecorator {
  const hasContent = route.answer !== undefined || route.file !== undefined;
  const { file: type } = route;
  const file = type === undefined || type === ANY_PICTURE ? [] : [Header('Content-Type', mediaType(type))];
  return applyDecorators(
    VERBS[route.method](route.path),
    SetMetadata(ROUTE_KEY, route),
    HttpCode(hasContent ? 200 : 204),
    ...file,
  );
}

function mediaType(type: string): string {
  return type.startsWith('text/') ? `${type}; charset=utf-8` : type;
}
