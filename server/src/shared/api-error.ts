import { say } from '@bright-sprout/words/refusals';
import {
  ERROR_STATUS,
  type ErrorBody,
  type ErrorCode,
  type FieldProblem,
} from '@bright-sprout/contract/shared';

/** An answer that is not a success, with words for the reader. */
export class ApiError extends Error {
  readonly body: ErrorBody;

  constructor(code: ErrorCode, message: string, extra: Partial<Omit<ErrorBody, 'code' | 'message'>> = {}) {
    super(message);
    this.body = { code, message, fields: [], ...extra };
  }

  /** HTTP status that goes with the code. */
  get status(): number {
    return ERROR_STATUS[this.body.code];
  }
}

/** A request whose fields were refused. */
export function invalidFields(fields: readonly FieldProblem[]): ApiError {
  return new ApiError('invalid_fields', say('someOfThisNeedsAnotherLook'), { fields });
}

/** One field refused. */
export function invalidField(field: string, message: string): ApiError {
  return invalidFields([{ field, message }]);
}

/** Not there, or not this teacher's: the answer is the same, so that nothing is given away. */
export function notFound(): ApiError {
  return new ApiError('not_found', say('thereIsNothingHereOrItBelongs'));
}
