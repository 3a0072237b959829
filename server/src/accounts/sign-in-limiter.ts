import { say } from '@bright-sprout/words/refusals';
import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { ApiError, type Settings, SETTINGS } from '../shared/index.ts';
import { cookieOf } from './cookies.ts';
import { KnownDevicesService } from './known-devices.service.ts';
import { TeachersService } from './teachers.service.ts';
import { type TriesLimit, TriesService } from './tries.service.ts';

/** A school shares one address, so an address may try more often than an account. */
const TRIES_PER_ADDRESS = 6;

/** Cookie that says that a teacher signed in on this device before. */
export const KNOWN_COOKIE = 'bright_sprout_known';

/** A try that was counted, and where. */
type Spent = readonly { readonly limit: TriesLimit; readonly key: string }[];

/**
 * Limits wrong passwords: by account and by address for devices that nobody signed in on before, and apart from them for
 * each device that somebody did, so that a stranger's tries keep no teacher out. Each try is counted before it is made,
 * in the database, so servers count together; one that was right is given back.
 */
@Injectable()
export class SignInLimiter {
  readonly #byAccount: TriesLimit;
  readonly #byAddress: TriesLimit;
  readonly #byDevice: TriesLimit;

  constructor(
    private readonly tries: TriesService,
    private readonly known: KnownDevicesService,
    private readonly teachers: TeachersService,
    @Inject(SETTINGS) { signInTries, signInWindowMs: windowMs }: Settings,
  ) {
    this.#byAccount = { name: 'account', tries: signInTries, windowMs };
    this.#byAddress = { name: 'address', tries: signInTries * TRIES_PER_ADDRESS, windowMs };
    this.#byDevice = { name: 'known-device', tries: signInTries, windowMs };
  }

  /**
   * Makes a try, which counts unless it turns out to be right.
   * @throws ApiError `too_many_tries`
   */
  async guard<T>(request: Request, email: string, attempt: () => Promise<T>): Promise<T> {
    const spent = await this.#limitsOf(request, email);
    for (const { limit, key } of spent) {
      const { isAllowed, waitMs } = await this.tries.take(limit, key);
      if (isAllowed) continue;
      const minutes = Math.max(1, Math.ceil(waitMs / 60_000));
      throw new ApiError('too_many_tries', say('tooManyTriesWaitMinutesThenTry', { minutes }));
    }
    const done = await attempt();
    for (const { limit, key } of spent) await this.tries.giveBack(limit, key);
    return done;
  }

  async #limitsOf(request: Request, email: string): Promise<Spent> {
    // The database tells which addresses are one account: it takes é for e, as a list of names here would not.
    const teacherId = await this.teachers.idOf(email);
    const device = teacherId && (await this.known.find(cookieOf(request, KNOWN_COOKIE), teacherId));
    if (device) return [{ limit: this.#byDevice, key: device }];
    return [
      { limit: this.#byAddress, key: request.ip ?? 'unknown' },
      { limit: this.#byAccount, key: teacherId ?? unknownAccount(email) },
    ];
  }
}

function unknownAccount(email: string): string {
  return createHash('sha256').update(email.trim().toLowerCase()).digest('hex');
}
