import { say } from '@bright-sprout/words/refusals';
import { type CanActivate, type ExecutionContext, Inject, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { ApiError } from './api-error.ts';
import { SETTINGS, type Settings } from './settings.ts';

const MINUTE_S = 60;

/** A school shares one address: that many browsers and tablets may write as much as one may. */
const BROWSERS_AN_ADDRESS = 10;

/** What is sent without any cookie, by loggers and when a device joins, is far less. */
const SHARE_WITHOUT_COOKIE = 0.4;

const SAFE_METHODS: readonly string[] = ['GET', 'HEAD'];

/**
 * Limits the writes a minute of one browser or tablet, and of one address. A fast sheet of 400 pots that is pasted at
 * once, and a tablet that sends a day's queue, stay far below. Counted in the memory of this process, where nothing is
 * shared: a limit against being run over needs no agreement between servers.
 */
@Injectable()
export class WriteQuota implements CanActivate {
  readonly #ofBrowser: RateLimiterMemory;
  readonly #ofAddress: RateLimiterMemory;
  readonly #withoutCookie: RateLimiterMemory;

  constructor(@Inject(SETTINGS) { writesAMinute }: Settings) {
    const limiter = (keyPrefix: string, points: number): RateLimiterMemory =>
      new RateLimiterMemory({ keyPrefix, points, duration: MINUTE_S });
    this.#ofBrowser = limiter('browser', writesAMinute);
    this.#ofAddress = limiter('address', writesAMinute * BROWSERS_AN_ADDRESS);
    this.#withoutCookie = limiter('nobody', writesAMinute * SHARE_WITHOUT_COOKIE);
  }

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<Request>();
    if (SAFE_METHODS.includes(request.method)) return true;
    const cookies = Object.values(request.cookies as Record<string, unknown>).join(' ');
    const address = request.ip ?? 'unknown';
    try {
      await this.#ofAddress.consume(address);
      if (cookies === '') await this.#withoutCookie.consume(address);
      else await this.#ofBrowser.consume(cookies.slice(0, 200));
      return true;
    } catch {
      throw new ApiError('too_many_tries', say('tooMuchWasSentInAMinute'));
    }
  }
}
