import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { cookieOf } from './cookies.ts';
import type { KnownTeacher } from './teacher.entity.ts';

/** A request after the guard found who sends it. */
export type KnownRequest = Request & { teacher?: KnownTeacher };

/** Cookie that carries the session's token. */
export const SESSION_COOKIE = 'bright_sprout_session';

/** The teacher who sends the request; only on routes that ask for one. */
export const CurrentTeacher = createParamDecorator((_: unknown, context: ExecutionContext): KnownTeacher => {
  const { teacher } = context.switchToHttp().getRequest<KnownRequest>();
  if (!teacher) throw new Error('a route without a teacher asked for one');
  return teacher;
});

/** The session token of a request; empty when it has none. */
export function tokenOf(request: Request): string {
  return cookieOf(request, SESSION_COOKIE);
}
