import { say } from '@bright-sprout/words/refusals';
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
      return bodyFor('database_unavailable', say('theDatabaseCannotBeReachedJustNow'));
    }
    if (isDiskFull(thrown)) {
      this.#log.error(say('thereIsNoRoomLeftWhereThe'));
      return bodyFor('storage_full', say('thereIsNoRoomLeftWhereThe2'));
    }
    if (isDeadlock(thrown)) {
      return bodyFor('too_busy', say('manySaveAtTheSameMomentNothing'));
    }
    const status = statusOf(thrown);
    if (status === 404) return bodyFor('not_found', say('thereIsNothingAtThisAddress'));
    if (status === 413) return bodyFor('too_large', say('thatIsTooLargeToSend'));
    if (status !== undefined && status >= 400 && status < 500) {
      return bodyFor('bad_request', say('theRequestCouldNotBeReadReload'));
    }
    this.#log.error(thrown instanceof Error ? thrown.stack : String(thrown));
    return bodyFor('server_error', say('somethingWentWrongOnOurSideWhat'));
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
