import { type ErrorBody, ERROR_STATUS, type ErrorCode } from '@bright-sprout/contract/shared';
import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { Response } from 'express';
import { ApiError } from './api-error.ts';
import { isConnectionLoss, isDeadlock, isDiskFull } from './transactions.ts';

/** Turns everything thrown into the one error format; what is not known is logged and not told. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  readonly #log = new Logger('Errors');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const body = this.#bodyOf(thrown);
    // An answer that has begun cannot be taken back: the reader must see that it is not whole.
    if (response.headersSent) response.destroy();
    else response.status(ERROR_STATUS[body.code]).json(body);
  }

  #bodyOf(thrown: unknown): ErrorBody {
    if (thrown instanceof ApiError) return thrown.body;
    if (isConnectionLoss(thrown)) {
      this.#log.warn('the database cannot be reached');
      return bodyFor(
        'database_unavailable',
        'The database cannot be reached just now. Nothing was saved; try again in a moment.',
      );
    }
    if (isDiskFull(thrown)) {
      this.#log.error(
        'there is no room left where the data is kept; make room, and saving works again by itself',
      );
      return bodyFor(
        'storage_full',
        'There is no room left where the data is kept, so this was not saved. Tell whoever runs Bright Sprout; once there is room, try again.',
      );
    }
    if (isDeadlock(thrown)) {
      return bodyFor('too_busy', 'Many save at the same moment. Nothing was saved; try again.');
    }
    const status = statusOf(thrown);
    if (status === 404) return bodyFor('not_found', 'There is nothing at this address.');
    if (status === 413) return bodyFor('too_large', 'That is too large to send.');
    if (status !== undefined && status >= 400 && status < 500) {
      return bodyFor('bad_request', 'The request could not be read. Reload the page and try again.');
    }
    this.#log.error(thrown instanceof Error ? thrown.stack : String(thrown));
    return bodyFor(
      'server_error',
      'Something went wrong on our side. What you typed is still here; try again.',
    );
  }
}

function bodyFor(code: ErrorCode, message: string): ErrorBody {
  return { code, message, fields: [] };
}

function statusOf(thrown: unknown): number | undefined {
  if (thrown instanceof HttpException) return thrown.getStatus();
  if (thrown instanceof URIError) return 400;
  const status = (thrown as { status?: unknown } | null)?.status;
  return typeof status === 'number' ? status : undefined;
}
