import type { ErrorBody } from '@bright-sprout/contract/shared';
import { ApiError } from './api-error.ts';

/** A failure as it crosses from a thread: what an error loses on the way is carried beside it. */
export type SentFailure =
  | { readonly kind: 'refused'; readonly body: ErrorBody }
  | {
      readonly kind: 'failed';
      readonly message: string;
      readonly stack: string;
      readonly code?: string;
      readonly errno?: number;
    };

/** Makes a failure ready to be sent. */
export function sentFailure(thrown: unknown): SentFailure {
  if (thrown instanceof ApiError) return { kind: 'refused', body: thrown.body };
  const { message, stack, code, errno } = thrown as Partial<Error> & { code?: unknown; errno?: unknown };
  return {
    kind: 'failed',
    message: message ?? String(thrown),
    stack: stack ?? '',
    ...(typeof code === 'string' ? { code } : {}),
    ...(typeof errno === 'number' ? { errno } : {}),
  };
}

/** The failure that was sent, to be thrown again. */
export function failureFrom(sent: SentFailure): Error {
  if (sent.kind === 'refused') {
    const { code, message, ...extra } = sent.body;
    return new ApiError(code, message, extra);
  }
  const { message, stack, code, errno } = sent;
  return Object.assign(new Error(message), { stack, code, errno });
}
