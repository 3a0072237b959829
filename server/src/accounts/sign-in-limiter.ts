import { say } from '@bright-sprout/words/refusals';
import { createHash } from 'node:crypto';
import { type CanActivate, type ExecutionContext, Inject, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';
import { type TriesLimit, TriesService } from './tries.service.ts';

/** A school shares one address, so an address may try more often than an account. */
const TRIES_PER_ADDRESS = 6;

/** Limits sign-in tries for each account and each address; counted in the database, so servers count together. */
@Injectable()
export class SignInLimiter implements CanActivate {
  readonly #byAccount: TriesLimit;
  readonly #byAddress: TriesLimit;

  constructor(
    private readonly tries: TriesService,
    @Inject(SETTINGS) { signInTries, signInWindowMs: windowMs }: Settings,
  ) {
    this.#byAccount = { name: 'account', tries: signInTries, windowMs };
    this.#byAddress = { name: 'address', tries: signInTries * TRIES_PER_ADDRESS, windowMs };
  }

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<Request>();
    await this.#spend(this.#byAddress, request.ip ?? 'unknown');
    await this.#spend(this.#byAccount, accountOf(request));
    return true;
  }

  async #spend(limit: TriesLimit, key: string): Promise<void> {
    const { isAllowed, waitMs } = await this.tries.take(limit, key);
    if (isAllowed) return;
    const minutes = Math.max(1, Math.ceil(waitMs / 60_000));
    throw new ApiError('too_many_tries', say('tooManyTriesWaitMinutesThenTry', { minutes }));
  }
}

function accountOf(request: Request): string {
  const { email } = (request.body ?? {}) as { email?: unknown };
  const name = typeof email === 'string' ? email.trim().toLowerCase() : '';
  return createHash('sha256').update(name).digest('hex');
}
