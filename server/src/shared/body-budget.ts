import { say } from '@bright-sprout/words/refusals';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { ApiError } from './api-error.ts';

/** Bodies up to here are not counted: all connections together hold few of them. */
const SMALL_BYTES = 65_536;

/** The most bytes of bodies that may be on their way. */
export interface BodyBudgetSizes {
  /** From one address: all tablets of a school that send a part of a photo at once. */
  readonly ofAddress: number;
  readonly inAll: number;
}

const SIZES: BodyBudgetSizes = { ofAddress: 64_000_000, inAll: 192_000_000 };

/**
 * Bounds what half-read bodies hold, before a byte of them is read: by the length that each states, or the most that its
 * route takes. What finds no room is told to come again, as every sender of this application does.
 */
export class BodyBudget {
  readonly #ofAddress = new Map<string, number>();
  #inAll = 0;

  constructor(private readonly sizes: BodyBudgetSizes = SIZES) {}

  /** Reads a body by `read` where there is room for it. @param limit the most bytes that its route takes */
  guard(limit: number, read: RequestHandler): RequestHandler {
    return (request: Request, response: Response, next: NextFunction): void => {
      const stated = Number(request.headers['content-length'] ?? Number.NaN);
      const bytes = Number.isFinite(stated) ? Math.min(stated, limit) : limit;
      if (bytes <= SMALL_BYTES) {
        read(request, response, next);
        return;
      }
      const address = request.ip ?? 'unknown';
      const held = this.#ofAddress.get(address) ?? 0;
      if (held + bytes > this.sizes.ofAddress || this.#inAll + bytes > this.sizes.inAll) {
        // The body is never read, so the connection cannot be used again.
        response.setHeader('Connection', 'close');
        next(new ApiError('too_busy', say('tooMuchIsAskedAtOnceWait')));
        return;
      }
      this.#take(address, bytes);
      response.once('close', () => this.#take(address, -bytes));
      read(request, response, next);
    };
  }

  #take(address: string, bytes: number): void {
    this.#inAll += bytes;
    const held = (this.#ofAddress.get(address) ?? 0) + bytes;
    if (held > 0) this.#ofAddress.set(address, held);
    else this.#ofAddress.delete(address);
  }
}
