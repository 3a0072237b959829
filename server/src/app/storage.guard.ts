import { say } from '@bright-sprout/words/refusals';
import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { ApiError } from '../shared/index.ts';

const SAFE_METHODS: readonly string[] = ['GET', 'HEAD'];

/** Takes nothing more while there is no room where the data is kept; what is there can still be looked at. */
@Injectable()
export class StorageGuard implements CanActivate {
  #isFull = false;

  /** True while the disk is full, as whoever started the server says. */
  get isFull(): boolean {
    return this.#isFull;
  }

  /** Takes in what the start script says of the disk. */
  hear(message: unknown): void {
    const isFull = (message as { isDiskFull?: unknown } | null)?.isDiskFull;
    if (typeof isFull === 'boolean') this.#isFull = isFull;
  }

  canActivate(context: ExecutionContext): boolean {
    if (!this.#isFull || SAFE_METHODS.includes(context.switchToHttp().getRequest<Request>().method))
      return true;
    throw storageFull();
  }
}

/** Nothing can be saved for want of room. */
export function storageFull(): ApiError {
  return new ApiError('storage_full', say('thereIsNoRoomLeftWhereThe2'));
}
