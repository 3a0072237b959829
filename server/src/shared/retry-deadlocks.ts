import { type CallHandler, type ExecutionContext, Injectable, type NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { type Observable, retry, throwError, timer } from 'rxjs';
import { isDeadlock } from './transactions.ts';

const TRIES = 4;
const FIRST_PAUSE_MS = 10;
const SAFE_TO_REPEAT: readonly string[] = ['GET', 'PUT', 'DELETE'];

/**
 * Does an operation again when the database broke a deadlock, or another node of a cluster was first. Every PUT and
 * DELETE is safe to repeat, so a reader never hears of it.
 */
@Injectable()
export class RetryDeadlocks implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { method } = context.switchToHttp().getRequest<Request>();
    if (!SAFE_TO_REPEAT.includes(method)) return next.handle();
    return next.handle().pipe(
      retry({
        count: TRIES,
        delay: (thrown: unknown, attempt) =>
          isDeadlock(thrown)
            ? timer(FIRST_PAUSE_MS * 2 ** attempt * (0.5 + Math.random()))
            : throwError(() => thrown),
      }),
    );
  }
}
