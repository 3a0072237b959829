import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Request } from 'express';
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { DataSource } from 'typeorm';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';

/** Wrong codes that an address may try for each sign-in try: a class shares one address, and children mistype. */
const WRONG_CODES_PER_TRY = 8;
const WRONG: readonly string[] = ['wrong_code', 'wrong_pin'];

/** Limits wrong class codes by address; right ones cost nothing, so a whole class joins at once. */
@Injectable()
export class ClassCodeLimiter {
  readonly #limiter: RateLimiterMySQL;

  constructor(@InjectDataSource() source: DataSource, @Inject(SETTINGS) settings: Settings) {
    this.#limiter = new RateLimiterMySQL({
      storeClient: (source.driver as unknown as { pool: unknown }).pool,
      storeType: 'mysql2',
      dbName: String(source.driver.database),
      tableName: 'sign_in_attempts',
      tableCreated: true,
      keyPrefix: 'class-code',
      points: settings.signInTries * WRONG_CODES_PER_TRY,
      duration: settings.signInWindowMs / 1000,
    });
  }

  /**
   * Runs `join`; a wrong code counts.
   * @throws ApiError `too_many_tries`
   */
  async guard<T>(request: Request, join: () => Promise<T>): Promise<T> {
    const address = request.ip ?? 'unknown';
    const spent = await this.#limiter.get(address);
    if (spent && spent.remainingPoints <= 0) throw tooMany();
    try {
      return await join();
    } catch (thrown) {
      if (thrown instanceof ApiError && WRONG.includes(thrown.body.code)) await this.#spend(address);
      throw thrown;
    }
  }

  async #spend(address: string): Promise<void> {
    try {
      await this.#limiter.consume(address);
    } catch (thrown) {
      if (!(thrown instanceof RateLimiterRes)) throw thrown;
    }
  }
}

function tooMany(): ApiError {
  return new ApiError(
    'too_many_tries',
    'Too many wrong codes from here. Wait a few minutes, then try again.',
  );
}
