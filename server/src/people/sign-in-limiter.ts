import { createHash } from 'node:crypto';
import { type CanActivate, type ExecutionContext, Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Request } from 'express';
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { DataSource } from 'typeorm';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';

/** A school shares one address, so an address may try more often than an account. */
const TRIES_PER_ADDRESS = 6;

/** Limits sign-in tries for each account and each address; counted in the database, so servers count together. */
@Injectable()
export class SignInLimiter implements CanActivate {
  readonly #byAccount: RateLimiterMySQL;
  readonly #byAddress: RateLimiterMySQL;

  constructor(@InjectDataSource() source: DataSource, @Inject(SETTINGS) settings: Settings) {
    const limiter = (keyPrefix: string, points: number): RateLimiterMySQL =>
      new RateLimiterMySQL({
        storeClient: (source.driver as unknown as { pool: unknown }).pool,
        storeType: 'mysql2',
        dbName: String(source.driver.database),
        tableName: 'sign_in_attempts',
        tableCreated: true,
        keyPrefix,
        points,
        duration: settings.signInWindowMs / 1000,
      });
    this.#byAccount = limiter('account', settings.signInTries);
    this.#byAddress = limiter('address', settings.signInTries * TRIES_PER_ADDRESS);
  }

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<Request>();
    await spend(this.#byAddress, request.ip ?? 'unknown');
    await spend(this.#byAccount, accountOf(request));
    return true;
  }
}

async function spend(limiter: RateLimiterMySQL, key: string): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (thrown) {
    if (!(thrown instanceof RateLimiterRes)) throw thrown;
    const minutes = Math.max(1, Math.ceil(thrown.msBeforeNext / 60_000));
    throw new ApiError(
      'too_many_tries',
      `Too many tries. Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, then try again.`,
    );
  }
}

function accountOf(request: Request): string {
  const { email } = (request.body ?? {}) as { email?: unknown };
  const name = typeof email === 'string' ? email.trim().toLowerCase() : '';
  return createHash('sha256').update(name).digest('hex');
}
